<script lang="ts">
	import { sentenceOf } from '$lib/ui/words/refusals';
	import { fieldError } from '$lib/schemas/field-error';
	import { refusedReading } from '$lib/schemas/refused-reading';
	import { READING_DIRECTIONS } from '$lib/core/closed-lists';
	import { goto, invalidateAll } from '$app/navigation';
	import { page } from '$app/state';
	import { diameterProgress } from '$lib/core/diameter/progress';
	import { diameterStation } from '$lib/core/diameter/station';
	import { oddReadings } from '$lib/core/diameter/odd-readings';
	import { stated } from '$lib/core/claims/stated';
	import { instrumentBudget } from '$lib/core/diameter/budget';
	import { toleranceClaims } from '$lib/core/diameter/claims';
	import { instrumentLine } from '$lib/core/diameter/claim-sentence';
	import { claimPlan, strandLengthM, type Zone } from '$lib/core/diameter/claim-plan';
	import { strandOfReadings } from '$lib/core/diameter/strand-of-readings';
	import { USUAL_STRAND } from '$lib/core/pieces/material-needed';
	import { materialOf } from '$lib/core/handbook/material-of';
	import { readReading } from '$lib/core/readings/read-reading';
	import type { Finding } from '$lib/core/finding/types';
	import BenchFrame from '$lib/ui/bench/BenchFrame.svelte';
	import { BenchReadings } from '$lib/ui/bench/bench-readings.svelte';
	import CaptureField from '$lib/ui/bench/CaptureField.svelte';
	import EmptyBench from '$lib/ui/bench/EmptyBench.svelte';
	import InstrumentChoice from '$lib/ui/bench/InstrumentChoice.svelte';
	import { railItem } from '$lib/ui/bench/rail-item';
	import ReadingList from '$lib/ui/bench/ReadingList.svelte';
	import { Shelf } from '$lib/ui/bench/shelf.svelte';
	import Histogram from '$lib/ui/diameter/Histogram.svelte';
	import { barsOfLog, barsOfReadings } from '$lib/ui/diameter/histogram-bars';
	import LeaveOut from '$lib/ui/diameter/LeaveOut.svelte';
	import LogPicture from '$lib/ui/diameter/LogPicture.svelte';
	import ClaimTest from '$lib/ui/diameter/ClaimTest.svelte';
	import type { PastedReading } from '$lib/ui/diameter/pasted-readings';
	import WhatItSays from '$lib/ui/diameter/WhatItSays.svelte';
	import Strand from '$lib/ui/figures/Strand.svelte';
	import { Form } from '$lib/ui/form/form.svelte';
	import { sentence } from '$lib/ui/words/messages';
	import { fixed, plural, upTo } from '$lib/ui/words/numbers';
	import { onDestroy, untrack } from 'svelte';
	import Later from '$lib/ui/shell/Later.svelte';
	import DamagedRecords from '$lib/ui/spool/DamagedRecords.svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const bench = new BenchReadings('diameter');
	let field = $state<CaptureField>();
	let list = $state<ReadingList>();
	let instrumentId = $state('');
	/** Fewer readings make no shape. */
	const ENOUGH_TO_SEE = 5;
	/** Where label says nothing: a kilogram. */
	const USUAL_MASS_G = 1000;

	const perSpool = $derived(data.basis.diameterPlaces * data.basis.diameterDirections);
	const shelf = new Shelf('diameter');
	$effect(() => {
		const { evidence: given, opened } = data;
		untrack(() => void shelf.fill(given, opened));
	});
	onDestroy(() => shelf.stop());
	/** The server knows how far a spool is whose readings are not here yet. */
	const whole = $derived(data.evidence.map((e) => e.spool.id === data.opened || shelf.has(e.spool.id)));
	const live = $derived(data.evidence.map((e) => bench.of(shelf.of(e))));
	const progress = $derived(
		live.map((e, i) => {
			const [here, stored] = [diameterProgress(e), data.progress[i]];
			return whole[i] || !stored ? here : { counted: here.counted + stored.counted, loggedM: stored.loggedM };
		})
	);
	const wanted = $derived(page.url.searchParams.get('spool'));
	// Chosen by address; without one, the first spool that still wanted readings when the page was opened.
	const fallback = untrack(() => data.opened);
	const index = $derived(
		Math.max(
			0,
			live.findIndex((e) => e.spool.id === (wanted ?? fallback))
		)
	);
	const evidence = $derived(live[index]);
	const findings = $derived<Finding[]>(evidence ? diameterStation.find(evidence, data.basis, 0) : []);
	const defs = $derived(diameterStation.quantities(data.basis));
	const mean = $derived(findings[0]);
	const readings = $derived((evidence?.readings ?? []).filter((r) => r.quantity === 'diameter'));
	const counted = $derived(readings.filter((r) => r.status === 'counts'));
	const at = $derived(progress[index]?.counted ?? 0);
	const place = $derived(Math.floor(at / data.basis.diameterDirections));
	const direction = $derived(data.basis.diameterDirections === 1 || at % data.basis.diameterDirections === 0 ? 'along' : 'across');
	const stands = $derived(evidence ? toleranceClaims(evidence, data.basis) : null);
	const claim = $derived(stands?.claims[0] ?? null);
	const nominalMm = $derived(stands?.nominalMm ?? data.basis.nominalMm);
	const instrument = $derived(data.instruments.find((i) => i.id === instrumentId) ?? null);
	const budget = $derived(instrumentBudget(instrument && { ...instrument, quantity: 'length' }, nominalMm, Date.now()));
	/** Quick check: gross fault or not. The claim test is for whoever wants to know more. */
	let testing = $state(false);
	let zone = $state<Zone>('first');
	const lengthM = $derived.by(() => {
		const densityGcm3 =
			(evidence && materialOf(evidence.spool.material, data.basis.handbook)?.densityGcm3?.low) ?? USUAL_STRAND.densityGcm3;
		const massG = (evidence && stated(evidence.claims, 'netMassG')?.value) ?? USUAL_MASS_G;
		return strandLengthM(massG, densityGcm3, nominalMm);
	});
	const plan = $derived.by(() => {
		if (!testing || !evidence || !claim) return null;
		// Planned for the instrument in hand: what a coarser one said before does not count.
		const mine = counted.filter((r) => (r.instrumentId ?? '') === instrumentId);
		const strand = strandOfReadings({ ...evidence, readings: mine }, nominalMm)?.strand ?? null;
		return claimPlan(
			strand,
			claim,
			budget,
			lengthM,
			mine.map((r) => r.positionM)
		);
	});
	const log = $derived(evidence?.logs.filter((l) => l.status === 'counts').at(-1) ?? null);
	let looked = $state<{ fromM: number; toM: number } | null>(null);
	/** What the gauge of the log shows too much, by its check. */
	const logBiasMm = $derived.by(() => {
		const gauge = data.instruments.find((i) => i.id === log?.instrumentId);
		return log ? instrumentBudget(gauge ? { ...gauge, quantity: 'length' } : null, nominalMm, log.at).biasMm : 0;
	});
	const read = $derived(evidence ? strandOfReadings(evidence, nominalMm) : null);
	const struckLogs = $derived(evidence?.logs.filter((l) => l.status === 'excluded') ?? []);
	const odd = $derived(oddReadings(counted)[0]);
	const done = $derived(testing ? plan?.state === 'decided' : at >= perSpool);
	const items = $derived(
		live.map((e, i) => {
			const { counted: n, loggedM } = progress[i] ?? { counted: 0, loggedM: null };
			if (loggedM !== null) return railItem(e.spool, `log of ${upTo(loggedM, 0)} m`);
			return railItem(e.spool, n === 0 ? 'to do' : n < perSpool ? `${n} of ${perSpool}` : plural(n, 'reading'));
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
		if (!evidence) return fieldError('typed', 'noSpoolToMeasure');
		const read = readReading('diameter', typed);
		if (!read.ok) return refusedReading('typed', read);
		void bench.keep({
			spoolId: evidence.spool.id,
			quantity: 'diameter',
			typed,
			placeIndex: place,
			direction,
			...(testing ? { positionM: planned(zone) } : {}),
			...(instrumentId ? { instrumentId } : {})
		});
		return null;
	}
	/** Pasted readings go the same way as typed ones: all of them, or none when one is not understood. */
	function take(pasted: PastedReading[]): string | null {
		if (!evidence) return 'There is no spool to measure.';
		for (const one of pasted) {
			const read = readReading('diameter', one.typed);
			if (!read.ok) return `${one.typed} ${sentenceOf(refusedReading('typed', read))}`;
		}
		const { id: spoolId } = evidence.spool;
		const first = Math.ceil(at / data.basis.diameterDirections);
		for (const { typed, place: row, direction: way, positionM } of pasted)
			void bench.keep({
				spoolId,
				quantity: 'diameter',
				typed,
				placeIndex: first + row,
				direction: way,
				...(positionM === null ? {} : { positionM }),
				...(instrumentId ? { instrumentId } : {})
			});
		return null;
	}
	/** Position of the next reading: on from the zone's start, a metre a place. */
	function planned(of: Zone): number {
		const start = plan?.zones.find((z) => z.zone === of);
		return start ? Math.round(start.positionM + Math.floor(start.taken / data.basis.diameterDirections)) : 0;
	}
	function takeBack(): void {
		const last = counted.at(-1);
		if (last) void bench.takeBack(last.id);
	}
	function setTesting(on: boolean): void {
		testing = on;
		field?.focus();
	}
	async function reload(): Promise<void> {
		await invalidateAll();
		bench.settle();
		field?.focus();
	}
	const amending = new Form({ fields: [] });
	async function amend(
		targetKind: 'reading' | 'log',
		targetId: string,
		action: 'confirm' | 'exclude' | 'reinstate',
		reason = ''
	): Promise<void> {
		if ((await amending.send('amendments', { targetKind, targetId, action, reason })).ok) await reload();
	}
	const confirm = (readingId: string) => amend('reading', readingId, 'confirm');
	const strikeOut = (logId: string) => amend('log', logId, 'exclude', 'struck out at the bench');
	const reinstate = (logId: string) => amend('log', logId, 'reinstate', 'counts again');
</script>

<svelte:head><title>Diameter · {data.head.name} · Draught</title></svelte:head>
{#if !evidence}
	<EmptyBench title="Diameter" trialId={data.head.id} />
{:else}
	<BenchFrame {items} chosen={evidence.spool.id} onchoose={choose} {move}>
		<DamagedRecords damaged={evidence.damaged} kind="log" />
		{#if amending.problem}<p role="alert" class="text-harm">▲ {amending.problem}</p>{/if}
		<div class="flex flex-wrap items-baseline gap-x-3">
			<h1 class="text-[2rem] leading-tight font-bold">{evidence.spool.code}</h1>
			<span class="text-muted">
				{stands?.claims.length
					? `claims ${nominalMm} ± ${stands.claims.map((c) => `${upTo(c.toleranceMm, 3)} mm`).join(' (label), ± ')}${stands.claims.length > 1 ? ' (listing)' : ''}`
					: 'no tolerance stated'} ·
				<InstrumentChoice
					instruments={data.instruments}
					bind:chosen={instrumentId}
					unit="mm"
					store="draught-caliper"
					none="name your caliper"
					onchange={() => field?.focus()}
				/>
			</span>
		</div>
		{#if claim}
			<p class="small mt-1" data-testid="instrument-line">{sentence(instrumentLine(budget.standardUncertaintyMm, claim.toleranceMm))}</p>
			<fieldset class="mt-2 flex gap-x-4">
				<legend class="sr-only">How much to find out</legend>
				<label class="flex min-h-[26px] items-center gap-1.5"
					><input type="radio" name="test" checked={!testing} onchange={() => setTesting(false)} /> quick check
					<span class="small">gross fault or not</span></label
				>
				<label class="flex min-h-[26px] items-center gap-1.5"
					><input type="radio" name="test" checked={testing} onchange={() => setTesting(true)} /> claim test
					<span class="small">kept or broken</span></label
				>
			</fieldset>
		{/if}
		{#if plan}<ClaimTest {plan} bind:zone />{/if}
		<p id="place" class="mt-3 mb-1.5 text-[1.05rem]">
			{#if !done}
				Place <strong>{place + 1}{testing ? '' : ` of ${data.basis.diameterPlaces}`}</strong> · direction <strong>{direction}</strong>
				{direction === 'across' ? '(turn the strand a quarter)' : '(some way on)'}
			{:else if !testing}
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
		<Later height={180}>
			{#if log}
				<h2 class="mt-5 mb-1 text-[0.93rem] font-semibold">Strand as the gauge saw it: {log.name}</h2>
				<LogPicture
					{log}
					code={evidence.spool.code}
					hex={evidence.spool.colourHex}
					limits={claim}
					{nominalMm}
					biasMm={logBiasMm}
					bind:looked
				/>
				<LeaveOut {log} {looked} onchange={() => void reload()} />
				<h2 class="mt-4 mb-1 text-[0.93rem] font-semibold">How often each diameter occurs</h2>
				<Histogram bars={barsOfLog(log.summary.histogram, logBiasMm, claim)} limits={claim} n={log.summary.n} of="sample" />
				<p class="small mt-1">
					{#if logBiasMm !== 0}What the gauge shows too much ({fixed(logBiasMm, 4)} mm by its check) is taken off here.{/if}
					<button type="button" class="link" onclick={() => void strikeOut(log.id)}>Strike this log out</button>
				</p>
			{:else if !whole[index]}
				<p class="small mt-5" role="status">Its {plural(at, 'reading')} are being fetched …</p>
			{:else if mean?.figure.kind === 'strand'}
				<h2 class="mt-5 mb-1 text-[0.93rem] font-semibold">
					Strand so far, thickness exaggerated{claim ? ' between the stated limits (dashed)' : ''}
				</h2>
				<Strand
					data={mean.figure}
					places={data.basis.diameterPlaces}
					hex={evidence.spool.colourHex}
					width={530}
					height={88}
					label="Strand of {evidence.spool.code}: {mean.figure.places.length} places, n {mean.n}"
				/>
				{#if read && read.strand.n >= ENOUGH_TO_SEE}
					<h2 class="mt-4 mb-1 text-[0.93rem] font-semibold">How often each diameter was read{claim ? ', limits dashed' : ''}</h2>
					<Histogram
						bars={barsOfReadings(read.valuesMm, read.strand.budget.resolutionMm, claim)}
						limits={claim}
						n={read.strand.n}
						of="reading"
					/>
				{/if}
			{/if}
		</Later>
		<dl class="mt-4 grid grid-cols-[4.5rem_1fr] gap-y-2">
			{#each READING_DIRECTIONS as way (way)}
				{@const here = readings.filter((r) => (r.direction ?? 'along') === way)}
				{#if here.length}
					<dt class="text-muted">{way}</dt>
					<dd><ReadingList bind:this={list} readings={here} waiting={bench.waiting} onchange={() => void reload()} /></dd>
				{/if}
			{/each}
		</dl>
		{#each struckLogs as struck (struck.id)}
			<p class="small mt-2">
				Struck out: the log {struck.name}.
				<button type="button" class="link" onclick={() => void reinstate(struck.id)}>Let it count again</button>
			</p>
		{/each}
		<Later>
			{#key evidence.spool.id}
				{#await import('$lib/ui/diameter/OtherWays.svelte') then { default: OtherWays }}
					<OtherWays
						spoolId={evidence.spool.id}
						{instrumentId}
						hex={evidence.spool.colourHex}
						limits={claim}
						{nominalMm}
						{take}
						{keep}
						ontaken={() => void reload()}
					/>
				{/await}
			{/key}
		</Later>
		<p class="small mt-4"><a class="link" href="/trials/{data.head.id}/diameter/spools">All spools on one scale</a></p>
		{#snippet says()}
			{#if whole[index]}<WhatItSays {findings} {defs} onnext={() => move(1)} />{:else}<p class="small mt-2">…</p>{/if}
		{/snippet}
	</BenchFrame>
{/if}
