<script lang="ts">
	import { VALUE_RULES } from '$lib/core/record/lists/closed-lists';
	import { invalidateAll } from '$app/navigation';
	import type { ValueRule } from '$lib/core/judging/trial/protocol';
	import { explain } from '$lib/core/answers/pick/explain';
	import { measuredOn, notCounted, pickInput } from '$lib/core/answers/pick/families';
	import { priceMatters } from '$lib/core/answers/pick/price-matters';
	import { paretoEdge } from '$lib/core/answers/pick/pareto';
	import type { DrawnQuantities } from '$lib/core/answers/pick/drawn-quantities';
	import { blocksOf, pickFrom } from '$lib/core/answers/pick/pick-from';
	import { PICK_DRAWS, PICK_SEED, QUICK_DRAWS } from '$lib/core/answers/pick/seed';
	import type { Criterion, PickInput } from '$lib/core/answers/pick/types';
	import Choice from '$lib/ui/form/Choice.svelte';
	import { Form } from '$lib/ui/form/form.svelte';
	import { isShortcut } from '$lib/ui/form/keys';
	import { Draws } from '$lib/ui/pick/draws.svelte';
	import GoodFor from '$lib/ui/pick/GoodFor.svelte';
	import PickChart from '$lib/ui/pick/PickChart.svelte';
	import { counting } from '$lib/ui/pick/criteria';
	import PickTable from '$lib/ui/pick/PickTable.svelte';
	import { explanationLines, pickSentence, usefulNext } from '$lib/words/pick-sentence';
	import { besideHouse, mostLost, pairLine, pairLines, priceWords } from '$lib/words/plain-answers';
	import VerdictForm from '$lib/ui/pick/VerdictForm.svelte';
	import Weights from '$lib/ui/pick/Weights.svelte';
	import { flagLines } from '$lib/words/messages';
	import Archive from '$lib/ui/form/Archive.svelte';
	import { day, dayAndTime, fixed, grouped } from '$lib/words/numbers';
	import { inSentence } from '$lib/words/quantities';
	import PrinterDemands from '$lib/ui/handbook/PrinterDemands.svelte';
	import MaterialsNote from '$lib/ui/sheet/MaterialsNote.svelte';
	import { stationHref } from '$lib/ui/sheet/station-href';
	import { choices, importanceWords, RULE_WORDS, VERDICT_WORDS } from '$lib/words/closed-lists';
	import Term from '$lib/ui/help/Term.svelte';
	import Later from '$lib/ui/growing/Later.svelte';
	import { onDestroy, tick, untrack } from 'svelte';
	import type { PageProps } from './$types';
	import Problem from '$lib/ui/form/Problem.svelte';

	let { data }: PageProps = $props();
	const draws = new Draws();
	onDestroy(() => draws.stop());

	// Moved weights show at once; they are kept when the hand lets go.
	let moved = $state.raw<Criterion[] | null>(null);
	let movedRule = $state<ValueRule | null>(null);
	const weighing = new Form({ fields: [], supersedes: true });
	const ruling = new Form({ fields: [], supersedes: true });
	const joining = new Form({ fields: [] });
	const problem = $derived(weighing.problem || ruling.problem || joining.problem);
	let tableOpen = $state(false);
	async function openVerdict(): Promise<void> {
		verdictOpen = true;
		await tick();
		const first = document.querySelector<HTMLElement>('input[name="verdict-spool"]');
		first?.focus();
		first?.scrollIntoView({ block: 'center' });
	}
	let verdictOpen = $state(untrack(() => data.verdicts.length > 0));
	const criteria = $derived(moved ?? data.criteria);
	const rule = $derived(movedRule ?? data.rule);
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
		return moved || movedRule ? pickFrom(input, blocks()) : data.picked;
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
	const blots = $derived(
		rows.flatMap((row) =>
			row.cost === null || !tested
				? []
				: [
						{
							id: row.spoolId,
							code: row.code,
							hex: spoolOf(row.spoolId)?.colourHex ?? null,
							worth: row.worth,
							cost: row.cost,
							worthRange: chances.worth[row.spoolId] ?? null,
							costRange: chances.cost[row.spoolId] ?? null,
							out: !row.eligible || row.neverFinished
						}
					]
		)
	);
	const edge = $derived(paretoEdge(blots.filter((b) => !b.out)));
	const weighedFlags = $derived(
		data.flags.filter((f) => input.criteria.some((c) => c.quantity === f.quantity && (c.weight > 0 || c.gate)))
	);

	const FLAGS_SHOWN = 4;
	const flagged = $derived(flagLines(weighedFlags, codeOf));

	// A pause between drags, so that a moving slider does not start a worker a pixel.
	let timer: ReturnType<typeof setTimeout> | undefined;
	$effect(() => {
		const asked = input;
		// Of few spools the server makes all draws at once.
		const served = !moved && !movedRule && data.picked.chances.draws === PICK_DRAWS;
		untrack(() => {
			clearTimeout(timer);
			if (served) draws.stop();
			else timer = setTimeout(() => void draws.ask(asked), 120);
		});
		return () => clearTimeout(timer);
	});

	// Weights settle one after the other, so that the last one moved is the last one kept.
	let settling = $state(0);
	let queue = Promise.resolve();
	/** The weights as they were last shown or saved here. */
	let seenItems = untrack(() => data.criteria);
	function settle(items: Criterion[]): void {
		settling += 1;
		queue = queue.then(async () => {
			const sent = await weighing.send('criteria', { trialId: data.head.id, items, seen: { items: seenItems } });
			if (sent.ok) seenItems = items;
			else if (sent.status === 409) {
				await invalidateAll();
				seenItems = data.criteria;
			}
			settling -= 1;
		});
	}
	/** What was measured and not counted counts from now on. */
	function count(): void {
		const items = uncounted.reduce<Criterion[]>((of, def) => counting(of, def, data.defs), criteria);
		moved = items;
		settle(items);
	}
	async function compete(spoolId: string): Promise<void> {
		const sent = await joining.send('trial-spools', { trialId: data.head.id, spoolId, role: 'houseInvited' });
		if (sent.ok) await invalidateAll();
	}
	let seenRule = untrack(() => data.head.valueRule);
	async function setRule(value: ValueRule): Promise<void> {
		movedRule = value;
		const sent = await ruling.send('protocols', { trialId: data.head.id, valueRule: value, seen: { valueRule: seenRule } });
		if (sent.ok) seenRule = value;
		else if (sent.status === 409) {
			await invalidateAll();
			seenRule = data.head.valueRule;
		}
	}
