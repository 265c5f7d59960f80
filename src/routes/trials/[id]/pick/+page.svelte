<script lang="ts">
	import { VALUE_RULES } from '$lib/core/record/lists/closed-lists';
	import { invalidateAll } from '$app/navigation';
	import { explain } from '$lib/core/answers/pick/explain';
	import { measuredOn, notCounted, pickInput } from '$lib/core/answers/pick/families';
	import { priceMatters } from '$lib/core/answers/pick/price-matters';
	import type { DrawnQuantities } from '$lib/core/answers/pick/drawn-quantities';
	import { blocksOf, pickFrom } from '$lib/core/answers/pick/pick-from';
	import { PICK_DRAWS, PICK_SEED, QUICK_DRAWS } from '$lib/core/answers/pick/seed';
	import type { Criterion, PickInput } from '$lib/core/answers/pick/types';
	import Choice from '$lib/ui/form/Choice.svelte';
	import { Form } from '$lib/ui/form/form.svelte';
	import { Draws } from '$lib/ui/pick/draws.svelte';
	import GoodFor from '$lib/ui/pick/GoodFor.svelte';
	import { counting } from '$lib/ui/pick/criteria';
	import PickTable from '$lib/ui/pick/PickTable.svelte';
	import { explanationLines, pickSentence, usefulNext } from '$lib/words/pick-sentence';
	import { besideHouse, mostLost, pairLine, pairLines, priceWords } from '$lib/words/plain-answers';
	import NotComparable from '$lib/ui/pick/NotComparable.svelte';
	import ValueAgainstCost from '$lib/ui/pick/ValueAgainstCost.svelte';
	import VerdictPanel from '$lib/ui/pick/VerdictPanel.svelte';
	import { Weighing } from '$lib/ui/pick/weighing.svelte';
	import Weights from '$lib/ui/pick/Weights.svelte';
	import { flagLines } from '$lib/words/messages';
	import { day, fixed, grouped } from '$lib/words/numbers';
	import { inSentence } from '$lib/words/quantities';
	import PrinterDemands from '$lib/ui/handbook/PrinterDemands.svelte';
	import MaterialsNote from '$lib/ui/sheet/MaterialsNote.svelte';
	import { stationHref } from '$lib/ui/sheet/station-href';
	import { choices, importanceWords, RULE_WORDS } from '$lib/words/closed-lists';
	import Term from '$lib/ui/help/Term.svelte';
	import Later from '$lib/ui/growing/Later.svelte';
	import { onDestroy, untrack } from 'svelte';
	import type { PageProps } from './$types';
	import Problem from '$lib/ui/form/Problem.svelte';

	let { data }: PageProps = $props();
	const draws = new Draws();
	onDestroy(() => draws.stop());

	const weighing = new Weighing(() => ({ trialId: data.head.id, criteria: data.criteria, rule: data.rule }));
	const joining = new Form({ fields: [] });
	const problem = $derived(weighing.problem || joining.problem);
	const { criteria, rule } = $derived(weighing);
	const input = $derived<PickInput>(pickInput({ candidates: data.candidates, defs: data.defs }, criteria, rule, data.references));
	const measured = $derived(measuredOn(data.candidates));
	// Draws do not depend on weights: while a hand moves one they are weighed anew, not drawn anew.
	const blocks = $derived.by(() => {
		const { candidates, defs } = data;
		let drawn: DrawnQuantities[] | null = null;
		return () => (drawn ??= [...blocksOf({ candidates, defs }, QUICK_DRAWS, PICK_SEED)]);
	});
	const picked = $derived.by(() => {
		if (draws.picked?.of === input) return draws.picked.by;
		return weighing.isMoved ? pickFrom(input, blocks()) : data.picked;
	});
	const rows = $derived(picked.rows);
	const chances = $derived(picked.chances);
	const spoolOf = $derived((id: string) => data.spools.find((s) => s.id === id));
	const codeOf = $derived((id: string) => spoolOf(id)?.code ?? '?');
	const words = $derived({ defs: data.defs, currency: data.head.currency, codeOf });
	const references = $derived(picked.references);
	const explanation = $derived(explain(input, rows));
	/** Whether what would make the order surer was done before: what prints cost rests on prints. */
	const doneBefore = $derived.by(() => {
		const { quantity, spoolId } = explanation.firmUp ?? { quantity: '', spoolId: '' };
		const findings = data.candidates.find((c) => c.spoolId === spoolId)?.findings;
		return (findings?.[quantity === 'costPerGoodKg' ? 'printSuccess' : quantity]?.n ?? 0) > 0;
	});
	const next = $derived(explanation.firmUp ? usefulNext(explanation.firmUp, words, doneBefore) : null);
	const tested = $derived(rows.some((r) => r.families.some((f) => f.known)));
	const lost = $derived(rule === 'cheapestOfBest' && tested ? mostLost(rows) : null);
	const sides = $derived({ candidates: data.candidates, defs: data.defs, currency: data.head.currency });
	const beside = $derived(references[0] ?? null);
	const price = $derived(priceMatters(rows));
	const uncounted = $derived(notCounted(input.criteria, data.defs, measured));
	/** One spool is never first: it is told beside the house spool. */
	const alone = $derived(rows.length === 1 ? rows[0] : null);
	const pairs = $derived(alone && beside ? [pairLine(alone, beside, sides)] : pairLines(rows, sides));
	/** Whether the first place rests on several reels of its product. */
	const lots = $derived.by(() => {
		const first = spoolOf(rows[0]?.spoolId ?? '');
		return first?.filament ? data.spools.filter((s) => s.maker === first.maker && s.filament === first.filament).length : 1;
	});
	const weighedFlags = $derived(
		data.flags.filter((f) => input.criteria.some((c) => c.quantity === f.quantity && (c.weight > 0 || c.gate)))
	);
	const flagged = $derived(flagLines(weighedFlags, codeOf));

	// A pause between drags, so that a moving slider does not start a worker a pixel.
	let timer: ReturnType<typeof setTimeout> | undefined;
	$effect(() => {
		const asked = input;
		// Of few spools the server makes all draws at once.
		const served = !weighing.isMoved && data.picked.chances.draws === PICK_DRAWS;
		untrack(() => {
			clearTimeout(timer);
			if (served) draws.stop();
			else timer = setTimeout(() => void draws.ask(asked), 120);
		});
		return () => clearTimeout(timer);
	});

	/** What was measured and not counted counts from now on. */
	function count(): void {
		weighing.settle(uncounted.reduce<Criterion[]>((of, def) => counting(of, def, data.defs), criteria));
	}
	async function compete(spoolId: string): Promise<void> {
		const sent = await joining.send('trial-spools', { trialId: data.head.id, spoolId, role: 'houseInvited' });
		if (sent.ok) await invalidateAll();
	}
