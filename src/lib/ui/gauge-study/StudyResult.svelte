<script lang="ts">
	import type { GaugeStudy } from '$lib/core/stations/diameter/gauge-study';
	import { studyWords } from '../../words/gauge-study';
	import { fixed } from '../../words/numbers';
	import { bareLength, lengthUnit } from '../../words/units';

	let { study }: { study: GaugeStudy } = $props();
	const words = $derived(studyWords(study));
</script>

<p class="text-[1.1rem] leading-snug font-semibold">{words.headline}</p>
<p class="mt-1">{words.advice}</p>
<table class="mt-2">
	<thead>
		<tr class="small text-left"
			><th class="pr-6 font-medium">Spread of</th><th class="pr-6 text-right font-medium">SD, {lengthUnit()}</th><th class="font-medium"
				>of the variance</th
			></tr
		>
	</thead>
	<tbody>
		{#each words.parts as part (part.name)}
			<tr>
				<td class="pr-6">{part.name}</td>
				<td class="pr-6 text-right tabular-nums">{bareLength(part.sdMm, 4)}</td>
				<td>
					<span
						class="inline-block h-2.5 align-middle"
						style:background="var(--water)"
						style:width="{part.sharePct * 0.8}px"
						aria-hidden="true"
					></span>
					<span class="small tabular-nums">{fixed(part.sharePct, 0)} %</span>
				</td>
			</tr>
		{/each}
	</tbody>
</table>
<p class="small mt-1">
	Six of its standard deviations are {words.ofTolerances}. Single parts have no range; spots are those of this strand.
	{study.interactionKept
		? ''
		: 'No one read any single spot differently from the rest (p over 0.25), so that part is pooled with the repeats.'}
</p>