</script>

<svelte:window
	onkeydown={(event) => {
		if (!isShortcut(event, 'v')) return;
		event.preventDefault();
		void openVerdict();
	}}
/>

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
			{#if weighing.unknown || ruling.unknown}<button
					type="button"
					class="link"
					onclick={() => void (weighing.unknown ? weighing : ruling).again()}>Press again</button
				>{/if}
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
			{#if flagged.length}
				<section class="question" aria-label="Not a fair comparison">
					<h2 class="font-semibold">≠ Not a fair comparison</h2>
					<ul>
						{#each flagged.slice(0, FLAGS_SHOWN) as line (line)}<li>{line}</li>{/each}
					</ul>
					{#if flagged.length > FLAGS_SHOWN}
						<details>
							<summary class="small py-1">{flagged.length - FLAGS_SHOWN} more</summary>
							<ul>
								{#each flagged.slice(FLAGS_SHOWN) as line (line)}<li>{line}</li>{/each}
							</ul>
						</details>
					{/if}
				</section>
			{/if}
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
			<section aria-label="Value against cost" class="panel px-3 py-2">
				<h2 class="font-semibold">Value against cost</h2>
				{#if blots.length > 0}
					<Later height={230}><PickChart {blots} {edge} currency={data.head.currency} /></Later>
				{:else}
					<p class="hatched mt-2 p-6 text-center">
						{data.head.blind
							? 'Prices are hidden while the trial is blind.'
							: tested
								? 'No price noted yet: there is no cost to set value against.'
								: 'Nothing measured yet: there is no value to set against cost.'}
					</p>
				{/if}
				<details class="mt-1" bind:open={tableOpen}>
					<summary class="small py-1">The same as a table</summary>
					{#if tableOpen}
						<table class="mt-1 w-full text-left text-[0.9rem]">
							<thead
								><tr class="border-b"><th>Spool</th><th>Value without cost (95 %)</th><th>{data.head.currency} per good kg (95 %)</th></tr
								></thead
							>
							<tbody>
								{#each blots as b (b.id)}
									<tr class="border-b">
										<th scope="row" class="font-semibold">{b.code}</th>
										<td
											>{fixed(b.worth * 100, 0)} ({b.worthRange
												? `${fixed(b.worthRange.low * 100, 0)} to ${fixed(b.worthRange.high * 100, 0)}`
												: 'drawing'})</td
										>
										<td
											>{fixed(b.cost, 2)} ({b.costRange ? `${fixed(b.costRange.low, 2)} to ${fixed(b.costRange.high, 2)}` : 'no range'})</td
										>
									</tr>
								{/each}
							</tbody>
						</table>
					{/if}
				</details>
			</section>
			<section aria-label="What counts" class="panel px-3 py-2">
				<h2 class="flex items-baseline justify-between gap-2 font-semibold">
					<span>What counts <span class="small font-normal">{importanceWords(data.head.preset)}</span></span>
					<span class="small font-normal" role="status" data-testid="weights-state">{settling > 0 ? 'saving …' : moved ? 'saved' : ''}</span
					>
				</h2>
				<Later height={320}>
					<Weights
						{criteria}
						defs={data.defs}
						{measured}
						reference={data.basis.costReference === null ? null : `${fixed(data.basis.costReference, 2)} ${data.head.currency}`}
						currency={data.head.currency}
						onchange={(items) => (moved = items)}
						onsettled={settle}
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
					<Choice name="rule" legend="Rule" value={rule} onchange={(v) => void setRule(v)} options={choices(VALUE_RULES, RULE_WORDS)} />
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
			<section aria-label="Verdict" class="panel px-3 py-2">
				<details bind:open={verdictOpen}>
					<summary class="font-semibold">Verdict</summary>
					<div class="mt-2 space-y-3">
						{#if verdictOpen}
							<VerdictForm
								trialId={data.head.id}
								spools={rows.map((r) => ({ id: r.spoolId, code: r.code }))}
								ondone={() => void invalidateAll()}
							/>
						{/if}
						<ul class="space-y-1.5">
							{#each data.verdicts as verdict (verdict.id)}
								<li>
									<strong>{codeOf(verdict.spoolId)}</strong>: {verdict.kind === 'buyFor'
										? `buy for ${verdict.buyFor}`
										: VERDICT_WORDS[verdict.kind]}
									{#if verdict.note}<span class="block italic">{verdict.note}</span>{/if}
									<span class="small block"
										>{dayAndTime(verdict.at)} · with the figures of that day (calculations {verdict.coreVersion})</span
									>
									<Archive
										kind="verdict"
										id={verdict.id}
										name="the verdict on {codeOf(verdict.spoolId)}"
										archived={false}
										does="withdraw"
									/>
								</li>
							{/each}
							{#each data.withdrawn as verdict (verdict.id)}
								<li class="text-muted">
									<span class="line-through">{codeOf(verdict.spoolId)}</span>, {day(verdict.at)}: withdrawn
									<Archive kind="verdict" id={verdict.id} name="the verdict on {codeOf(verdict.spoolId)}" archived={true} />
								</li>
							{/each}
						</ul>
					</div>
				</details>
			</section>
		</div>
	</div>
</div>