</script>

<svelte:head><title>Pick · {data.head.name} · Draught</title></svelte:head>
<div class="p-3 md:px-5 md:py-4">
	<h1 class="sr-only">Pick</h1>
	<p class="wide text-[1.35rem] leading-snug font-bold" aria-live="polite" data-testid="pick-sentence">
		{#if alone && beside}{besideHouse(alone, beside, sides)}
		{:else}{pickSentence(rows, chances, rule, data.head.currency)}{/if}
	</p>
	<p class="text-[0.9rem]"><a class="link" href="/trials/{data.head.id}/report">Report on one page</a></p>
	<MaterialsNote trialId={data.head.id} spools={data.spools} houseAside={data.head.houseAside} />
	<PrinterDemands lacks={data.lacks} />
	{#if data.turned}
		<p class="question mt-1">
			Since {day(data.turned.at)} the record knows more of how such prints differ (priors {data.turned.number}): {codeOf(data.turned.after)} is
			first now; before it was {codeOf(data.turned.before)}.
		</p>
	{/if}
	{#if problem}
		<Problem class="mt-1">
			{problem}
			{#if weighing.unknown}<button type="button" class="link" onclick={() => weighing.again()}>Press again</button>{/if}
		</Problem>
	{/if}
	<div class="mt-3 grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-[minmax(0,1fr)_342px]">
		<div class="min-w-0 space-y-4">
			<section aria-label="Ranking" class="panel">
				<PickTable
					{rows}
					{references}
					{chances}
					spools={data.spools}
					houseId={data.head.houseId}
					defs={data.defs}
					{rule}
					currency={data.head.currency}
				>
					{#snippet beside(row)}<button type="button" class="link text-[0.85rem]" onclick={() => void compete(row.spoolId)}
							>let it compete</button
						>{/snippet}
				</PickTable>
				<p class="small px-2 py-2">
					Lines are <Term of="range">95 % ranges</Term>. {rows.length === 1
						? ''
						: rule === 'cheapestOfBest'
							? 'Best: chance to be best without cost. A spool stays in a group while it may well be as good as the best in it.'
							: 'First: chance to stand first by this rule.'}
					{lots > 1
						? `${lots} spools of the first one’s product are included.`
						: 'This is about these spools, not yet the products: other lots may differ.'}
				</p>
			</section>
			{#if pairs.length > 0 || price}
				<section class="panel grid gap-x-6 gap-y-3 px-3 py-2 md:grid-cols-2" aria-label="Head to head">
					{#if pairs.length > 0}
						<div>
							<h2 class="font-semibold">Head to head</h2>
							<ul class="mt-1 list-disc space-y-1 pl-4">
								{#each pairs as { pair, text } (pair)}<li><strong>{pair}</strong>: {text}</li>{/each}
							</ul>
						</div>
					{/if}
					<div>
						{#if price}
							<h2 class="font-semibold">Does price matter here?</h2>
							<p class="mt-1">{priceWords(price)}</p>
						{/if}
						{#each explanationLines(explanation, rows, words) as line (line)}<p class="small mt-1">{line}</p>{/each}
					</div>
				</section>
			{/if}
			<Later><GoodFor {rows} parts={data.parts} defs={data.defs} {codeOf} class="panel px-3 py-2" /></Later>
			<NotComparable lines={flagged} />
		</div>
		<div class="min-w-0 space-y-4">
			{#if next && !alone}
				<section aria-label="Most useful next" class="panel border-l-4 border-l-act px-3 py-2">
					<h2 class="font-semibold">Most useful next</h2>
					<p class="mt-1">{next.text}</p>
					<div class="mt-2 flex items-center gap-3">
						<a
							class="rounded bg-act px-4 py-1.5 font-semibold whitespace-nowrap text-on-act"
							href={stationHref(data.head.id, next.station, next.spoolId)}>Do it</a
						>
						{#if lost !== null}
							<span class="small">or stop: a wrong choice costs {fixed(lost, 2)} {data.head.currency} a kg at most</span>
						{/if}
					</div>
				</section>
			{/if}
			{#if alone}
				<section aria-label="Scorecard" class="panel border-l-4 border-l-act px-3 py-2">
					<h2 class="font-semibold">One spool has no rank</h2>
					<p class="mt-1">
						Its <a class="link" href="/spools/{alone.spoolId}/scorecard">scorecard</a> sets it beside every spool of its material seen here.
					</p>
				</section>
			{/if}
			<ValueAgainstCost
				{rows}
				{chances}
				currency={data.head.currency}
				{tested}
				blind={data.head.blind}
				hexOf={(id) => spoolOf(id)?.colourHex ?? null}
			/>
			<section aria-label="What counts" class="panel px-3 py-2">
				<h2 class="flex items-baseline justify-between gap-2 font-semibold">
					<span>What counts <span class="small font-normal">{importanceWords(data.head.preset)}</span></span>
					<span class="small font-normal" role="status" data-testid="weights-state">{weighing.state}</span>
				</h2>
				<Later height={320}>
					<Weights
						{criteria}
						defs={data.defs}
						{measured}
						reference={data.basis.costReference === null ? null : `${fixed(data.basis.costReference, 2)} ${data.head.currency}`}
						currency={data.head.currency}
						onchange={(items) => weighing.move(items)}
						onsettled={(items) => weighing.settle(items)}
					/>
				</Later>
				{#if uncounted.length}
					<p class="mt-2 text-act-ink" data-testid="not-counted">
						Measured, not counted: {uncounted.map(inSentence).join(', ')} (<button type="button" class="link" onclick={count}
							>count {uncounted.length === 1 ? 'it' : 'them'}</button
						>)
					</p>
				{/if}
				<div class="mt-2 border-t pt-2">
					<Choice
						name="rule"
						legend="Rule"
						value={rule}
						onchange={(v) => void weighing.setRule(v)}
						options={choices(VALUE_RULES, RULE_WORDS)}
					/>
				</div>
				<details class="mt-1">
					<summary class="small py-1">Method</summary>
					<p class="small mt-1">
						{draws.progress < 1
							? 'drawing more …'
							: `${grouped(chances.draws)} draws, seed ${PICK_SEED}, ${data.priors === 0 ? 'priors of the house' : `priors ${data.priors}`}`}
					</p>
				</details>
			</section>
			<VerdictPanel
				trialId={data.head.id}
				verdicts={data.verdicts}
				withdrawn={data.withdrawn}
				spools={rows.map((r) => ({ id: r.spoolId, code: r.code }))}
				{codeOf}
			/>
		</div>
	</div>
</div>
