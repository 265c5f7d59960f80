<script lang="ts">
	import '../app.css';
	import { page } from '$app/state';
	import { outbox } from '$lib/ui/bench/outbox-state.svelte';
	import { running } from '$lib/ui/drying/running.svelte';
	import Shell from '$lib/ui/shell/Shell.svelte';
	import type { ShellTrial } from '$lib/ui/shell/types';
	import { onMount } from 'svelte';
	import type { LayoutProps } from './$types';

	let { data, children }: LayoutProps = $props();
	// The first page is served with what runs; later loads bring it again.
	$effect.pre(() => running.take(data.drying));
	const trial = $derived((page.data.shellTrial as ShellTrial | undefined) ?? null);
	onMount(() => {
		outbox.open(data.serverId);
		// Says that the page answers keys now; tests and slow machines wait for it.
		document.documentElement.dataset.ready = 'yes';
	});
</script>

<Shell {trial} instance={data.instance}>{@render children()}</Shell>
