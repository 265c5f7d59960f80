<script lang="ts">
	import { chance } from '../words/numbers';

	let { places, draws }: { places: number[]; draws: number } = $props();
	const shown = $derived(places.map((share, i) => ({ share, place: i + 1 })).filter((p) => p.share > 0));
	const label = $derived(
		`chance of each place: ${shown
			.slice(0, 4)
			.map((p) => `${p.place}. ${chance(p.share, draws)}`)
			.join(', ')}`
	);
</script>

<!-- A thin stacked bar, first place darkest at the left; hatching for the places from fourth on. -->
<span class="flex h-[7px] w-full overflow-hidden rounded-sm border border-ink/50" role="img" aria-label={label} title={label}>
	{#each shown as p (p.place)}
		<span
			class={p.place > 3 ? 'hatched' : ''}
			style:width="{p.share * 100}%"
			style:background-color={p.place === 1
				? 'var(--act)'
				: p.place === 2
					? 'color-mix(in srgb, var(--act) 55%, var(--panel))'
					: p.place === 3
						? 'color-mix(in srgb, var(--act) 25%, var(--panel))'
						: ''}
		></span>
	{/each}
</span>
