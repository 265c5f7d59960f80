<script lang="ts">
	import type { QuantityDef } from '$lib/core/judging/finding/types';
	import { notCounted, measuredOn, pickInput } from '$lib/core/answers/pick/families';
	import { priceMatters } from '$lib/core/answers/pick/price-matters';
	import { heldAtLeast } from '$lib/core/stations/strength/held';
	import PrinterDemands from '$lib/ui/handbook/PrinterDemands.svelte';
	import PickTable from '$lib/ui/pick/PickTable.svelte';
	import { pickSentence } from '$lib/words/pick-sentence';
	import { besideHouse, pairLine, pairLines, priceWords } from '$lib/words/plain-answers';
	import { settingsLine } from '$lib/ui/prints/attempt-draft';
	import OnePage from '$lib/ui/scorecard/OnePage.svelte';
	import GoodFor from '$lib/ui/pick/GoodFor.svelte';
	import MaterialsNote from '$lib/ui/sheet/MaterialsNote.svelte';
	import { howTested, notKnown, verdictWords } from '$lib/words/one-page';
	import { flagLines } from '$lib/words/messages';
	import { day } from '$lib/words/numbers';
	import { bareValue, columnUnit, inSentence, quantityName } from '$lib/words/quantities';
	import { group } from 'd3-array';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const rows = $derived(data.picked.rows);
	const codeOf = $derived((id: string) => data.spools.find((s) => s.id === id)?.code ?? '?');
	const sides = $derived({ candidates: data.candidates, defs: data.defs, currency: data.head.currency });
	const [alone] = $derived(rows.length === 1 ? rows : []);
	const house = $derived(data.picked.references[0] ?? null);
	const pairs = $derived(alone && house ? [pairLine(alone, house, sides)] : pairLines(rows, sides));
	const price = $derived(priceMatters(rows));
	const input = $derived(pickInput({ candidates: data.candidates, defs: data.defs }, data.criteria, data.rule, data.references));
	const uncounted = $derived(notCounted(input.criteria, data.defs, measuredOn(data.candidates)));
	const flags = $derived(flagLines(data.sheet.flags, codeOf));
	/** What was measured on any spool: the columns of the table. */
	const measured = $derived(
		data.defs.filter((def) => def.onSheet && def.figure !== 'none' && data.candidates.some((candidate) => cell(candidate, def) !== null))
	);
	/** What test parts of a spool held where none broke: known from the sheet, the pick does not need it. */
	const heldOver = (spoolId: string, def: QuantityDef): number | null => {
		const [finding] =
			data.sheet.rows.find((r) => r.spoolId === spoolId)?.cells[data.sheet.columns.findIndex((c) => c.id === def.id)]?.findings ?? [];
		return finding ? heldAtLeast(finding) : null;
	};
	/** One figure of the table: value, range, n. */
	const cell = (candidate: (typeof data.candidates)[number], def: QuantityDef) => {
		const found = candidate.findings[def.id];
		const held = heldOver(candidate.spoolId, def);
		if (held !== null && found) return { value: `over ${bareValue(def, held)}`, range: 'none broke', n: found.n };
		if (!found || found.n === 0 || found.estimate === null) return null;
		const range = found.interval ? `${bareValue(def, found.interval.low)} to ${bareValue(def, found.interval.high)}` : 'no range';
		return { value: bareValue(def, found.estimate), range, n: found.n };
	};
	/** Spools with the same settings are told together. */
	const worked = $derived(
		[...group(data.worked, (one) => `${settingsLine(one.settings)}${one.where ? ` (${one.where})` : ''}`)].map(([text, same]) => ({
			text,
			codes: same.map((one) => one.code).join(', ')
		}))
	);
	const unmeasured = $derived(data.defs.filter((d) => d.onSheet === true && d.family !== null && !measured.includes(d)).map(inSentence));
</script>

<OnePage
	title="{data.head.name}, report"
	fileName="report.html"
	back={{ href: `/trials/${data.head.id}`, name: data.head.name }}
	addressCode={data.addressCode}
	shown={measured}
