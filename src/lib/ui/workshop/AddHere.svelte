<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import type { Component } from 'svelte';
	import type { Added } from './added';

	type Props = { what: Added; label: string; onadded: (id: string) => void };
	let { what, label, onadded }: Props = $props();
	let open = $state(false);
	// Fetched when it is asked for: most who come here have one.
	let Dialog = $state.raw<Component<{ what: Added; open: boolean; onadded: (id: string) => Promise<void> }, object, 'open'> | null>(null);

	async function ask(): Promise<void> {
		Dialog ??= (await import('./AddDialog.svelte')).default;
		open = true;
	}
</script>

<button type="button" class="link min-h-[26px]" onclick={() => void ask()}>{label}</button>
{#if Dialog}
	<Dialog
		{what}
		bind:open
		onadded={async (id) => {
			open = false;
			await invalidateAll();
			onadded(id);
		}}
	/>
{/if}
