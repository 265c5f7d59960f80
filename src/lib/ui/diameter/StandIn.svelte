<script lang="ts">
	import { caliper } from '$lib/standins/caliper';
	import type { LogLayout } from '$lib/schemas/gauge-log';
	import { lineGaugeFile, lineGaugeText, type MadeStrand } from '$lib/standins/line-gauge';
	import { onDestroy } from 'svelte';
	import { plural } from '../../words/numbers';

	type Props = {
		nominalMm: number;
		/** Keeps a reading as if it had been typed. */
		keep: (typed: string) => unknown;
		/** Hands over a file as if it had been chosen. */
		offer: (file: File) => void;
		/** Begins to measure as a gauge on the bench would. */
		live: (name: string, layout: LogLayout) => { push: (text: string) => void; end: () => void } | undefined;
	};
	let { nominalMm, keep, offer, live }: Props = $props();
	const READINGS = 10;
	const EVERY_MS = 250;
	const SAMPLES = 20_000;
	/** A live strand: 120 m in five seconds. */
	const LIVE = { samples: 12_000, atOnce: 240, everyMs: 100 };
	const GAUGE = { stepM: 0.01, resolutionMm: 0.001, axes: 2, ovalityMm: 0.004 } as const;
	const LAYOUT: LogLayout = {
		headerRows: 1,
		delimiter: ',',
		decimal: '.',
		unit: 'mm',
		along: 1,
		across: 2,
		place: { kind: 'position', column: 0, perMetre: 1 }
	};
	let left = $state(0);
	let timer: ReturnType<typeof setInterval> | undefined;
	let liveTimer: ReturnType<typeof setInterval> | undefined;
	onDestroy(() => {
		clearInterval(timer);
		clearInterval(liveTimer);
	});

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
	const strand = (): MadeStrand => ({
		meanMm: nominalMm - 0.003,
		driftMmPer100M: 0.003,
		periodicity: { periodM: 2.3, amplitudeMm: 0.005 },
		wander: { sdMm: 0.006, lengthM: 6 },
		noiseMm: 0.0015,
		thickSpots: [{ atM: 61.7, overMm: 0.22, lengthM: 0.3 }]
	});
	function makeFile(): void {
		offer(new File([lineGaugeFile(strand(), GAUGE, SAMPLES, Date.now())], 'made-up gauge.csv', { type: 'text/csv' }));
	}
	function measureLive(): void {
		clearInterval(liveTimer);
		const gauge = live('made-up gauge', LAYOUT);
		const pieces = lineGaugeText(strand(), GAUGE, LIVE.samples, Date.now(), LIVE.atOnce);
		liveTimer = setInterval(() => {
			const piece = pieces.next();
			if (!piece.done) return gauge?.push(piece.value);
			clearInterval(liveTimer);
			gauge?.end();
		}, LIVE.everyMs);
	}
</script>

<p class="small mt-3">
	No instrument at hand? In the demo a made-up one can measure:
	<button type="button" class="link" disabled={left > 0} onclick={measure}>a caliper types {plural(READINGS, 'reading')}</button> ·
	<button type="button" class="link" onclick={makeFile}>a line gauge writes a file</button> ·
	<button type="button" class="link" onclick={measureLive}>a line gauge measures live</button>
	<span role="status">{left > 0 ? `${plural(left, 'reading')} to come` : ''}</span>
</p>
