<script lang="ts">
	import type { SpoolEvidence } from '$lib/core/record/evidence/spool-evidence';
	import type { QuantityDef } from '$lib/core/judging/finding/types';
	import type { Chances, PickRow } from '$lib/core/answers/pick/types';
	import type { ValueRule } from '$lib/core/judging/trial/protocol';
	import { QuestionCircleOutline } from 'flowbite-svelte-icons';
	import type { Snippet } from 'svelte';
	import MissedIcon from '../form/MissedIcon.svelte';
	import Term from '../help/Term.svelte';
	import { growing } from '../growing/growing.svelte';
	import Sliver from '../figures/Sliver.svelte';
	import { productLine } from '../spool/names';
	import { chance, fixed } from '../../words/numbers';
	import { criterionName } from './criteria';
	import { gateWords, groupWords } from '../../words/pick-sentence';
	import RangeDot from './RangeDot.svelte';

	type Props = {
		rows: PickRow[];
		references: PickRow[];
		chances: Chances;
		spools: SpoolEvidence['spool'][];
		houseId: string | null;
		defs: QuantityDef[];
		rule: ValueRule;
		currency: string;
		/** What can be done with a spool that only stands beside the others. */
		beside?: Snippet<[PickRow]>;
	};
	let { rows, references, chances, spools, houseId, defs, rule, currency, beside }: Props = $props();

	/** Those that fit on a screen; the rest follow once the page answers keys. */
	const lines = growing(() => rows.length, 9, 6);
	/** So many families have a column; the rest is in the value. */
	const COLUMNS = 4;
	const columns = $derived((rows[0] ?? references[0])?.families.slice(0, COLUMNS).map((f) => f.id) ?? []);
	const spoolOf = $derived((id: string) => spools.find((s) => s.id === id));
	const words = $derived({ defs, currency, codeOf: (id: string) => spoolOf(id)?.code ?? '?' });
	const costs = $derived(
		[...rows, ...references].flatMap((r) => (r.cost === null ? [] : [r.cost, chances.cost[r.spoolId]?.high ?? r.cost]))
	);
	/** The dearest need not be in sight with all it might cost; the cheapest must be told apart. */
	const dearest = $derived(Math.min(Math.max(...costs, 1), 3 * Math.max(1, ...rows.flatMap((r) => r.cost ?? []))));
	/** One spool has no rank: it is neither best nor first. */
	const alone = $derived(rows.length === 1);
	const passes = (row: PickRow) => row.eligible && !row.neverFinished;
	const inFirst = $derived(rows.filter((r) => r.tier === 0).length);
	const groupOf = (row: PickRow) =>
		rule === 'cheapestOfBest' || !row.eligible || row.neverFinished ? groupWords(row, inFirst) : 'In order';
	const headingOf = (row: PickRow, before: PickRow | undefined): string | null => {
		if (alone && passes(row)) return null;
		const heading = groupOf(row);
		return before && groupOf(before) === heading ? null : heading;
	};
	/** A column of chances needs no hundredths of a per cent. */
	const best = (row: PickRow) => {
		const share = chances.places[row.spoolId]?.[0] ?? 0;
		return share < 0.005 ? 'under 1 %' : chance(share, chances.draws);
	};
</script>

