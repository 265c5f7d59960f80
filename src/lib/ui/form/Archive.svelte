<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import type { ARCHIVED_KINDS } from '$lib/core/closed-lists';
	import { Form } from './form.svelte';
	import Problem from './Problem.svelte';

	type Props = { kind: (typeof ARCHIVED_KINDS)[number]; id: string; name: string; archived: boolean };
	let { kind, id, name, archived }: Props = $props();
	const form = new Form({ fields: [] });

	async function turn(): Promise<void> {
		if ((await form.send('archivings', { kind, targetId: id, archived: !archived })).ok) await invalidateAll();
	}
</script>

<button type="button" class="link min-h-[26px] text-[0.9rem]" onclick={() => void turn()}
	>{archived ? 'bring back' : 'archive'}<span class="sr-only"> {name}</span></button
>
{#if form.problem}<Problem>{form.problem}</Problem>{/if}