>
	<header class="flex flex-wrap items-start justify-between gap-x-6">
		<div class="min-w-0">
			<h1 class="wide text-[1.7rem] leading-tight font-bold">{data.head.name}</h1>
			{#if data.head.question}<p>{data.head.question}</p>{/if}
		</div>
		<p class="small text-right">{day(data.today)}</p>
	</header>
	<p class="wide mt-3 text-[1.25rem] leading-snug font-bold" data-testid="report-sentence">
		{#if alone && house}{besideHouse(alone, house, sides)}
		{:else}{pickSentence(rows, data.picked.chances, data.rule, data.head.currency)}{/if}
	</p>
	{#each data.verdicts as verdict (verdict.id)}
		<p class="mt-1">
			<strong>{codeOf(verdict.spoolId)}: {verdictWords(verdict)}</strong>{verdict.note ? `. ${verdict.note}` : ''}
			<span class="small">{day(verdict.at)}</span>
		</p>
	{/each}
	<MaterialsNote trialId={data.head.id} spools={data.spools} houseAside={data.head.houseAside} />
	<PrinterDemands lacks={data.lacks} />
	{#if rows.length > 0}
		<section class="mt-4" aria-label="Ranking">
			<PickTable
				{rows}
				references={data.picked.references}
				chances={data.picked.chances}
				spools={data.spools}
				houseId={data.head.houseId}
				defs={data.defs}
				rule={data.rule}
				currency={data.head.currency}
			/>
		</section>
	{/if}
	{#if pairs.length > 0 || price}
		<section class="mt-4" aria-label="Head to head">
			<h2 class="wide text-[1.05rem] font-bold">Head to head</h2>
			<ul class="mt-1 list-disc space-y-0.5 pl-4">
				{#each pairs as { pair, text } (pair)}<li><strong>{pair}</strong>: {text}</li>{/each}
			</ul>
			{#if price}<p class="mt-1">{priceWords(price)}</p>{/if}
		</section>
	{/if}
	<GoodFor {rows} parts={data.parts} defs={data.defs} {codeOf} class="mt-4" />
	{#if measured.length > 0}
		<section class="mt-4" aria-label="Measured">
			<h2 class="wide text-[1.05rem] font-bold">Measured</h2>
			<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
			<div class="mt-1 overflow-x-auto" role="region" aria-label="Results as a table" tabindex="0">
				<table class="w-full text-left text-[0.75rem] leading-tight">
					<thead>
						<tr class="border-b align-bottom">
							<th class="py-1 pr-1"><span class="sr-only">Spool</span></th>
							{#each measured as def (def.id)}
								<th class="px-1 py-1 font-semibold"
									>{quantityName(def)}<span class="block font-normal text-muted">{columnUnit(def, data.head.currency)}</span></th
								>
							{/each}
						</tr>
					</thead>
					<tbody>
						{#each data.candidates as candidate (candidate.spoolId)}
							<tr class="border-b align-top">
								<th scope="row" class="py-1 pr-1 text-[0.85rem] font-bold">{candidate.code}</th>
								{#each measured as def (def.id)}
									{@const one = cell(candidate, def)}
									<td class="px-1 py-1">
										{#if one}<strong class="block text-[0.85rem]">{one.value}</strong><span class="block text-muted"
												>{one.range}<br />n {one.n}</span
											>{:else}<span class="text-muted">not measured</span>{/if}
									</td>
								{/each}
							</tr>
						{/each}
					</tbody>
				</table>
			</div>
		</section>
	{/if}
	<div class="mt-4 grid gap-x-8 gap-y-4 sm:grid-cols-2">
		<section aria-label="Settings that worked">
			<h2 class="wide text-[1.05rem] font-bold">Settings that worked</h2>
			{#each worked as { codes, text } (text)}
				<p class="mt-0.5 text-[0.9rem]"><strong>{codes}</strong>: {text}</p>
			{:else}
				<p class="mt-1">No print has finished yet.</p>
			{/each}
		</section>
		<section aria-label="How it was tested">
			<h2 class="wide text-[1.05rem] font-bold">How it was tested</h2>
			<p class="mt-1">
				{howTested({
					prints: data.prints,
					pieces: data.pieces,
					conditionPolicy: data.basis.conditionPolicy,
					settingsPolicy: data.basis.settingsPolicy,
					printer: data.head.printer,
					scorers: data.scorers,
					instruments: data.instruments,
					rule: data.rule
				})}
			</p>
		</section>
		<section class="sm:col-span-2" aria-label="Not known">
			<h2 class="wide text-[1.05rem] font-bold">Not known</h2>
			<p class="mt-1">
				This is about these spools; other lots may differ.
				{notKnown({ unmeasured, uncounted })}
			</p>
			{#each flags as line (line)}<p class="small mt-0.5">≠ {line}</p>{/each}
		</section>
	</div>
</OnePage>
