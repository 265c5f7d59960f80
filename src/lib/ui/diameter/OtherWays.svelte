<script lang="ts">
	import { page } from '$app/state';
	import type { ToleranceClaim } from '$lib/core/stations/diameter/claims';
	import LiveGauge from './LiveGauge.svelte';
	import LogUpload from './LogUpload.svelte';
	import type { PastedReading } from './pasted-readings';
	import PasteReadings from './PasteReadings.svelte';
	import StandIn from './StandIn.svelte';

	type Props = {
		spoolId: string;
		instrumentId: string;
		hex: string | null;
		limits: ToleranceClaim | null;
		nominalMm: number;
		/** Takes pasted readings: all, or none and why. */
		take: (pasted: PastedReading[]) => string | null;
		/** Keeps a reading as if it had been typed. */
		keep: (typed: string) => unknown;
		/** A log was taken in. */
		ontaken: () => void;
	};
	let { spoolId, instrumentId, hex, limits, nominalMm, take, keep, ontaken }: Props = $props();
	let logUpload = $state<LogUpload>();
	let liveGauge = $state<LiveGauge>();
</script>

<!-- Readings that are not typed one by one. Fetched after the rest of the page: most visits do without. -->
<PasteReadings {take} />
<LiveGauge bind:this={liveGauge} {spoolId} {instrumentId} {hex} {limits} {ontaken} />
<LogUpload bind:this={logUpload} {spoolId} {instrumentId} {ontaken} />
{#if page.data.instance === 'demo'}
	<StandIn {nominalMm} {keep} offer={(file) => void logUpload?.offer(file)} live={(name, layout) => liveGauge?.begin(name, layout)} />
{/if}
