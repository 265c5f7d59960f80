<script lang="ts">
	import Term from '$lib/ui/help/Term.svelte';
	import { goto, invalidateAll } from '$app/navigation';
	import { page } from '$app/state';
	import QuoteList from '$lib/ui/cost/QuoteList.svelte';
	import QuoteForm from '$lib/ui/cost/QuoteForm.svelte';
	import BarFigure from '$lib/ui/figures/BarFigure.svelte';
	import { findingLabel, intervalWords } from '$lib/ui/figures/label';
	import Sliver from '$lib/ui/figures/Sliver.svelte';
	import { productLine } from '$lib/ui/spool/names';
	import { sentence } from '$lib/words/messages';
	import { day, fixed, plural, upTo } from '$lib/words/numbers';
	import { GRADE_WORDS } from '$lib/words/quantities';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const chosen = $derived(page.url.searchParams.get('spool'));
	const currencies = $derived([...new Set(data.costs.flatMap((c) => c.quotes.map((q) => q.currency)))]);

	async function done(): Promise<void> {
		await invalidateAll();
		await goto('?', { noScroll: true });
	}
</script>

<svelte:head><title>Cost · {data.head.name} · Draught</title></svelte:head>
<div class="p-3 md:px-5 md:py-4">
	<h1 class="text-[1.6rem] font-bold">Cost</h1>
	<p class="text-muted">
		Cost of a <Term of="goodKg">good kg</Term>: price, shipping and wasted filament. Failures of printer, set-up and handling do not count.
	</p>
	{#if currencies.length > 1}
		<p class="question mt-3">Prices are in {currencies.join(' and ')}. They are not converted: compare only those of one currency.</p>
	{/if}
	<div class="panel relative mt-3 overflow-x-auto">
		<table class="cards w-full text-left">
			<thead>
				<tr class="border-b align-top">
					<th scope="col" class="px-3 py-1.5">Spool</th>
					<th scope="col" class="px-3 py-1.5">Bought</th>
					<th scope="col" class="px-3 py-1.5 text-right">Per kg<span class="small block font-normal">{data.head.currency}, exact</span></th>
					<th scope="col" class="px-3 py-1.5"
						>Per good kg<span class="small block font-normal">{data.head.currency}, 0 to {upTo(data.def.scale.high, 0)}</span></th
					>
					<th scope="col" class="px-3 py-1.5"><span class="sr-only">act</span></th>
				</tr>
			</thead>
			<tbody>
				{#each data.costs as cost (cost.spool.id)}
					{@const [price, good] = cost.findings}
					{@const quote = cost.quotes.find((q) => q.id === cost.counts) ?? null}
					<tr class="border-b align-top">
						<th scope="row" class="px-3 py-2 font-normal">
							<span class="wide font-bold">{cost.spool.code}</span>
							<span class="block leading-none"><Sliver hex={cost.spool.colourHex} label={cost.spool.colourName ?? undefined} /></span>
							<span class="small">{productLine(cost.spool)}</span>
						</th>
						<td class="whole max-w-72 px-3 py-2">
							{#if quote && price}
								{#each price.messages as message, i (i)}<span class="block">{sentence(message)}</span>{/each}
								<span class="small">seen {day(quote.seenAt)}</span>
							{:else}
								<span class="small">{cost.hidden ? 'hidden while blind' : 'no price noted'}</span>
							{/if}
							{#if cost.quotes.length > 0}
								<QuoteList quotes={cost.quotes} counts={cost.counts} onchange={() => void invalidateAll()} />
							{/if}
						</td>
						<td class="px-3 py-2 text-right font-semibold" data-name="Per kg, {data.head.currency}"
							>{price?.estimate != null ? fixed(price.estimate, 2) : '–'}</td
						>
						<td class="px-3 py-2" data-name="Per good kg, {data.head.currency}">
							{#if good && good.figure.kind === 'bar' && good.figure.base !== null}
								<BarFigure finding={good} def={data.def} label={findingLabel(good, data.def, data.head.currency)} />
								<span class="small block">
									{#if good.estimate !== null}n {plural(good.n, 'print')}, {intervalWords(good, data.def)} · {GRADE_WORDS[
											good.grade
										]}{:else}{sentence(good.messages[0] ?? { id: 'noPrice', params: {} })}{/if}
								</span>
								{#if good.estimate !== null}
									<details class="small max-w-xl">
										<summary>why</summary>
										{#each good.messages.filter((m) => m.id !== 'quoteUsed') as message, i (i)}<span class="block">{sentence(message)}</span
											>{/each}
									</details>
								{/if}
							{/if}
						</td>
						<td class="whole px-3 py-2 text-right whitespace-nowrap">
							{#if !cost.hidden && chosen !== cost.spool.id}<a class="link" href="?spool={cost.spool.id}"
									>{quote ? 'new price' : 'note the price'}</a
								>{/if}
						</td>
					</tr>
					{#if chosen === cost.spool.id && !cost.hidden}
						<tr class="border-b bg-rail">
							<td colspan="5" class="whole px-3 py-3">
								<QuoteForm
									spoolId={cost.spool.id}
									code={cost.spool.code}
									filamentId={cost.filamentId}
									currency={data.head.currency}
									{quote}
									ondone={() => void done()}
								/>
							</td>
						</tr>
					{/if}
				{/each}
			</tbody>
		</table>
	</div>
	<p class="small mt-2">
		The price per kg is from one order (n 1, no range); old prices stay on record. Pale: price. Dark: failures. Line: <Term of="range"
			>95 % range</Term
		>.
	</p>
</div>