{#snippet line(row: PickRow, last: Snippet<[PickRow]> | null)}
	{@const spool = spoolOf(row.spoolId)}
	{@const range = chances.cost[row.spoolId]}
	<tr class="border-b align-middle" data-spool={row.code}>
		<th scope="row" class="px-2 py-1.5 font-normal">
			<span class="flex items-center gap-1.5">
				<a href="/spools/{row.spoolId}" class="wide text-[1.1rem] leading-tight font-bold">{row.code}</a>
				<Sliver hex={spool?.colourHex ?? null} label={spool?.colourName ?? undefined} class="w-9" />
				{#if houseId === row.spoolId}<span class="text-[0.8rem] font-semibold whitespace-nowrap text-act-ink">house spool</span>{/if}
			</span>
			{#if spool}<span class="small block max-w-[9rem] truncate text-[0.8rem] sm:max-w-[12rem]" title={productLine(spool)}
					>{productLine(spool)}</span
				>{/if}
			{#each row.gates.filter((g) => g.state !== 'pass') as gate (gate.quantity)}
				<span class="small block {gate.state === 'fail' ? 'text-harm' : ''}">
					{#if gate.state === 'fail'}<MissedIcon />{:else}<QuestionCircleOutline width="1em" height="1em" class="icon" />{/if}
					{gateWords(gate, words)}
				</span>
			{/each}
		</th>
		<td class="px-1 py-1.5 whitespace-nowrap">
			{#if row.cost === null}
				<span class="small">{row.neverFinished ? 'no good print yet' : 'no price'}</span>
			{:else}
				<span class="flex flex-wrap items-center gap-1">
					<strong class="inline-block min-w-[3rem]">{fixed(row.cost, 2)}</strong>
					<span
						><RangeDot
							mark="stroke"
							value={row.cost / dearest}
							low={(range?.low ?? row.cost) / dearest}
							high={(range?.high ?? row.cost) / dearest}
							label="{fixed(row.cost, 2)} {currency}{range ? `, 95 % ${fixed(range.low, 2)} to ${fixed(range.high, 2)}` : ', no range'}"
						/></span
					>
				</span>
			{/if}
		</td>
		{#each columns as id (id)}
			{@const family = row.families.find((f) => f.id === id)}
			<td class="hidden px-1 py-1.5 sm:table-cell">
				{#if family?.known}
					<RangeDot
						{...family}
						label="{criterionName(id, defs)} {fixed(family.value * 100, 0)} of 100, 95 % {fixed(family.low * 100, 0)} to {fixed(
							family.high * 100,
							0
						)}"
					/>
				{:else}
					<span class="hatched block h-[10px] w-[66px]"><span class="sr-only">{criterionName(id, defs)} not measured</span></span>
				{/if}
			</td>
		{/each}
		<td class="px-2 py-1.5 text-right whitespace-nowrap">
			{#if last}{@render last(row)}{:else if passes(row) && !alone}{best(row)}{/if}
		</td>
	</tr>
{/snippet}

<table class="w-full border-collapse text-left" data-testid="ranking">
	<thead>
		<tr class="border-b text-[0.9rem]">
			<th scope="col" class="px-2 py-1.5 font-medium">Spool</th>
			<th scope="col" class="px-1 py-1.5 font-medium">{currency} per <Term of="goodKg">good kg</Term></th>
			{#each columns as id (id)}<th scope="col" class="hidden px-1 py-1.5 font-medium sm:table-cell">{criterionName(id, defs)}</th>{/each}
			<th scope="col" class="px-2 py-1.5 text-right font-medium"
				>{#if !alone}{#if rule === 'cheapestOfBest'}<Term of="best">best</Term>{:else}first{/if}{/if}</th
			>
		</tr>
	</thead>
	<tbody>
		{#each rows.slice(0, lines.shown) as row, i (row.spoolId)}
			{@const heading = headingOf(row, rows[i - 1])}
			{#if heading}
				<tr class="border-b"
					><th colspan={columns.length + 3} scope="colgroup" class="wide px-2 pt-3 pb-1 text-[0.95rem] font-bold" data-testid="tier"
						>{#if heading === 'Cannot be told apart'}<Term of="told">Cannot be told apart</Term>
							<span class="small font-normal">cheapest first</span>{:else}{heading}{/if}</th
					></tr
				>
			{/if}
			{@render line(row, null)}
		{/each}
		{#if references.length && lines.shown >= rows.length}
			<tr class="border-b"
				><th colspan={columns.length + 3} scope="colgroup" class="wide px-2 pt-3 pb-1 text-[0.95rem] font-bold">Beside them</th></tr
			>
			{#each references as row (row.spoolId)}{@render line(row, beside ?? null)}{/each}
		{/if}
	</tbody>
</table>
