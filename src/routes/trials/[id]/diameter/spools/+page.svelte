<script lang="ts">
	import { Select } from 'flowbite-svelte';
	import { refusedReading } from '$lib/schemas/refused-reading';
	import type { BetweenSpools } from '$lib/core/diameter/between-spools';
	import type { CalibrationPair } from '$lib/core/diameter/calibration';
	import { readReading } from '$lib/core/readings/read-reading';
	import { BenchReadings } from '$lib/ui/bench/bench-readings.svelte';
	import { sentenceOf } from '$lib/ui/words/refusals';
	import SpoolsOnScale from '$lib/ui/diameter/SpoolsOnScale.svelte';
	import { fixed, plural, upTo } from '$lib/ui/words/numbers';
	import type { DiameterWorker } from '$lib/workers/diameter.worker';
	import { wrap } from 'comlink';
	import { onDestroy, untrack } from 'svelte';
	import type { PageProps } from './$types';
	import HarmIcon from '$lib/ui/form/HarmIcon.svelte';

	let { data }: PageProps = $props();
	let found = $state.raw<BetweenSpools | null>(null);
	const of = $derived(Object.fromEntries(data.evidence.map((e) => [e.spool.id, e.spool])));
	const code = (id: string) => of[id]?.code ?? '';

	const bench = new BenchReadings('diameter');
	const live = $derived(data.evidence.map((e) => bench.of(e)));
	let worker: Worker | null = null;

	/** A new question ends the one before. */
	function compare(evidence: typeof live): void {
		worker?.terminate();
		const mine = new Worker(new URL('../../../../../lib/workers/diameter.worker.ts', import.meta.url), { type: 'module' });
		worker = mine;
		void wrap<DiameterWorker>(mine)
			.betweenSpools($state.snapshot(evidence), $state.snapshot(data.basis))
			.then((answer) => {
				if (worker !== mine) return;
				found = answer;
				mine.terminate();
			});
	}
	$effect(() => {
		compare(live);
	});
	onDestroy(() => worker?.terminate());

	let noted = $state({ spoolId: untrack(() => data.evidence[0]?.spool.id ?? ''), quantity: 'calibratedFlow', typed: '' });
	let refusal = $state('');
	function note(event: SubmitEvent): void {
		event.preventDefault();
		const read = readReading(noted.quantity, noted.typed);
		refusal = read.ok ? '' : sentenceOf(refusedReading('typed', read));
		if (!read.ok) return;
		void bench.keep({ spoolId: noted.spoolId, quantity: noted.quantity, typed: noted.typed });
		noted.typed = '';
	}
	const CALIBRATION_WORDS: Record<string, string> = { calibratedFlow: 'Flow ratio', pressureAdvance: 'Pressure advance' };
	const pairWords = (p: CalibrationPair) => {
		const by = `${code(p.a)} and ${code(p.b)} differ by ${fixed(Math.abs(p.difference), 3)}`;
		if (!p.interval) return `${by}: cannot be told from the scatter of calibrating, which one value does not show. Calibrate each again.`;
		const range = `95 % ${fixed(p.interval.low, 3)} to ${fixed(p.interval.high, 3)}`;
		return p.outcome === 'apart' ? `${by}: a real difference (${range}).` : `${by}: no more than calibrating again may give (${range}).`;
	};

	/** The first thing to know. */
	const says = $derived.by(() => {
		if (!found) return '';
		if (found.spools.length < 2) return 'One spool alone: there is nothing to compare it with.';
		const [first] = found.apart;
		if (!first) return 'No two of these spools can be told apart by their mean diameter.';
		return `${plural(found.apart.length, 'pair')} can be told apart by the mean diameter; the farthest are ${code(first.a)} and ${code(first.b)}, ${fixed(Math.abs(first.differenceMm), 3)} mm apart (95 % over all pairs ${fixed(Math.min(Math.abs(first.lowMm), Math.abs(first.highMm)), 3)} to ${fixed(Math.max(Math.abs(first.lowMm), Math.abs(first.highMm)), 3)}).`;
	});
	const sd = (variance: number | null) => (variance === null ? 'not to be told' : `${fixed(Math.sqrt(variance), 4)} mm`);
</script>

