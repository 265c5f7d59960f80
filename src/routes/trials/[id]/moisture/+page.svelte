<script lang="ts">
	import { fieldError, type FieldError } from '$lib/schemas/field-error';
	import { intervalsOf, netWater, relativeWater } from '$lib/core/stations/moisture/account';
	import { waterUptake } from '$lib/core/stations/moisture/quantities';
	import { moistureStation, referenceIndex } from '$lib/core/stations/moisture/station';
	import { tareOf } from '$lib/core/stations/moisture/tare';
	import { suddenChange } from '$lib/core/stations/moisture/sudden-change';
	import { inferBefore, weighings, weighingUncertainty } from '$lib/core/stations/moisture/weighings';
	import type { Before } from '$lib/core/record/evidence/reading';
	import { readReading } from '$lib/core/joins/read-reading';
	import BenchFrame from '$lib/ui/bench/BenchFrame.svelte';
	import { Bench } from '$lib/ui/bench/bench.svelte';
	import { ChosenUnit } from '$lib/ui/form/chosen-unit.svelte';
	import CaptureField from '$lib/ui/bench/CaptureField.svelte';
	import EmptyBench from '$lib/ui/bench/EmptyBench.svelte';
	import InstrumentChoice from '$lib/ui/bench/InstrumentChoice.svelte';
	import ReadingList from '$lib/ui/bench/ReadingList.svelte';
	import AccountChart from '$lib/ui/moisture/AccountChart.svelte';
	import WeighingTable from '$lib/ui/moisture/WeighingTable.svelte';
	import FindingLines from '$lib/ui/prints/FindingLines.svelte';
	import { plural, upTo } from '$lib/words/numbers';
	import { massWords } from '$lib/words/units';
	import { waterNowWords, waterSinceStartWords } from '$lib/words/water';
	import { BEFORE_WORDS } from '$lib/words/closed-lists';
	import Term from '$lib/ui/help/Term.svelte';
	import Later from '$lib/ui/growing/Later.svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	let scaleId = $state('');
	let what = $state<'grossMass' | 'tareMass'>('grossMass');
	/** What the tester says lies before the next weighing; null leaves it to the record. */
	let said = $state<Before | null>(null);
	let sinceOf = $state<Record<string, number>>({});
	// The page's own clock, taken when it opened: only what is recorded up to then can lie before the next weighing.
	const openedAt = Date.now();
	const bench = new Bench({
		station: 'moisture',
		evidence: () => data.evidence,
		status: (e) => {
			const n = weighings(e).length;
			return n ? plural(n, 'weighing') : 'to do';
		},
		onchoose: next
	});
	/** The next weighing is of the whole spool again, and nothing is said yet of what lay before. */
	function next(): void {
		askedAbout = '';
		said = null;
		what = 'grossMass';
	}

	const evidence = $derived(bench.evidence);
	const chain = $derived(evidence ? weighings(evidence) : []);
	const intervals = $derived(intervalsOf(chain));
	const tare = $derived(evidence && chain.length > 0 ? tareOf(evidence, chain) : null);
	const since = $derived(Math.min(sinceOf[evidence?.spool.id ?? ''] ?? referenceIndex(chain), Math.max(0, chain.length - 1)));
	const water = $derived(tare ? relativeWater(chain, tare, since) : []);
	const points = $derived(
		water.map((p) => ({ at: p.at, grossG: p.grossG, before: p.before, pct: p.share * 100, lowPct: p.low * 100, highPct: p.high * 100 }))
	);
	const findings = $derived(evidence ? moistureStation.find(evidence, data.basis) : []);
	/** When the next weighing is of: what the scale showed before it is the last one. */
	const moment = $derived(bench.when.isNow ? openedAt : bench.when.at());
	const last = $derived(bench.when.isNow ? chain.at(-1) : chain.findLast((w) => w.at <= moment));
	const inferred = $derived(evidence && last ? inferBefore(evidence, last.at, moment) : null);
	const total = $derived(netWater(chain));
	const tares = $derived((evidence?.readings ?? []).filter((r) => r.quantity === 'tareMass'));

	/** What was asked about once: pressed again, it is meant. */
	let askedAbout = '';
	/** A jump that nothing explains is asked about before it is kept. */
	function jump(typed: string): FieldError | null {
		const read = readReading(what, typed);
		const at = bench.when.isNow ? Date.now() : bench.when.at();
		if (!read.ok || what !== 'grossMass' || !last || !evidence || askedAbout === typed) return null;
		const scale = evidence.instruments.find((i) => i.id === scaleId);
		const before = said ?? inferBefore(evidence, last.at, at);
		const change = suddenChange(last, { at, grossG: read.value, uG: weighingUncertainty(read.resolution, scale), before });
		if (change === null) return null;
		askedAbout = typed;
		return fieldError('typed', 'suddenChange', { changeG: change });
	}

	const unit = new ChosenUnit('mass');

	function keep(text: string): FieldError | null {
		const typed = unit.meant(text);
		if (!evidence) return fieldError('typed', 'noSpoolToWeigh');
		const read = readReading(what, typed);
		const contradicted = read.ok ? contradiction(read.value) : null;
		const refusal =
			contradicted ??
			jump(typed) ??
			bench.keep(what, typed, {
				...(scaleId ? { instrumentId: scaleId } : {}),
				...(what === 'grossMass' && said ? { before: said } : {})
			});
		if (!refusal) next();
		return refusal;
	}
	/** The full reel weighs more than the empty one. */
	function contradiction(grams: number): FieldError | null {
		const empty = tares.filter((r) => r.status === 'counts').at(-1)?.value ?? null;
		if (what === 'grossMass' && empty !== null && grams <= empty) return fieldError('typed', 'notAboveEmpty', { emptyG: empty });
		if (what === 'tareMass' && last && grams >= last.grossG) return fieldError('typed', 'notBelowGross', { grossG: last.grossG });
		return null;
	}
	const OPTIONS: { value: Before; word: string }[] = [
		{ value: 'print', word: 'printed' },
		{ value: 'dried', word: 'dried' },
		{ value: 'air', word: 'stored in air' }
	];
