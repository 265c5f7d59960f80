<script lang="ts">
	import type { Reading } from '$lib/core/evidence';
	import type { FieldError } from '$lib/schemas/field-error';
	import { Button, Modal } from 'flowbite-svelte';
	import Field from '../form/Field.svelte';
	import NoteForm from '../form/NoteForm.svelte';
	import FormProblem from '../form/FormProblem.svelte';
	import { hereAndNow, newId, send } from '../form/send';

	type Props = { readings: Reading[]; waiting: ReadonlySet<string>; onchange: () => void };
	let { readings, waiting, onchange }: Props = $props();
	let chosen = $state.raw<Reading | null>(null);
	let open = $state(false);
	let typed = $state('');
	let reason = $state('');
	let errors = $state.raw<FieldError[]>([]);
	let problem = $state('');

	export function edit(reading: Reading): void {
		chosen = reading;
		typed = reading.typedText;
		reason = '';
		errors = [];
		problem = '';
		open = true;
	}

	async function amend(action: 'correct' | 'exclude' | 'reinstate', more: object = {}): Promise<void> {
		if (!chosen) return;
		const sent = await send('amendments', {
			id: newId(),
			targetKind: 'reading',
			targetId: chosen.id,
			action,
			reason,
			...more,
			...hereAndNow()
		});
		if (!sent.ok) {
			errors = sent.errors;
			problem = sent.errors.length ? '' : sent.title;
			return;
		}
		open = false;
		onchange();
	}
</script>

<span class="inline-flex flex-wrap gap-x-1.5 gap-y-1">
	{#each readings as reading (reading.id)}
		<button
			type="button"
			class="rounded px-1 hover:bg-chosen {reading.status === 'excluded' ? 'text-muted line-through' : ''} {reading.corrected
				? 'underline decoration-dotted'
				: ''}"
			title="{reading.corrected ? 'corrected; ' : ''}{reading.status === 'excluded' ? 'struck out; ' : ''}{waiting.has(reading.id)
				? 'waiting to be kept'
				: 'correct or strike out'}"
			disabled={waiting.has(reading.id)}
			onclick={() => edit(reading)}
			>{reading.typedText}{#if waiting.has(reading.id)}<span class="small"> …</span>{/if}<span class="sr-only">
				{reading.status === 'excluded' ? 'struck out' : ''}{reading.corrected ? ' corrected' : ''}</span
			></button
		>
	{/each}
</span>

<Modal bind:open title="Reading {chosen?.typedText ?? ''}" size="xs" class="bg-panel! text-ink!">
	<form
		class="space-y-3"
		novalidate
		onsubmit={(e) => {
			e.preventDefault();
			void amend('correct', { typed });
		}}
	>
		<p class="small">The first value stays on record; this one counts instead.</p>
		<FormProblem title={problem} />
		<Field id="amend-typed" path="typed" label="Right value" bind:value={typed} {errors} />
		<Field id="amend-reason" path="reason" label="Why" bind:value={reason} {errors} placeholder="digits swapped" />
		<div class="flex flex-wrap gap-2">
			<Button type="submit" class="bg-act! text-on-act!" size="sm">Correct it</Button>
			{#if chosen?.status === 'excluded'}
				<Button type="button" color="alternative" size="sm" onclick={() => void amend('reinstate')}>Let it count again</Button>
			{:else}
				<Button type="button" color="alternative" size="sm" onclick={() => void amend('exclude')}>Strike it out</Button>
			{/if}
		</div>
	</form>
	{#if chosen}
		<hr />
		<NoteForm
			targetKind="reading"
			targetId={chosen.id}
			ondone={() => {
				open = false;
				onchange();
			}}
		/>
	{/if}
</Modal>