<svelte:head><title>Spools on one scale · {data.head.name} · Draught</title></svelte:head>
<div class="max-w-5xl space-y-4 p-3 md:px-5 md:py-4">
	<p class="small"><a class="link" href="/trials/{data.head.id}/diameter">Diameter</a></p>
	<h1 class="text-[1.6rem] font-bold">Spools on one scale</h1>
	{#if !found}
		<p role="status">Comparing {plural(data.evidence.length, 'spool')} …</p>
	{:else if found.spools.length === 0}
		<p>Nothing is measured yet.</p>
	{:else}
		<p class="wide text-[1.1rem] font-semibold" data-testid="between-sentence">{says}</p>
		<div class="panel px-3 py-2"><SpoolsOnScale spools={found.spools} {of} nominalMm={data.basis.nominalMm} /></div>
		<h2 class="font-semibold">Why</h2>
		<ul class="small wide space-y-1.5">
			<li>
				Spools that share a letter cannot be told apart (Games-Howell over the means of their places, unequal spreads, 95 % over all pairs).
			</li>
			{#if found.spreads}
				<li>
					{found.spreads.p < 0.05 ? 'Their spreads differ' : 'No difference of their spreads can be shown'}: Brown-Forsythe F {fixed(
						found.spreads.f,
						2
					)} on {found.spreads.df1} and {found.spreads.df2} degrees of freedom, p {found.spreads.p < 0.001
						? 'under 0.001'
						: `= ${upTo(found.spreads.p, 3)}`}.
				</li>
			{/if}
			{#if found.unlikeInstruments}
				<li>Not all were read with one instrument: between two instruments their own uncertainty is added, within one it cancels.</li>
			{/if}
		</ul>
		{#if found.products.length}
			<h2 class="font-semibold">One product, several spools</h2>
			<div class="overflow-x-auto">
				<table class="text-left text-[0.93rem]">
					<caption class="sr-only">Where the spread of a product comes from</caption>
					<thead>
						<tr class="border-b text-[0.85rem]">
							<th scope="col" class="py-1 pr-6 font-medium">Product</th>
							<th scope="col" class="pr-6 font-medium">Within a spool</th>
							<th scope="col" class="pr-6 font-medium">Between spools</th>
							<th scope="col" class="pr-6 font-medium">Between lots</th>
							<th scope="col" class="font-medium">From</th>
						</tr>
					</thead>
					<tbody>
						{#each found.products as p (p.maker + p.filament)}
							<tr class="border-b">
								<th scope="row" class="py-1 pr-6 font-semibold">{p.maker} · {p.filament}</th>
								<td class="pr-6">{sd(p.variance.within)}</td>
								<td class="pr-6">{sd(p.variance.spools)}</td>
								<td class="pr-6">{p.lotsApart ? sd(p.variance.lots) : 'not to be told from spools'}</td>
								<td class="small"
									>{plural(p.variance.n.readings, 'place')}, {plural(p.variance.n.spools, 'spool')}{p.lotsApart
										? `, ${plural(p.variance.n.lots, 'lot')}`
										: ''}; no interval</td
								>
							</tr>
						{/each}
					</tbody>
				</table>
			</div>
			<p class="small wide">
				Standard deviations from a nested analysis of variance. With one spool of each lot, “between spools” holds both. A spool whose lot
				is not noted counts as a lot of its own.
			</p>
		{/if}
	{/if}
	<section aria-labelledby="calibrations" class="space-y-2">
		<h2 id="calibrations" class="font-semibold">Calibrations</h2>
		<p class="small wide">
			Flow ratio and pressure advance as your own calibration gave them. Two values show how far the calibration itself scatters; one
			cannot.
		</p>
		<form class="flex flex-wrap items-end gap-3" onsubmit={note} novalidate>
			<label class="text-[0.85rem]"
				>Spool<Select placeholder="" size="sm" class="block" bind:value={noted.spoolId}
					>{#each data.evidence as e (e.spool.id)}<option value={e.spool.id}>{e.spool.code}</option>{/each}</Select
				></label
			>
			<label class="text-[0.85rem]"
				>What<Select placeholder="" size="sm" class="block" bind:value={noted.quantity}
					>{#each Object.entries(CALIBRATION_WORDS) as [value, word] (value)}<option {value}>{word}</option>{/each}</Select
				></label
			>
			<label class="text-[0.85rem]"
				>Value<input
					class="block w-28 rounded border bg-panel px-2 py-1"
					inputmode="decimal"
					bind:value={noted.typed}
					aria-invalid={refusal ? 'true' : undefined}
					aria-describedby="calibration-refusal"
				/></label
			>
			<button type="submit" class="panel px-3 py-1 font-semibold">Keep</button>
			<span id="calibration-refusal" class="text-[0.85rem] text-harm" role="status"
				>{#if refusal}<HarmIcon /> Value {refusal}{/if}</span
			>
		</form>
		{#each found?.calibrations ?? [] as c (c.quantity)}
			<h3 class="font-semibold">{CALIBRATION_WORDS[c.quantity]}</h3>
			<ul class="text-[0.93rem]">
				{#each c.spools as s (s.spoolId)}
					<li>
						<strong>{code(s.spoolId)}</strong>
						{fixed(s.mean, 3)}
						<span class="small"
							>n {s.values.length}, {s.low === null || s.high === null
								? 'no interval'
								: `95 % ${fixed(s.low, 3)} to ${fixed(s.high, 3)}`}</span
						>
					</li>
				{/each}
			</ul>
			<ul class="small wide space-y-1" data-testid="pairs-{c.quantity}">
				{#each c.pairs as pair (pair.a + pair.b)}<li>{pairWords(pair)}</li>{/each}
			</ul>
		{/each}
	</section>
</div>
