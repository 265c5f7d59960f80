<script lang="ts">
	import FormShell from '../form/FormShell.svelte';
	import { PART_STATES } from '$lib/core/record/lists/closed-lists';
	import { invalidateAll } from '$app/navigation';
	import type { PartInService } from '$lib/schemas/use-log';
	import { Button } from 'flowbite-svelte';
	import Field from '../form/Field.svelte';
	import { Form } from '../form/form.svelte';
	import { When } from '../form/when.svelte';
	import WhenField from '../form/WhenField.svelte';
	import { day } from '../../words/numbers';
	import { choices, PART_STATE_WORDS } from '../../words/closed-lists';
	import Problem from '../form/Problem.svelte';

	let { spoolId, parts }: { spoolId: string; parts: PartInService[] } = $props();
	let name = $state('');
	let place = $state('');
	let notes = $state<Record<string, string>>({});
	const when = new When();
	const partForm = new Form({ fields: ['name', 'place'], when });
	const stateForm = new Form({ fields: [], when });
	const problem = $derived(partForm.problem || stateForm.problem);

	async function add(): Promise<void> {
		const sent = await partForm.send('parts', { spoolId, name, ...(place.trim() ? { place } : {}) });
		if (!sent.ok) return;
		name = '';
		place = '';
		await invalidateAll();
	}
	async function found(partId: string, state: string): Promise<void> {
		const note = notes[partId]?.trim();
		const sent = await stateForm.send('part-states', { partId, state, ...(note ? { note } : {}) });
		if (!sent.ok) return;
		notes[partId] = '';
		await invalidateAll();
	}
</script>

<section aria-label="In use">
	<h2 class="mb-1 font-semibold">In use</h2>
	{#each parts as part (part.id)}
		{@const latest = part.states.at(-1)}
		<article class="panel mb-2 px-3 py-2">
			<p>
				<strong>{part.name}</strong>{part.place ? `, ${part.place}` : ''} · in service since {day(part.at)}
				· <strong>{latest ? PART_STATE_WORDS[latest.state] : 'not looked at since'}</strong>
			</p>
			{#if part.states.length}
				<ul class="small">
					{#each part.states as s (s.id)}<li>{day(s.at)}: {PART_STATE_WORDS[s.state]}{s.note ? `, ${s.note}` : ''}</li>{/each}
				</ul>
			{/if}
			<div class="mt-1 flex flex-wrap items-center gap-1.5">
				<span class="small">{when.isNow ? 'Found today:' : 'Found then:'}</span>
				{#each choices(PART_STATES, PART_STATE_WORDS) as { value: state, label: words } (state)}
					<button type="button" class="panel px-2 py-0.5 text-[0.9rem]" onclick={() => void found(part.id, state)}>{words}</button>
				{/each}
				<input
					class="h-[26px] min-w-0 grow rounded border bg-panel px-2 text-[0.9rem]"
					placeholder="a word about it"
					aria-label="Word about {part.name}"
					bind:value={notes[part.id]}
				/>
			</div>
		</article>
	{/each}
	<WhenField {when} errors={[...partForm.errors, ...stateForm.errors]} what="in use or found" />
	{#if problem}<Problem>{problem}</Problem>{/if}
	<FormShell class="flex flex-wrap items-end gap-3" onsubmit={add}>
		<Field id="part-name" path="name" label="Part" bind:value={name} errors={partForm.errors} placeholder="finder bracket" />
		<Field id="part-place" path="place" label="Where used" bind:value={place} errors={partForm.errors} placeholder="east dome" />
		<Button type="submit" size="xs" color="alternative">{when.isNow ? 'In use from today' : 'In service from then'}</Button>
	</FormShell>
</section>
