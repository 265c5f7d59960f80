<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import type { ARCHIVED_KINDS } from '$lib/core/record/lists/closed-lists';
	import { Form } from './form.svelte';
	import Problem from './Problem.svelte';

	type Props = {
		kind: (typeof ARCHIVED_KINDS)[number];
		id: string;
		name: string;
		archived: boolean;
		/** What it is called where nothing is put away. */ does?: string;
	};
	let { kind, id, name, archived, does = 'archive' }: Props = $props();
	const word = $derived(archived ? 'bring back' : does);
	const form = new Form({ fields: [] });

	async function turn(): Promise<void> {
		if ((await form.send('archivings', { kind, targetId: id, archived: !archived })).ok) await invalidateAll();
	}
</script>

<button type="button" class="link min-h-[26px] text-[0.9rem]" aria-label="{word} {name}" onclick={() => void turn()}>{word}</button>
{#if form.problem}<Problem>{form.problem}</Problem>{/if}
