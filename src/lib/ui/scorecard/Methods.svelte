<script lang="ts">
	import type { QuantityDef } from '$lib/core/judging/finding/types';

	/** How the figures of a page were worked out, for who reads it far from the bench; only of what stands on it. */
	let { shown }: { shown: readonly QuantityDef[] } = $props();
	const METHODS: readonly { stations: readonly string[]; name: string; text: string }[] = [
		{
			stations: ['diameter'],
			name: 'Diameter',
			text: 'The mean over spots along the strand; the error of the caliper is part of the range. A label’s tolerance is met or missed by the share of the length inside it.'
		},
		{
			stations: ['moisture', 'drying'],
			name: 'Water',
			text: 'Weighed: what was gained or lost, as a share of the filament without its spool. Filament used in between is excluded.'
		},
		{
			stations: ['prints', 'own', 'strength'],
			name: 'Marks, counts and loads',
			text: 'Each mark means what it says: “clean to 65, bad at 70” is between the two. How much such prints differ is learnt from all prints on record, so that one print has a range too. The figure is the middle of what the spool may give.'
		},
		{
			stations: ['prints'],
			name: 'Prints that finish',
			text: 'Those that finished of all that count. Few prints are weighed together with what like prints on record did. Failures with another cause than the filament are left out.'
		},
		{
			stations: ['cost'],
			name: 'Cost of a good kilogram',
			text: 'The price, and what failed prints waste on top of it.'
		}
	];
	const stations = $derived(new Set(shown.map((def) => def.station)));
</script>

<section aria-label="How the figures were worked out" class="mt-8 break-before-page">
	<h2 class="wide text-[1.05rem] font-bold">How the figures were worked out</h2>
	<dl class="mt-2 space-y-2">
		{#each METHODS.filter((m) => m.stations.some((s) => stations.has(s))) as { name, text } (name)}
			<div>
				<dt class="font-semibold">{name}</dt>
				<dd>{text}</dd>
			</div>
		{/each}
		<div>
			<dt class="font-semibold">Ranges, better and worse</dt>
			<dd>
				A range holds the true figure in 95 of 100 cases. Two spools are told apart only where chance hardly explains the difference, over
				all pairs that were compared; otherwise they are as good as each other.
			</dd>
		</div>
	</dl>
	<p class="small mt-3">Every formula with its source comes with the program (docs/methods.md).</p>
</section>
