<script lang="ts">
	import { goto, invalidateAll } from '$app/navigation';
	import { page } from '$app/state';
	import { diameterStation } from '$lib/core/diameter/station';
	import { oddReadings } from '$lib/core/diameter/odd-readings';
	import { stated } from '$lib/core/claims/stated';
	import { readReading } from '$lib/core/readings/read-reading';
	import { instrumentUncertainty } from '$lib/core/diameter/instrument-uncertainty';
	import type { Finding } from '$lib/core/finding/types';
	import BenchFrame from '$lib/ui/bench/BenchFrame.svelte';
	import { BenchReadings } from '$lib/ui/bench/bench-readings.svelte';
	import CaptureField from '$lib/ui/bench/CaptureField.svelte';
	import EmptyBench from '$lib/ui/bench/EmptyBench.svelte';
	import InstrumentChoice from '$lib/ui/bench/InstrumentChoice.svelte';
	import { railItem } from '$lib/ui/bench/rail-item';
	import ReadingList from '$lib/ui/bench/ReadingList.svelte';
	import WhatItSays from '$lib/ui/diameter/WhatItSays.svelte';
	import Strand from '$lib/ui/figures/Strand.svelte';
	import { hereAndNow, newId, send } from '$lib/ui/form/send';
	import { refusalWords } from '$lib/ui/words/refusals';
	import { fixed, upTo } from '$lib/ui/words/numbers';
	import { GRADE_WORDS } from '$lib/ui/words/quantities';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const bench = new BenchReadings('diameter');
	let field = $state<CaptureField>();
	let list = $state<ReadingList>();
	let instrumentId = $state('');

	const perSpool = $derived(data.protocol.diameterPlaces * data.protocol.diameterDirections);
	const live = $derived(data.evidence.map((e) => bench.of({ ...e })));
	const findings = $derived(live.map((e) => diameterStation.find(e, data.protocol, 0) as [Finding, Finding]));
	const firstOpen = $derived(findings.findIndex(([mean]) => mean.n < perSpool));
	const wanted = $derived(page.url.searchParams.get('spool'));
	// Chosen by address; without one, the first spool that still wants readings when the page was opened.
	let fallback = $state<string | null>(null);
	$effect.pre(() => {
		fallback ??= data.spools[Math.max(0, firstOpen)]?.id ?? null;
	});
	const index = $derived(
		Math.max(
			0,
			live.findIndex((e) => e.spool.id === (wanted ?? fallback))
		)
	);
	const evidence = $derived(live[index]);
	const [mean, outside] = $derived(findings[index] ?? []);
	const readings = $derived((evidence?.readings ?? []).filter((r) => r.quantity === 'diameter'));
	const counted = $derived(readings.filter((r) => r.status === 'counts'));
	const at = $derived(counted.length);
	const place = $derived(Math.floor(at / data.protocol.diameterDirections));
	const direction = $derived(data.protocol.diameterDirections === 1 || at % data.protocol.diameterDirections === 0 ? 'along' : 'across');
	const tolerance = $derived(evidence ? stated(evidence.claims, 'diameterTolerance') : null);
	const nominalMm = $derived(mean?.figure.kind === 'strand' ? mean.figure.nominalMm : null);
	const instrument = $derived(data.instruments.find((i) => i.id === instrumentId));
	const odd = $derived(oddReadings(counted)[0]);
	const items = $derived(
		live.map((e, i) => {
			const f = findings[i]?.[0];
			const says = !f || f.n === 0 ? 'to do' : f.n < perSpool ? `${f.n} of ${perSpool}` : `${f.n}, ${GRADE_WORDS[f.grade]}`;
			return railItem(e.spool, says);
		})
	);

	function choose(id: string): void {
		void goto(`?spool=${id}`, { keepFocus: true, noScroll: true, replaceState: true });
		field?.focus();
	}
	function move(by: 1 | -1): void {
		const next = live[(index + by + live.length) % live.length];
		if (next) choose(next.spool.id);
	}
	function keep(typed: string) {
		if (!evidence) return { message: 'There is no spool to measure.', suggestion: null };
		const read = readReading('diameter', typed);
		if (!read.ok) return refusalWords(read);
		void bench.keep({
			spoolId: evidence.spool.id,
			quantity: 'diameter',
			typed,
			placeIndex: place,
			direction,
			...(instrumentId ? { instrumentId } : {})
		});
		return null;
	}
	function takeBack(): void {
		const last = counted.at(-1);
		if (last) void bench.takeBack(last.id);
	}
	async function reload(): Promise<void> {
		await invalidateAll();
		bench.settle();
		field?.focus();
	}
	async function confirm(readingId: string): Promise<void> {
		await send('amendments', { id: newId(), targetKind: 'reading', targetId: readingId, action: 'confirm', ...hereAndNow() });
		await reload();
	}
