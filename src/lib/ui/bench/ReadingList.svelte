<script lang="ts">
	import type { Reading } from '$lib/core/evidence';
	import { Button, Modal } from 'flowbite-svelte';
	import { Amending } from '../form/amending.svelte';
	import Field from '../form/Field.svelte';
	import NoteForm from '../form/NoteForm.svelte';
	import FormProblem from '../form/FormProblem.svelte';

	type Props = { readings: Reading[]; waiting: ReadonlySet<string>; onchange: () => void };
	let { readings, waiting, onchange }: Props = $props();
	const amending = new Amending<Reading>('reading', () => onchange());
	let typed = $state('');

	export function edit(reading: Reading): void {
		typed = reading.typedText;
		amending.edit(reading);
	}
</script>

<span class="inline-flex flex-wrap gap-x-1.5 gap-y-1">
	{#each readings as reading (reading.id)}
		<button
			type="button"
			class="min-h-[26px] min-w-[26px] rounded px-1 hover:bg-chosen {reading.status === 'excluded'
				? 'text-muted line-through'
				: ''} {reading.corrected ? 'underline decoration-dotted' : ''}"
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

<Modal bind:open={amending.open} title="Reading {amending.chosen?.typedText ?? ''}" size="xs" class="bg-panel! text-ink!">
	<form
		class="space-y-3"
		novalidate
		onsubmit={(e) => {
			e.preventDefault();
			void amending.amend('correct', { typed });
		}}
	>
		<p class="small">The first value stays on record; this one counts instead.</p>
		<FormProblem title={amending.problem} />
		<Field id="amend-typed" path="typed" label="Right value" bind:value={typed} errors={amending.errors} />
		<Field id="amend-reason" path="reason" label="Why" bind:value={amending.reason} errors={amending.errors} placeholder="digits swapped" />
		<div class="flex flex-wrap gap-2">
			<Button type="submit" class="bg-act! text-on-act!" size="sm">Correct it</Button>
			{#if amending.chosen?.status === 'excluded'}
				<Button type="button" color="alternative" size="sm" onclick={() => void amending.amend('reinstate')}>Let it count again</Button>
			{:else}
				<Button type="button" color="alternative" size="sm" onclick={() => void amending.amend('exclude')}>Strike it out</Button>
			{/if}
		</div>
	</form>
	{#if amending.chosen}
		<hr />
		<NoteForm targetKind="reading" targetId={amending.chosen.id} ondone={() => amending.done()} />
	{/if}
</Modal>
