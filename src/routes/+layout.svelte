<script lang="ts">
	import '../app.css';
	import { browser } from '$app/environment';
	import { page } from '$app/state';
	import { outbox } from '$lib/ui/bench/outbox-state.svelte';
	import { clock } from '$lib/ui/form/clock';
	import { running } from '$lib/ui/drying/running.svelte';
	import { day } from '$lib/words/numbers';
	import { soon } from '$lib/ui/growing/soon';
	import Shell from '$lib/ui/shell/Shell.svelte';
	import type { ShellTrial } from '$lib/ui/shell/types';
	import { theme } from '$lib/ui/theme';
	import { ThemeProvider } from 'flowbite-svelte';
	import { onMount, untrack } from 'svelte';
	import type { LayoutProps } from './$types';

	let { data, children }: LayoutProps = $props();
	// The first page is served with what runs; later loads bring it again.
	$effect.pre(() => running.take(data.drying));
	const askedAt = browser ? performance.timeOrigin : 0;
	// The page began to load before the server looked at its clock.
	$effect.pre(() => {
		if (browser) clock.heard(data.drying.now, askedAt);
	});
	// The first date takes as long as a hundred later ones; it gets a task of its own before any is shown.
	if (browser) soon(() => day(0));
	const first = untrack(() => data.serverId);
	// Another record was restored under this page: what it shows, and what it keeps on this device, is of the one before.
	$effect(() => {
		if (data.serverId !== '' && first !== '' && data.serverId !== first) location.reload();
	});
	const trial = $derived((page.data.shellTrial as ShellTrial | undefined) ?? null);
	onMount(() => {
		if (!data.locked) outbox.open(data.serverId);
		// Says that the page answers keys now; tests and slow machines wait for it.
		document.documentElement.dataset.ready = 'yes';
	});
</script>

<ThemeProvider {theme}>
	{#if data.locked || page.route.id === '/login'}
		{@render children()}
	{:else}
		<Shell {trial} instance={data.instance} loggedIn={data.loggedIn}>{@render children()}</Shell>
	{/if}
</ThemeProvider>
