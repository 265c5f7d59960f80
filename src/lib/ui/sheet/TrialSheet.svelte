<script lang="ts">
	import HarmIcon from '../form/HarmIcon.svelte';
	import type { SpoolEvidence } from '$lib/core/record/evidence/spool-evidence';
	import type { QuantityDef } from '$lib/core/judging/finding/types';
	import type { ShownSheet } from '$lib/core/answers/sheet/shown-sheet';
	import Figure from '../figures/Figure.svelte';
	import { CELL_WIDTH } from '../figures/scale';
	import { findingLabel } from '../figures/label';
	import { Select } from 'flowbite-svelte';
	import Term from '../help/Term.svelte';
	import { growing } from '../growing/growing.svelte';
	import Sliver from '../figures/Sliver.svelte';
	import { productLine } from '../spool/names';
	import { changedMostWords, missingWords, sentence } from '../../words/messages';
	import { bareValue, quantityName, quantityUnder } from '../../words/quantities';
	import { CONDITION_WORDS } from '../../words/closed-lists';
	import { stationHref } from './station-href';

	type Props = {
		trialId: string;
		sheet: ShownSheet;
		spools: SpoolEvidence['spool'][];
		/** The spool the tester always buys. */
		houseId: string | null;
		places: number;
		currency: string;
		verdicts: Record<string, string>;
	};
	let { trialId, sheet, spools, houseId, places, currency, verdicts }: Props = $props();

	/** A row has a dozen figures: drawn all at once, forty rows would stop the page for half a second. */
	const rows = growing(() => sheet.rows.length, 3, 2);
	const ROW_HEIGHT = 62;

	/** An alone spool cannot be told apart from anything: letters begin with two, and show only where they say something. */
	const lettered = $derived(
		new Set(sheet.columns.filter((_, i) => new Set(sheet.rows.flatMap((r) => r.cells[i]?.letters || [])).size > 1).map((c) => c.id))
	);
	/** On a phone one quantity can be held against itself, spool by spool; empty for all of them. */
	let only = $state('');
	const scaleWords = (def: QuantityDef): [string, string] => {
		if (def.figure === 'strand') return ['start', `${places} places`];
		return [bareValue(def, def.scale.low), bareValue(def, def.scale.high)];
	};
</script>

