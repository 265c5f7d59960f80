<script lang="ts">
	import type { BetweenSpools } from '$lib/core/stations/diameter/between-spools';
	import SpoolsOnScale from '$lib/ui/diameter/SpoolsOnScale.svelte';
	import { apartWords, spreadsWords } from '$lib/words/diameter';
	import { plural } from '$lib/words/numbers';
	import { lengthWords } from '$lib/words/units';
	import type { DiameterWorker } from '$lib/workers/diameter.worker';
	import { wrap } from 'comlink';
	import { onDestroy } from 'svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	let found = $state.raw<BetweenSpools | null>(null);
	const of = $derived(Object.fromEntries(data.evidence.map((e) => [e.spool.id, e.spool])));
	const code = (id: string) => of[id]?.code ?? '';

	let worker: Worker | null = null;

	/** A new question ends the one before. */
	function compare(evidence: typeof data.evidence): void {
		worker?.terminate();
		const mine = new Worker(new URL('../../../../../lib/workers/diameter.worker.ts', import.meta.url), { type: 'module' });
		worker = mine;
		void wrap<DiameterWorker>(mine)
			.betweenSpools(evidence, data.basis)
			.then((answer) => {
				if (worker !== mine) return;
				found = answer;
				mine.terminate();
			});
	}
	$effect(() => {
		compare(data.evidence);
	});
	onDestroy(() => worker?.terminate());

	/** The first thing to know. */
	const says = $derived(found ? apartWords(found, code) : '');
	const sd = (variance: number | null) => (variance === null ? 'unknown' : lengthWords(Math.sqrt(variance), 4));
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
		<h2 class="font-semibold">Method</h2>
		<ul class="small wide space-y-1.5">
			<li>
				Spools that share a letter show no clear difference (Games-Howell over the means of their spots, unequal spreads, 95 % over all
				pairs).
			</li>
			{#if found.spreads}
				<li>{spreadsWords(found.spreads)}</li>
			{/if}
			{#if found.unlikeInstruments}
				<li>Not all were read with one instrument: between two instruments their own uncertainty is added, within one it cancels.</li>
			{/if}
		</ul>
		{#if found.products.length}
			<h2 class="font-semibold">One product, several spools</h2>
			<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
			<div class="overflow-x-auto" role="region" aria-label="What tells spools apart" tabindex="0">
				<table class="cards text-left text-[0.93rem]">
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
								<td class="pr-6" data-name="Within a spool">{sd(p.variance.within)}</td>
								<td class="pr-6" data-name="Between spools">{sd(p.variance.spools)}</td>
								<td class="pr-6" data-name="Between lots">{p.lotsApart ? sd(p.variance.lots) : 'cannot be separated from spools'}</td>
								<td class="small" data-name="From"
									>{plural(p.variance.n.readings, 'spot')}, {plural(p.variance.n.spools, 'spool')}{p.lotsApart
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
	<p class="small wide">
		Flow ratio and pressure advance are noted on each spool’s own page. The <a class="link" href="/trials/{data.head.id}">sheet</a> says whether
		one preset will do for two spools of a product.
	</p>
</div>
