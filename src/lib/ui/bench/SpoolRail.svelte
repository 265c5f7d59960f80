<script lang="ts">
	import { growing } from '../shell/growing.svelte';
	import Sliver from '../spool/Sliver.svelte';
	import type { RailItem } from './rail-item';

	let { items, chosen, onchoose }: { items: RailItem[]; chosen: string; onchoose: (id: string) => void } = $props();
	/** As many as fit on a screen, and always the one on the bench; the rest follow once the page answers keys. */
	const rows = growing(() => items.length, 14, 8);
	const shown = $derived(items.slice(0, Math.max(rows.shown, items.findIndex((item) => item.id === chosen) + 1)));
</script>

<!-- Who is on the bench; a row on a narrow screen, a column beside the field on a wide one. -->
<nav aria-label="On the bench" class="border-line bg-panel lg:min-h-screen lg:border-r lg:pt-4">
	<h2 class="small hidden px-4 pb-1 font-semibold lg:block">On the bench</h2>
	<ul class="flex overflow-x-auto lg:block">
		{#each shown as item (item.id)}
			<li class="shrink-0">
				<button
					type="button"
					aria-current={item.id === chosen ? 'true' : undefined}
					class="flex w-full flex-col px-4 py-1.5 text-left lg:grid lg:grid-cols-[1fr_auto] lg:items-center {item.id === chosen
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
