<script lang="ts">
	import type { SpoolEvidence } from '$lib/core/record/evidence/spool-evidence';
	import Strand from '../figures/Strand.svelte';
	import Later from '../growing/Later.svelte';
	import { plural } from '../../words/numbers';
	import { lengthWords } from '../../words/units';
	import type { DiameterBench } from './diameter-bench.svelte';
	import Histogram from './Histogram.svelte';
	import { barsOfLog, barsOfReadings } from './histogram-bars';
	import LeaveOut from './LeaveOut.svelte';
	import LogPicture from './LogPicture.svelte';

	/** `places`: how many the quick check asks for. */
	let { measuring, evidence, places }: { measuring: DiameterBench; evidence: SpoolEvidence; places: number } = $props();
	/** Fewer readings make no shape. */
	const ENOUGH_TO_SEE = 5;
	let looked = $state<{ fromM: number; toM: number } | null>(null);
	const { log, logBiasMm, claim, nominalMm, strand } = $derived(measuring);
	const mean = $derived(measuring.findings[0]);
</script>

<!-- The strand as a gauge saw it or as it was read, and how often each diameter occurs. -->
<Later height={180}>
	{#if log}
		<h2 class="mt-5 mb-1 text-[0.93rem] font-semibold">Strand as the gauge saw it: {log.name}</h2>
		<LogPicture {log} code={evidence.spool.code} hex={evidence.spool.colourHex} limits={claim} {nominalMm} biasMm={logBiasMm} bind:looked />
		<LeaveOut {log} {looked} onchange={() => void measuring.reload()} />
		<h2 class="mt-4 mb-1 text-[0.93rem] font-semibold">How often each diameter occurs</h2>
		<Histogram bars={barsOfLog(log.summary.histogram, logBiasMm, claim)} limits={claim} n={log.summary.n} of="sample" />
		<p class="small mt-1">
			{#if logBiasMm !== 0}What the gauge shows too much ({lengthWords(logBiasMm, 4)} by its check) is corrected here.{/if}
			<button type="button" class="link" onclick={() => void measuring.strikeOutLog(log.id)}>Mark this log invalid</button>
		</p>
	{:else if !measuring.whole}
		<p class="small mt-5" role="status">Its {plural(measuring.counted, 'reading')} are being fetched …</p>
	{:else if mean?.figure.kind === 'strand'}
		<h2 class="mt-5 mb-1 text-[0.93rem] font-semibold">
			Strand so far, thickness exaggerated{claim ? ' between the stated limits (dashed)' : ''}
		</h2>
		<Strand
			data={mean.figure}
			{places}
			hex={evidence.spool.colourHex}
			width={530}
			height={88}
			label="Strand of {evidence.spool.code}: {mean.figure.places.length} places, n {mean.n}"
		/>
		{#if strand && strand.strand.n >= ENOUGH_TO_SEE}
			<h2 class="mt-4 mb-1 text-[0.93rem] font-semibold">How often each diameter was read{claim ? ', limits dashed' : ''}</h2>
			<Histogram
				bars={barsOfReadings(strand.valuesMm, strand.strand.budget.resolutionMm, claim)}
				limits={claim}
				n={strand.strand.n}
				of="reading"
			/>
		{/if}
	{/if}
</Later>