</script>

<svelte:head><title>Moisture · {data.head.name} · Draught</title></svelte:head>

{#if !evidence}
	<EmptyBench title="Moisture" trialId={data.head.id} />
{:else}
	<BenchFrame items={bench.items} chosen={evidence.spool.id} onchoose={(id) => bench.choose(id)} move={(by) => bench.move(by)}>
		<div class="flex flex-wrap items-baseline gap-x-3">
			<h1 class="text-[2rem] leading-tight font-bold">{evidence.spool.code}</h1>
			<span class="text-muted">
				{evidence.spool.material} ·
				{#if tare?.known}<Term of="emptySpool">empty spool</Term> {massWords(tare.lowG, 1, upTo)}{:else if tare}<Term of="emptySpool"
						>empty spool</Term
					> not weighed, assuming {massWords(tare.lowG, 0)} to {massWords(tare.highG, 0)}{:else}not weighed yet{/if} ·
				<InstrumentChoice
					instruments={data.scales}
					bind:chosen={scaleId}
					trialId={data.head.id}
					what="scale"
					none="add your scale"
					onchange={() => bench.focus()}
				/>
			</span>
		</div>
		<fieldset class="mt-3 mb-1.5 flex flex-wrap items-center gap-x-3 gap-y-1">
			<legend class="sr-only">What is on the scale</legend>
			{#each [['grossMass', 'full spool'], ['tareMass', 'empty spool']] as const as [value, word] (value)}
				<label class="flex min-h-[26px] items-center gap-1.5"
					><input type="radio" name="what" {value} bind:group={what} onchange={() => bench.focus()} /> {word}</label
				>
			{/each}
		</fieldset>
		<CaptureField
			bind:this={bench.field}
			label="{what === 'grossMass' ? 'Full spool' : 'Empty spool'} of {evidence.spool.code}"
			unit={unit.unit}
			units={unit.units}
			onunit={(one) => unit.choose(one)}
			last={unit.again(evidence.readings.find((r) => r.id === last?.id))}
			{keep}
			when={bench.when}
			takeBack={() => bench.takeBack(evidence.readings)}
			move={(by) => bench.move(by)}
			describedBy="before"
		/>
		{#if what === 'grossMass' && last}
			<fieldset id="before" class="mt-3 flex flex-wrap items-center gap-x-3 gap-y-1">
				<legend class="float-left mr-3 text-[0.93rem]">Since last weighing:</legend>
				<label class="flex min-h-[26px] items-center gap-1.5"
					><input type="radio" name="said" checked={said === null} onchange={() => (said = null)} />
					<span>automatic: <strong>{BEFORE_WORDS[inferred ?? 'air']}</strong></span></label
				>
				{#each OPTIONS as option (option.value)}
					<label class="flex min-h-[26px] items-center gap-1.5"
						><input type="radio" name="said" checked={said === option.value} onchange={() => (said = option.value)} /> {option.word}</label
					>
				{/each}
			</fieldset>
		{/if}
		<Later>
			{#if chain.length > 1}
				<h2 class="mt-5 mb-1 font-semibold">Account</h2>
				<AccountChart {points} {chain} code={evidence.spool.code} />
			{/if}
			{#if chain.length > 0}
				<h2 class="mt-4 mb-1 font-semibold">Weighings</h2>
				<WeighingTable
					{chain}
					{intervals}
					readings={evidence.readings}
					waiting={bench.captured.waiting}
					{since}
					onsince={(i) => (sinceOf[evidence.spool.id] = i)}
					onchange={() => void bench.reload()}
					instruments={evidence.instruments}
				/>
			{/if}
			{#if tares.length}
				<p class="small mt-2">
					Empty spool: <ReadingList
						readings={tares}
						waiting={bench.captured.waiting}
						onchange={() => void bench.reload()}
						instruments={evidence.instruments}
					/>
				</p>
			{/if}
		</Later>
		{#snippet results()}
			{#if total}
				<p class="mt-2 text-[1.1rem] leading-snug font-semibold" aria-live="polite" data-testid="moisture-sentence">
					{waterSinceStartWords(total)}
				</p>
				{@const now = water.at(-1)}
				{#if now}<p class="mt-2 text-muted">{waterNowWords(now, chain.length, tare?.known ?? false)}</p>{/if}
			{:else if chain.length > 1}
				<p class="mt-2 text-[1.1rem] leading-snug font-semibold" aria-live="polite" data-testid="moisture-sentence">
					Only printing happened between these weighings: the change cannot be split into water and filament.
				</p>
				<p class="mt-2">Weigh it once before and once after something without a print between: days in the air, or a drying.</p>
			{:else}
				<p class="mt-2">Weigh it now, and again when something happened: a print, a drying, some days in the air.</p>
			{/if}
			{#if chain.length > 1}<FindingLines {findings} defs={[waterUptake]} />{/if}
			<hr class="my-4" />
			<p class="small">
				Weighed earlier? Say when, below the field, or <a class="link" href="/exchange">import a table</a>.
			</p>
		{/snippet}
	</BenchFrame>
{/if}