</script>

<svelte:head><title>Diameter · {data.head.name} · Draught</title></svelte:head>
{#if !evidence || !mean || !outside}
	<EmptyBench title="Diameter" trialId={data.head.id} />
{:else}
	<BenchFrame {items} chosen={evidence.spool.id} onchoose={choose} {move}>
		<div class="flex flex-wrap items-baseline gap-x-3">
			<h1 class="text-[2rem] leading-tight font-bold">{evidence.spool.code}</h1>
			<span class="text-muted">
				{tolerance ? `claims ${nominalMm} ± ${upTo(tolerance.value, 3)} mm` : 'no tolerance stated'} ·
				<InstrumentChoice
					instruments={data.instruments}
					bind:chosen={instrumentId}
					unit="mm"
					store="draught-caliper"
					none="name your caliper"
					onchange={() => field?.focus()}
				/>
				{#if instrument?.errorLimit}u = {fixed(instrumentUncertainty(instrument.errorLimit, instrument.resolution ?? 0), 3)} mm{/if}
			</span>
		</div>
		<p id="place" class="mt-3 mb-1.5 text-[1.05rem]">
			{#if at < perSpool}
				Place <strong>{place + 1} of {data.protocol.diameterPlaces}</strong> · direction <strong>{direction}</strong>
				{direction === 'across' ? '(turn the strand a quarter)' : '(some way on)'}
			{:else}
				The quick check is complete. More readings are welcome; or go on with the next spool <kbd>↓</kbd>.
			{/if}
		</p>
		<CaptureField
			bind:this={field}
			label="Diameter of {evidence.spool.code}"
			unit="mm"
			last={counted.at(-1)?.typedText ?? null}
			{keep}
			{takeBack}
			{move}
			describedBy="place"
		/>
		{#if odd}
			<div class="question mt-4" role="status">
				The reading <strong>{odd.typedText}</strong> is far from its neighbours. Swapped digits? It counts until you say.
				{#if bench.waiting.has(odd.id)}
					It is still waiting to be kept.
				{:else}
					<button type="button" class="link" onclick={() => list?.edit(odd)}>Correct it</button> ·
					<button type="button" class="link" onclick={() => void confirm(odd.id)}>it is right</button>
				{/if}
			</div>
		{/if}
		{#if mean.figure.kind === 'strand'}
			<h2 class="mt-5 mb-1 text-[0.93rem] font-semibold">
				Strand so far, thickness exaggerated{tolerance ? ' between the stated limits (dashed)' : ''}
			</h2>
			<Strand
				data={mean.figure}
				places={data.protocol.diameterPlaces}
				hex={evidence.spool.colourHex}
				width={530}
				height={88}
				label="Strand of {evidence.spool.code}: {mean.figure.places.length} places, n {mean.n}"
			/>
		{/if}
		<dl class="mt-4 grid grid-cols-[4.5rem_1fr] gap-y-2">
			{#each ['along', 'across'] as way (way)}
				{@const here = readings.filter((r) => (r.direction ?? 'along') === way)}
				{#if here.length}
					<dt class="text-muted">{way}</dt>
					<dd><ReadingList bind:this={list} readings={here} waiting={bench.waiting} onchange={() => void reload()} /></dd>
				{/if}
			{/each}
		</dl>
		{#snippet says()}<WhatItSays {mean} {outside} onnext={() => move(1)} />{/snippet}
	</BenchFrame>
{/if}
