<script lang="ts">
	import { untrack, type Snippet } from 'svelte';
	import Term from '../help/Term.svelte';
	import Later from '../growing/Later.svelte';
	import { isShortcut } from '../form/keys';
	import SpoolRail from './SpoolRail.svelte';
	import type { RailItem } from './rail-item';

	type Props = {
		items: RailItem[];
		chosen: string;
		onchoose: (id: string) => void;
		/** J and K, outside a text field. */
		move: (by: 1 | -1) => void;
		children: Snippet;
		results: Snippet;
		/** The page was given what was found: its results are served with it, and take no time to work out. */
		found?: boolean;
	};
	let { items, chosen, onchoose, move, children, results, found = false }: Props = $props();
	/** As it was when the page was opened: results do not go away and come again. */
	const served = untrack(() => found);
</script>

<svelte:window
	onkeydown={(event) => {
		if (isShortcut(event, 'j')) move(-1);
		if (isShortcut(event, 'k')) move(1);
	}}
/>

<!-- Every bench looks alike: who is on it, what is done now, what it says so far. -->
<div class="max-lg:pb-[76px] lg:grid lg:min-h-screen lg:grid-cols-[216px_minmax(0,1fr)_292px]">
	<SpoolRail {items} {chosen} {onchoose} />
	<div class="min-w-0 p-4 lg:px-7">{@render children()}</div>
	<aside class="border-line bg-rail p-4 lg:border-l" aria-label="Results">
		<h2 class="small font-semibold">Results <span class="ml-1 font-normal"><Term of="n">n</Term>, <Term of="range">95 %</Term></span></h2>
		{#if served}{@render results()}{:else}<Later first>{@render results()}</Later>{/if}
	</aside>
</div>
