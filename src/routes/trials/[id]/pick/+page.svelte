<script lang="ts">
	import { VALUE_RULES } from '$lib/core/closed-lists';
	import { invalidateAll } from '$app/navigation';
	import type { ValueRule } from '$lib/core/trial/protocol';
	import { explain } from '$lib/core/pick/explain';
	import { paretoEdge } from '$lib/core/pick/pareto';
	import type { DrawnQuantities } from '$lib/core/pick/drawn-quantities';
	import { blocksOf, pickFrom } from '$lib/core/pick/pick-from';
	import { PICK_SEED } from '$lib/core/pick/seed';
	import type { Criterion, PickInput, PickRow } from '$lib/core/pick/types';
	import Choice from '$lib/ui/form/Choice.svelte';
	import { Form } from '$lib/ui/form/form.svelte';
	import ChanceBar from '$lib/ui/pick/ChanceBar.svelte';
	import { Draws } from '$lib/ui/pick/draws.svelte';
	import PickChart from '$lib/ui/pick/PickChart.svelte';
	import { explanationLines, gateWords, groupWords, knownWords, pickSentence } from '$lib/ui/pick/pick-sentence';
	import VerdictForm from '$lib/ui/pick/VerdictForm.svelte';
	import Weights from '$lib/ui/pick/Weights.svelte';
	import Sliver from '$lib/ui/spool/Sliver.svelte';
	import { flagLines } from '$lib/ui/words/messages';
	import { chance, day, dayAndTime, fixed, grouped, plural } from '$lib/ui/words/numbers';
	import { choices, RULE_WORDS, VERDICT_WORDS } from '$lib/ui/words/closed-lists';
	import Later from '$lib/ui/shell/Later.svelte';
	import { onDestroy, untrack } from 'svelte';
	import type { PageProps } from './$types';
	import Problem from '$lib/ui/form/Problem.svelte';
	import MissedIcon from '$lib/ui/form/MissedIcon.svelte';
	import { QuestionCircleOutline } from 'flowbite-svelte-icons';

	let { data }: PageProps = $props();
	const SHOWN = 3;
	const draws = new Draws();
	onDestroy(() => draws.stop());

	// Moved weights show at once; they are kept when the hand lets go.
	let moved = $state.raw<Criterion[] | null>(null);
	let movedRule = $state<ValueRule | null>(null);
	const weighing = new Form({ fields: [], supersedes: true });
	const ruling = new Form({ fields: [], supersedes: true });
	const problem = $derived(weighing.problem || ruling.problem);
	let unfolded = $state(false);
	let tableOpen = $state(false);
	let verdictOpen = $state(untrack(() => data.verdicts.length > 0));
	const criteria = $derived(moved ?? data.criteria);
	const rule = $derived(movedRule ?? data.rule);
	const input = $derived<PickInput>({ candidates: data.candidates, defs: data.defs, criteria, rule });
	// Draws do not depend on weights: while a hand moves one they are weighed anew, not drawn anew.
	const QUICK = 2000;
	const blocks = $derived.by(() => {
		const { candidates, defs } = data;
		let drawn: DrawnQuantities[] | null = null;
		return () => (drawn ??= [...blocksOf({ candidates, defs }, QUICK, PICK_SEED)]);
	});
	const picked = $derived.by(() => {
		if (draws.picked?.of === input) return draws.picked.by;
		return moved || movedRule ? pickFrom(input, blocks()) : data.picked;
	});
	const rows = $derived(picked.rows);
	const chances = $derived(picked.chances);
	const explanation = $derived(explain(input, rows));
	const spoolOf = $derived((id: string) => data.spools.find((s) => s.id === id));
	const codeOf = $derived((id: string) => spoolOf(id)?.code ?? '?');
	const words = $derived({ defs: data.defs, currency: data.head.currency, codeOf });
	const blots = $derived(
		rows.flatMap((row) =>
			row.cost === null
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
	const costWords = $derived((row: PickRow) => {
		if (row.cost === null) return row.neverFinished ? 'no good print yet' : 'no price';
		const range = chances.cost[row.spoolId];
		return `${fixed(row.cost, 1)} ${data.head.currency} per good kg${range ? ` (95 % ${fixed(range.low, 1)} to ${fixed(range.high, 1)})` : ''}`;
	});
	const shown = $derived(unfolded ? rows : rows.slice(0, SHOWN));
	const weighedFlags = $derived(data.flags.filter((f) => criteria.some((c) => c.quantity === f.quantity && (c.weight > 0 || c.gate))));

	const FLAGS_SHOWN = 3;
	const flagged = $derived(flagLines(weighedFlags, codeOf));

	// A pause between drags, so that a moving slider does not start a worker a pixel.
	let timer: ReturnType<typeof setTimeout> | undefined;
	$effect(() => {
		const asked = input;
		untrack(() => {
			clearTimeout(timer);
			timer = setTimeout(() => void draws.ask(asked), 120);
		});
		return () => clearTimeout(timer);
	});

	// Weights settle one after the other, so that the last one moved is the last one kept.
	let settling = $state(0);
	let queue = Promise.resolve();
	function settle(items: Criterion[]): void {
		settling += 1;
		queue = queue.then(async () => {
			await weighing.send('criteria', { trialId: data.head.id, items });
			settling -= 1;
		});
	}
	async function setRule(value: ValueRule): Promise<void> {
		movedRule = value;
		await ruling.send('protocols', { trialId: data.head.id, valueRule: value });
	}
</script>

<svelte:head><title>Pick · {data.head.name} · Draught</title></svelte:head>
<div class="p-3 md:px-5 md:py-4">
	<h1 class="sr-only">Pick</h1>
	<p class="wide text-[1.35rem] leading-snug font-bold" aria-live="polite" data-testid="pick-sentence">
		{pickSentence(rows, chances, rule, data.head.currency)}
	</p>
	<p class="small">It speaks of these reels, not yet of the products: other lots may differ.</p>
	{#if data.turned}
		<p class="question mt-1">
			Since {day(data.turned.at)} the record knows more of how such prints differ (priors {data.turned.number}): {codeOf(data.turned.after)} stands
			first, where {codeOf(data.turned.before)} stood before.
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
	<div class="mt-3 grid grid-cols-[minmax(0,1fr)] gap-4 lg:grid-cols-[235px_minmax(0,1fr)_310px]">
		<section aria-label="Weights and gates" class="panel order-2 px-3 py-2 lg:order-1">
			<h2 class="flex items-baseline justify-between font-semibold">
				Weights and gates
				<span class="small font-normal" role="status" data-testid="weights-state">{settling > 0 ? 'keeping …' : moved ? 'kept' : ''}</span>
			</h2>
			<Weights {criteria} defs={data.defs} currency={data.head.currency} onchange={(items) => (moved = items)} onsettled={settle} />
		</section>
		<div class="order-3 min-w-0 space-y-4 lg:order-2">
			<section aria-label="Value against cost" class="panel px-3 py-2">
				<h2 class="font-semibold">Value against cost</h2>
				{#if blots.length > 0}
					<Later height={300}><PickChart {blots} {edge} currency={data.head.currency} /></Later>
				{:else}
					<p class="hatched mt-2 p-6 text-center">
						{data.head.blind ? 'Prices are hidden while the trial is blind.' : 'No price noted yet: there is no cost to set value against.'}
					</p>
				{/if}
				<details class="mt-1" bind:open={tableOpen}>
					<summary class="small">The same as a table</summary>
					{#if tableOpen}
						<table class="mt-1 w-full text-left text-[0.9rem]">
							<thead
								><tr class="border-b"
									><th>Spool</th><th>Value without cost (95 % of draws)</th><th>{data.head.currency} per good kg (95 % of draws)</th></tr
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
											>{fixed(b.cost, 2)} ({b.costRange
												? `${fixed(b.costRange.low, 2)} to ${fixed(b.costRange.high, 2)}`
												: 'no interval'})</td
										>
									</tr>
								{/each}
							</tbody>
						</table>
					{/if}
				</details>
			</section>
			<section aria-label="Why" class="panel px-3 py-2">
				<h2 class="font-semibold">Why</h2>
				<ul class="mt-1 list-disc space-y-1 pl-4">
					{#each explanationLines(explanation, rows, words) as line (line)}<li>{line}</li>{/each}
				</ul>
				{#if flagged.length}
					<div class="question mt-2">
						<h3 class="font-semibold">≠ Not like with like</h3>
						<ul>
							{#each flagged.slice(0, FLAGS_SHOWN) as line (line)}<li>{line}</li>{/each}
						</ul>
						{#if flagged.length > FLAGS_SHOWN}
							<details>
								<summary class="small">{flagged.length - FLAGS_SHOWN} more</summary>
								<ul>
									{#each flagged.slice(FLAGS_SHOWN) as line (line)}<li>{line}</li>{/each}
								</ul>
							</details>
						{/if}
					</div>
				{/if}
			</section>
		</div>
		<div class="order-1 space-y-4 lg:order-3">
			<section aria-label="Ranking" class="panel px-3 py-2">
				<Choice name="rule" legend="Rule" value={rule} onchange={(v) => void setRule(v)} options={choices(VALUE_RULES, RULE_WORDS)} />
				<ol class="mt-2" data-testid="ranking">
					{#each shown as row, i (row.spoolId)}
						{@const spool = spoolOf(row.spoolId)}
						{@const places = chances.places[row.spoolId]}
						{@const before = shown[i - 1]}
						{#if rule === 'cheapestOfBest' && (!before || groupWords(before) !== groupWords(row))}
							<li class="pt-2 text-[0.95rem] font-semibold" data-testid="tier">{groupWords(row)}</li>
						{/if}
						<li class="border-b py-2">
							<div class="flex items-baseline gap-2">
								<span class="w-5 font-bold">{row.eligible ? `${row.place}.` : '–'}</span>
								<a href="/spools/{row.spoolId}" class="wide text-[1.1rem] font-bold">{row.code}</a>
								{#if data.roles[row.spoolId] === 'house'}<span class="text-[0.85rem] font-semibold text-act-ink">house spool</span>{/if}
								<Sliver hex={spool?.colourHex ?? null} label={spool?.colourName ?? undefined} class="w-10" />
								<span class="small ml-auto"
									>{row.neverFinished
										? 'no good print yet'
										: row.eligible
											? `${rule === 'cheapestOfBest' ? 'best' : 'first'}: ${chance(places?.[0] ?? 0, chances.draws)}`
											: 'fails a gate'}</span
								>
							</div>
							<div class="mt-1 pl-7">
								<div class="h-[7px]">
									{#if places}<ChanceBar {places} draws={chances.draws} />{/if}
								</div>
								<p class="small">
									{costWords(row)} · {knownWords(row)}
								</p>
								{#each row.gates.filter((g) => g.state !== 'pass') as gate (gate.quantity)}
									<p class="small {gate.state === 'fail' ? 'text-harm' : ''}">
										{#if gate.state === 'fail'}<MissedIcon />{:else}<QuestionCircleOutline width="1em" height="1em" class="icon" />{/if}
										{gateWords(gate, words)}
									</p>
								{/each}
							</div>
						</li>
					{/each}
				</ol>
				{#if rows.length > SHOWN}
					<button type="button" class="link mt-2" aria-expanded={unfolded} onclick={() => (unfolded = !unfolded)}
						>{unfolded ? 'First three only' : `All ${plural(rows.length, 'spool')}`}</button
					>
				{/if}
				<p class="small mt-2 min-h-5">
					{draws.progress < 1
						? 'drawing more …'
						: `${grouped(chances.draws)} draws, seed ${PICK_SEED}, ${data.priors === 0 ? 'priors of the house' : `priors ${data.priors}`}`}
				</p>
			</section>
			<section aria-label="Verdict" class="panel px-3 py-2">
				<details bind:open={verdictOpen}>
					<summary class="font-semibold">Verdict</summary>
					<div class="mt-2 space-y-3">
						<VerdictForm
							trialId={data.head.id}
							spools={rows.map((r) => ({ id: r.spoolId, code: r.code }))}
							ondone={() => void invalidateAll()}
						/>
						<ul class="space-y-1.5">
							{#each data.verdicts as verdict (verdict.id)}
								<li>
									<strong>{codeOf(verdict.spoolId)}</strong>: {verdict.kind === 'buyFor'
										? `buy for ${verdict.buyFor}`
										: VERDICT_WORDS[verdict.kind]}
									{#if verdict.note}<span class="block italic">{verdict.note}</span>{/if}
									<span class="small block">{dayAndTime(verdict.at)} · frozen with core {verdict.coreVersion}</span>
								</li>
							{/each}
						</ul>
					</div>
				</details>
			</section>
		</div>
	</div>
</div>
