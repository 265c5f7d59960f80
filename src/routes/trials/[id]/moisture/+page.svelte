<script lang="ts">
	import { fieldError, type FieldError } from '$lib/schemas/field-error';
	import { refusedReading } from '$lib/schemas/refused-reading';
	import { goto, invalidateAll } from '$app/navigation';
	import { page } from '$app/state';
	import { intervalsOf, netWater, relativeWater } from '$lib/core/moisture/account';
	import { waterUptake } from '$lib/core/moisture/quantities';
	import { moistureStation, referenceIndex } from '$lib/core/moisture/station';
	import { tareOf } from '$lib/core/moisture/tare';
	import { inferBefore, weighings } from '$lib/core/moisture/weighings';
	import type { Before } from '$lib/core/evidence/reading';
	import { readReading } from '$lib/core/readings/read-reading';
	import BenchFrame from '$lib/ui/bench/BenchFrame.svelte';
	import { BenchReadings } from '$lib/ui/bench/bench-readings.svelte';
	import CaptureField from '$lib/ui/bench/CaptureField.svelte';
	import EmptyBench from '$lib/ui/bench/EmptyBench.svelte';
	import InstrumentChoice from '$lib/ui/bench/InstrumentChoice.svelte';
	import { railItem } from '$lib/ui/bench/rail-item';
	import ReadingList from '$lib/ui/bench/ReadingList.svelte';
	import AccountChart from '$lib/ui/moisture/AccountChart.svelte';
	import WeighingTable from '$lib/ui/moisture/WeighingTable.svelte';
	import FindingLines from '$lib/ui/prints/FindingLines.svelte';
	import { fixed, plural, upTo } from '$lib/ui/words/numbers';
	import { BEFORE_WORDS } from '$lib/ui/words/closed-lists';
	import Later from '$lib/ui/shell/Later.svelte';
	import { untrack } from 'svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const bench = new BenchReadings('moisture');
	let field = $state<CaptureField>();
	let scaleId = $state('');
	let what = $state<'grossMass' | 'tareMass'>('grossMass');
	/** What the tester says lies before the next weighing; null leaves it to the record. */
	let said = $state<Before | null>(null);
	let sinceOf = $state<Record<string, number>>({});
	// The page's own clock, taken when it opened: only what is recorded up to now can lie before the next weighing.
	const openedAt = Date.now();

	const live = $derived(data.evidence.map((e) => bench.of(e)));
	const fallback = untrack(() => data.spools[0]?.id ?? null);
	const index = $derived(
		Math.max(
			0,
			live.findIndex((e) => e.spool.id === (page.url.searchParams.get('spool') ?? fallback))
		)
	);
	const evidence = $derived(live[index]);
	const chain = $derived(evidence ? weighings(evidence) : []);
	const intervals = $derived(intervalsOf(chain));
	const tare = $derived(evidence && chain.length > 0 ? tareOf(evidence, chain) : null);
	const since = $derived(Math.min(sinceOf[evidence?.spool.id ?? ''] ?? referenceIndex(chain), Math.max(0, chain.length - 1)));
	const water = $derived(tare ? relativeWater(chain, tare, since) : []);
	const points = $derived(
		water.map((p) => ({ at: p.at, grossG: p.grossG, before: p.before, pct: p.share * 100, lowPct: p.low * 100, highPct: p.high * 100 }))
	);
	const findings = $derived(evidence ? moistureStation.find(evidence, data.basis, 0) : []);
	const last = $derived(chain.at(-1));
	const inferred = $derived(evidence && last ? inferBefore(evidence, last.at, openedAt) : null);
	const total = $derived(netWater(chain));
	const tares = $derived((evidence?.readings ?? []).filter((r) => r.quantity === 'tareMass'));
	const items = $derived(
		live.map((e) => {
			const n = weighings(e).length;
			return railItem(e.spool, n ? plural(n, 'weighing') : 'to do');
		})
	);

	function choose(id: string): void {
		void goto(`?spool=${id}`, { keepFocus: true, noScroll: true, replaceState: true });
		said = null;
		what = 'grossMass';
		field?.focus();
	}
	function move(by: 1 | -1): void {
		const next = live[(index + by + live.length) % live.length];
		if (next) choose(next.spool.id);
	}
	function keep(typed: string) {
		if (!evidence) return fieldError('typed', 'noSpoolToWeigh');
		const read = readReading(what, typed);
		if (!read.ok) return refusedReading('typed', read);
		const contradicted = contradiction(read.value);
		if (contradicted) return contradicted;
		void bench.keep({
			spoolId: evidence.spool.id,
			quantity: what,
			typed,
			...(scaleId ? { instrumentId: scaleId } : {}),
			...(what === 'grossMass' && said ? { before: said } : {})
		});
		said = null;
		what = 'grossMass';
		return null;
	}
	/** The full reel weighs more than the empty one. */
	function contradiction(grams: number): FieldError | null {
		const empty = tares.filter((r) => r.status === 'counts').at(-1)?.value ?? null;
		if (what === 'grossMass' && empty !== null && grams <= empty) return fieldError('typed', 'notAboveEmpty', { emptyG: empty });
		if (what === 'tareMass' && last && grams >= last.grossG) return fieldError('typed', 'notBelowGross', { grossG: last.grossG });
		return null;
	}
	function takeBack(): void {
		const latest = [...(evidence?.readings ?? [])].filter((r) => r.status === 'counts').sort((a, b) => b.takenAt - a.takenAt)[0];
		if (latest) void bench.takeBack(latest.id);
	}
	async function reload(): Promise<void> {
		await invalidateAll();
		bench.settle();
	}
	const OPTIONS: { value: Before; word: string }[] = [
		{ value: 'print', word: 'a print' },
		{ value: 'dried', word: 'drying' },
		{ value: 'air', word: 'air' }
	];
