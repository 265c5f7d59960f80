<script lang="ts">
	import { caliper } from '$lib/standins/caliper';
	import { lineGaugeFile } from '$lib/standins/line-gauge';
	import { onDestroy } from 'svelte';
	import { plural } from '../words/numbers';

	type Props = {
		nominalMm: number;
		/** Keeps a reading as if it had been typed. */
		keep: (typed: string) => unknown;
		/** Hands over a file as if it had been chosen. */
		offer: (file: File) => void;
	};
	let { nominalMm, keep, offer }: Props = $props();
	const READINGS = 10;
	const EVERY_MS = 250;
	const SAMPLES = 20_000;
	let left = $state(0);
	let timer: ReturnType<typeof setInterval> | undefined;
	onDestroy(() => clearInterval(timer));

	function measure(): void {
		clearInterval(timer);
		const next = caliper({ biasMm: 0.003, scatterMm: 0.004, resolutionMm: 0.01 }, nominalMm, 0.007, Date.now());
		left = READINGS;
		timer = setInterval(() => {
			keep(next());
			left--;
			if (left === 0) clearInterval(timer);
		}, EVERY_MS);
	}
	function makeFile(): void {
		const strand = {
			meanMm: nominalMm - 0.003,
			driftMmPer100M: 0.003,
			rhythm: { periodM: 2.3, amplitudeMm: 0.005 },
			wander: { sdMm: 0.006, lengthM: 6 },
			noiseMm: 0.0015,
			bumps: [{ atM: 61.7, overMm: 0.22, lengthM: 0.3 }]
		};
		const text = lineGaugeFile(strand, { stepM: 0.01, resolutionMm: 0.001, axes: 2, ovalityMm: 0.004 }, SAMPLES, Date.now());
		offer(new File([text], 'made-up gauge.csv', { type: 'text/csv' }));
	}
</script>

<p class="small mt-3">
	No instrument at hand? In the demo a made-up one can measure:
	<button type="button" class="link" disabled={left > 0} onclick={measure}>a caliper types {plural(READINGS, 'reading')}</button> ·
	<button type="button" class="link" onclick={makeFile}>a line gauge writes a file</button>
	<span role="status">{left > 0 ? `${plural(left, 'reading')} to come` : ''}</span>
</p>