<label class="mb-2 flex items-center gap-2 md:hidden">
	<span>Show</span>
	<Select placeholder="" size="sm" bind:value={only} aria-label="Which quantity">
		<option value="">everything</option>
		{#each sheet.columns as def (def.id)}<option value={def.id}>{quantityName(def)}</option>{/each}
	</Select>
</label>
<div class="panel relative overflow-x-auto">
	<table class="cards sheet w-full border-collapse text-left" class:single={only !== ''}>
		<caption class="sr-only">One row per spool. Click a cell to measure.</caption>
		<thead>
			<tr class="border-b">
				<th scope="col" class="sticky left-0 z-10 bg-panel px-2 py-1.5 align-top font-semibold"
					>Spool<span class="small block font-normal">code · maker</span></th
				>
				{#each sheet.columns as def (def.id)}
					<th scope="col" class="px-1 py-1.5 align-top font-semibold">
						{quantityName(def)}<span class="small block font-normal whitespace-nowrap">{quantityUnder(def, currency)}</span>
					</th>
				{/each}
			</tr>
		</thead>
		<tbody>
			{#each sheet.rows.slice(0, rows.shown) as row, r (row.spoolId)}
				{@const spool = spools[r]}
				{#if spool}
					<tr class="border-b">
						<th scope="row" class="sticky left-0 z-10 max-w-[9.5rem] min-w-[8rem] bg-panel px-2 py-1 font-normal">
							<a href="/spools/{spool.id}" class="block">
								<span class="wide text-[1.12rem] leading-tight font-bold">{spool.code}</span>
								{#if verdicts[spool.id]}<span class="ml-1 inline-block rounded border border-ink px-1 text-[0.8rem]"
										>{verdicts[spool.id]}</span
									>{/if}
								<span class="flex items-center gap-1.5 leading-none"
									><Sliver
										hex={spool.colourHex}
										label={spool.colourName ?? undefined}
										class={houseId === spool.id ? 'w-7' : 'w-12'}
									/>{#if houseId === spool.id}<span class="text-[0.78rem] font-semibold whitespace-nowrap text-act-ink">house spool</span
										>{/if}</span
								>
								<span class="small line-clamp-2 text-[0.78rem] leading-tight" title={productLine(spool)}>{productLine(spool)}</span>
								{#if row.changedMost}<span class="block text-[0.78rem] leading-tight text-heat" title={sentence(row.changedMost)}
										>{changedMostWords(row.changedMost)}</span
									>{/if}
							</a>
						</th>
						{#each sheet.columns as def, c (def.id)}
							{@const cell = row.cells[c]}
							{@const main = cell?.findings[0]}
							<td
								class="px-1 py-1 align-middle {main ? '' : 'hatched'}"
								class:other={only !== '' && only !== def.id}
								data-name="{quantityName(def)}: {quantityUnder(def, currency)}"
							>
								<a
									href={stationHref(trialId, def.station, spool.id)}
									style:min-width="{CELL_WIDTH}px"
									class="flex min-h-[46px] flex-col justify-center rounded focus-visible:outline-offset-0"
									title={main ? cell?.findings.map((f) => findingLabel(f, def, currency)).join('\n') : undefined}
								>
									{#if !cell || !main}
										{#if cell?.wanted}
											{@const words = missingWords(cell.wanted)}
											<span class="text-[0.85rem] text-muted"><strong class="text-act-ink">{words.lead}</strong> {words.rest}</span>
										{:else if cell?.withheld}
											<span class="small">hidden while blind</span>
										{:else}
											<span class="small">nothing noted</span>
										{/if}
									{:else}
										<Figure findings={cell.findings} {def} hex={spool.colourHex} {places} {currency} />
										<span class="flex min-h-[14px] items-baseline gap-1.5 text-[0.8rem] leading-none font-bold">
											{#if lettered.has(def.id)}<span class="text-act-ink" title="same letter: no clear difference">{cell.letters}</span
												>{/if}
											{#if main.word}<span
													class="font-normal whitespace-nowrap {main.word.id === 'word.jams' || main.word.id === 'word.broken'
														? 'text-harm'
														: 'text-muted'}"
													>{#if main.word.id === 'word.jams'}<HarmIcon />
													{/if}{sentence(main.word)}</span
												>{/if}
											{#if cell.unlike}
												<span title="not a fair comparison: see below the sheet">≠<span class="sr-only">not a fair comparison</span></span>
											{/if}
											{#if main.subject.condition && main.subject.condition !== 'asReceived' && cell.findings.filter((f) => f.n > 0).length === 1}
												<span class="small font-normal">{CONDITION_WORDS[main.subject.condition]}</span>
											{/if}
										</span>
									{/if}
								</a>
							</td>
						{/each}
					</tr>
				{/if}
			{/each}
			{#if rows.shown < sheet.rows.length}<tr data-later aria-hidden="true" style:height="{ROW_HEIGHT * (sheet.rows.length - rows.shown)}px"
				></tr>{/if}
		</tbody>
		<tfoot>
			<tr class="small">
				<td class="sticky left-0 bg-panel"></td>
				{#each sheet.columns as def (def.id)}
					{@const [low, high] = scaleWords(def)}
					<td class="px-1 py-1">
						<span class="flex justify-between" style:max-width="{def.figure === 'words' ? 76 : CELL_WIDTH}px"
							><span>{low}</span><span>{high}</span></span
						>
					</td>
				{/each}
			</tr>
		</tfoot>
	</table>
</div>
<p class="small mt-2 flex flex-wrap gap-x-5 gap-y-1">
	{#if lettered.size > 0}<span><strong class="text-act-ink">a b</strong> <Term of="letters">same letter</Term>: no clear difference</span
		>{/if}
	<span class="flex items-center gap-1"
		><svg viewBox="0 0 12 12" class="size-3" aria-hidden="true"
			><circle cx="6" cy="6" r="4" fill="none" stroke="var(--water)" stroke-width="2" /></svg
		>
		<Term of="states">as received</Term></span
	>
	<span class="flex items-center gap-1"
		><svg viewBox="0 0 12 12" class="size-3" aria-hidden="true"><path d="M6,1l5,5l-5,5l-5,-5z" fill="var(--heat)" /></svg> dried</span
	>
	<span class="flex items-center gap-1"><span class="hatched inline-block size-3 border"></span> not enough yet</span>
	<span>lines: <Term of="range">95 % range</Term></span>
	<span class="hidden md:inline">hover a cell for <Term of="n">n</Term></span>
</p>

<style>
	@media (max-width: 767px) {
		.sheet .other {
			display: none;
		}
		.sheet.single tbody th {
			grid-column: 1;
		}
	}
</style>