</script>

<svelte:head><title>Moisture · {data.head.name} · Draught</title></svelte:head>

{#if !evidence}
	<EmptyBench title="Moisture" trialId={data.head.id} />
{:else}
	<BenchFrame {items} chosen={evidence.spool.id} onchoose={choose} {move}>
		<div class="flex flex-wrap items-baseline gap-x-3">
			<h1 class="text-[2rem] leading-tight font-bold">{evidence.spool.code}</h1>
			<span class="text-muted">
				{evidence.spool.material} ·
				{#if tare?.known}empty reel {upTo(tare.lowG, 1)} g{:else if tare}empty reel not weighed, {fixed(tare.lowG, 0)} to {fixed(
						tare.highG,
						0
					)} g allowed for{:else}not weighed yet{/if} ·
				<InstrumentChoice
					instruments={data.scales}
					bind:chosen={scaleId}
					unit="g"
					store="draught-scale"
					none="name your scale"
					onchange={() => field?.focus()}
				/>
			</span>
		</div>
		<fieldset class="mt-3 mb-1.5 flex flex-wrap items-center gap-x-3 gap-y-1">
			<legend class="sr-only">What is weighed</legend>
			{#each [['grossMass', 'spool with its reel'], ['tareMass', 'the empty reel']] as const as [value, word] (value)}
				<label class="flex min-h-[26px] items-center gap-1.5"
					><input type="radio" name="what" {value} bind:group={what} onchange={() => field?.focus()} /> {word}</label
				>
			{/each}
		</fieldset>
		<CaptureField
			bind:this={field}
			label="{what === 'grossMass' ? 'Gross mass' : 'Empty reel'} of {evidence.spool.code}"
			unit="g"
			last={last?.typedText ?? null}
			{keep}
			{takeBack}
			{move}
			describedBy="before"
		/>
		{#if what === 'grossMass' && last}
			<fieldset id="before" class="mt-3 flex flex-wrap items-center gap-x-3 gap-y-1">
				<legend class="float-left mr-3 text-[0.93rem]">Since the last weighing:</legend>
				<label class="flex min-h-[26px] items-center gap-1.5"
					><input type="radio" name="said" checked={said === null} onchange={() => (said = null)} />
					<span>as the record says: <strong>{BEFORE_WORDS[inferred ?? 'air']}</strong></span></label
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
					waiting={bench.waiting}
					{since}
					onsince={(i) => (sinceOf[evidence.spool.id] = i)}
					onchange={() => void reload()}
				/>
			{/if}
			{#if tares.length}
				<p class="small mt-2">Empty reel: <ReadingList readings={tares} waiting={bench.waiting} onchange={() => void reload()} /></p>
			{/if}
		</Later>
		{#snippet says()}
			{#if total}
				<p class="mt-2 text-[1.1rem] leading-snug font-semibold" aria-live="polite" data-testid="moisture-sentence">
					{total.waterG > 0 ? '+' : ''}{fixed(total.waterG, 1)} ± {fixed(2 * total.uG, 1)} g of water in all, printing taken out.
				</p>
				{#if water.at(-1)}
					{@const now = water.at(-1)}
					<p class="mt-2 text-muted">
						Now {fixed((now?.share ?? 0) * 100, 2)} % against the chosen state (95 % {fixed((now?.low ?? 0) * 100, 2)} to {fixed(
							(now?.high ?? 0) * 100,
							2
						)} %{tare?.known ? '' : ', every likely reel allowed for'}), n {chain.length}.
					</p>
				{/if}
			{:else if chain.length > 1}
				<p class="mt-2 text-[1.1rem] leading-snug font-semibold" aria-live="polite" data-testid="moisture-sentence">
					Only printing lies between these weighings: none of the change can be told for water.
				</p>
				<p class="mt-2">Weigh it once before and once after something without a print between: days in the air, or a drying.</p>
			{:else}
				<p class="mt-2">Weigh it now, and again when something happened: a print, a drying, some days in the air.</p>
			{/if}
			<FindingLines {findings} defs={[waterUptake]} />
			<hr class="my-4" />
			<p class="small">
				Weighings older than today come in as a table: <a class="link" href="/exchange">data in and out</a>.
			</p>
		{/snippet}
	</BenchFrame>
{/if}
