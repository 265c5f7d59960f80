<script lang="ts" generics="T extends { id: string; status: 'counts' | 'excluded' }">
	import { Button, Modal } from 'flowbite-svelte';
	import type { Snippet } from 'svelte';
	import type { Amending } from './amending.svelte';
	import Field from './Field.svelte';
	import FormProblem from './FormProblem.svelte';
	import FormShell from './FormShell.svelte';
	import NoteForm from './NoteForm.svelte';

	type Props = {
		amending: Amending<T>;
		title: string;
		/** What becomes of the record, where it is not plain. */
		about?: string;
		/** A reason somebody may have. */
		placeholder: string;
		/** What the record is corrected to; left out where it can only be marked invalid. */
		correction?: () => object;
		/** Fields for the correction. */
		children?: Snippet;
	};
	let { amending, title, about, placeholder, correction, children }: Props = $props();
</script>

<!-- Every record is amended in the same way: the right value, why, strike out or let count again, and a note beside it. -->
<Modal bind:open={amending.open} {title} size="xs">
	<FormShell class="space-y-3" onsubmit={() => correction && amending.amend('correct', correction())}>
		{#if about}<p class="small">{about}</p>{/if}
		<FormProblem title={amending.problem} />
		{@render children?.()}
		<Field id="amend-reason" path="reason" label="Why" bind:value={amending.reason} errors={amending.errors} {placeholder} />
		<div class="flex flex-wrap gap-2">
			{#if correction}<Button type="submit" size="sm">Correct it</Button>{/if}
			{#if amending.chosen?.status === 'excluded'}
				<Button type="button" color="alternative" size="sm" onclick={() => void amending.amend('reinstate')}>Restore</Button>
			{:else}
				<Button type="button" color="alternative" size="sm" onclick={() => void amending.amend('exclude')}>Mark invalid</Button>
			{/if}
		</div>
	</FormShell>
	{#if amending.chosen}
		<hr />
		<NoteForm targetKind={amending.targetKind} targetId={amending.chosen.id} ondone={() => amending.done()} />
	{/if}
</Modal>
