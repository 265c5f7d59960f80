<script lang="ts">
	import { growing } from '../growing/growing.svelte';
	import Sliver from '../figures/Sliver.svelte';
	import type { RailItem } from './rail-item';

	let { items, chosen, onchoose }: { items: RailItem[]; chosen: string; onchoose: (id: string) => void } = $props();
	/** As many as fit on a screen, and always the one on the bench; the rest follow once the page answers keys. */
	const rows = growing(() => items.length, 14, 8);
	const shown = $derived(items.slice(0, Math.max(rows.shown, items.findIndex((item) => item.id === chosen) + 1)));
	let list = $state<HTMLElement>();
	$effect(() => {
		void chosen;
		// The one on the bench is in sight, with a neighbour on each side where there is one.
		const here = list?.querySelector<HTMLElement>('[aria-current]');
		if (list && here) list.scrollLeft = here.offsetLeft - (list.clientWidth - here.offsetWidth) / 2;
	});
</script>

<!-- Who is on the bench; a bar under the thumb on a narrow screen, a column beside the field on a wide one. -->
<nav
	aria-label="On the bench"
	class="border-line bg-panel max-lg:fixed max-lg:inset-x-0 max-lg:bottom-0 max-lg:z-20 max-lg:border-t lg:min-h-screen lg:border-r lg:pt-4"
>
	<h2 class="small hidden px-4 pb-1 font-semibold lg:block">On the bench</h2>
	<ul bind:this={list} class="relative flex overflow-x-auto lg:block">
		{#each shown as item (item.id)}
			<li class="min-w-[74px] shrink-0">
				<button
					type="button"
					aria-current={item.id === chosen ? 'true' : undefined}
					class="flex w-full flex-col px-3 py-1.5 text-left max-lg:items-center lg:grid lg:grid-cols-[1fr_auto] lg:items-center lg:px-4 {item.id ===
					chosen
						? 'bg-chosen'
						: 'hover:bg-chosen/50'}"
					onclick={() => onchoose(item.id)}
				>
					<span class="wide text-[1.05rem] leading-tight font-bold">{item.code}</span>
					<span class="small whitespace-nowrap lg:row-span-2">{item.status}</span>
					<Sliver hex={item.colourHex} label={item.colourName ?? undefined} />
				</button>
			</li>
		{/each}
	</ul>
</nav>
