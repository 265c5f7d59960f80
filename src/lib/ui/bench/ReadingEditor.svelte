<script lang="ts">
	import type { Reading } from '$lib/core/evidence/reading';
	import { Button, Modal } from 'flowbite-svelte';
	import { Amending } from '../form/amending.svelte';
	import Field from '../form/Field.svelte';
	import NoteForm from '../form/NoteForm.svelte';
	import FormProblem from '../form/FormProblem.svelte';

	/** One dialog for however many readings a page shows. */
	let { onchange }: { onchange: () => void } = $props();
	const amending = new Amending<Reading>('reading', () => onchange());
	let typed = $state('');

	export function edit(reading: Reading): void {
		typed = reading.typedText;
		amending.edit(reading);
	}
</script>

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
