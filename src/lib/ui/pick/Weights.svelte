<script lang="ts">
	import { FAMILIES, type Family } from '$lib/core/record/lists/closed-lists';
	import type { QuantityDef } from '$lib/core/judging/finding/types';
	import { familyCriterion, weighedOf } from '$lib/core/answers/pick/families';
	import type { Criterion } from '$lib/core/answers/pick/types';
	import { Range } from 'flowbite-svelte';
	import { untrack } from 'svelte';
	import { FAMILY_WORDS } from '../../words/closed-lists';
	import { inSentence, quantityName, quantityUnder } from '../../words/quantities';
	import { counting, isInFamily, notCounting, withCriterion } from './criteria';
	import Limit from './Limit.svelte';

	type Props = {
		criteria: Criterion[];
		defs: QuantityDef[];
		measured: (quantity: string) => boolean;
		/** What one pays now for a kilogram, in words. */
		reference: string | null;
		currency: string;
		onchange: (items: Criterion[]) => void;
		onsettled: (items: Criterion[]) => void;
	};
	let { criteria, defs, measured, reference, currency, onchange, onsettled }: Props = $props();

	let detailsOpen = $state(false);
	let unusedOpen = $state(false);
	const weightOf = (id: string) => criteria.find((c) => c.quantity === id)?.weight ?? 0;
	// What counted when the page opened stands first, the rest is folded. A slider at zero stays where the hand is.
	const listed = untrack(() => new Set(criteria.filter((c) => c.weight > 0).map((c) => c.quantity)));
	const families = $derived(FAMILIES.filter((f) => listed.has(familyCriterion(f))));
	const unused = $derived(FAMILIES.filter((f) => !listed.has(familyCriterion(f)) && defs.some((d) => d.family === f)));
	/** What is weighed by itself. */
	const alone = $derived(defs.filter((d) => listed.has(d.id) && !isInFamily(criteria, d)));
	const weighed = $derived(weighedOf(criteria, defs, measured));
	const counted = (family: Family) => weighed.filter((w) => w.family === family && w.weight > 0);
	/** What can be looked at more closely: measured, usual, or said something about. */
	const detailed = $derived(
		defs.filter(
			(d) =>
				d.onSheet === true ||
				(d.onSheet !== 'seen' && measured(d.id)) ||
				criteria.some((c) => c.quantity === d.id) ||
				d.station === 'handbook'
		)
	);

	function put(items: Criterion[], settled: boolean): void {
		onchange(items);
		if (settled) onsettled(items);
	}
	function weigh(id: string, text: string, settled: boolean): void {
		const value = Number(text.replace(',', '.'));
		if (!Number.isFinite(value)) return;
		const gate = criteria.find((c) => c.quantity === id)?.gate ?? null;
		put(withCriterion(criteria, { quantity: id, weight: Math.min(10, Math.max(0, value)), gate }), settled);
	}
	const membersOf = (family: Family): string => {
		if (family === 'cost') return reference ? `${reference} is what you pay now` : 'no price yet';
		const names = counted(family).map((w) => {
			const def = defs.find((d) => d.id === w.quantity);
			return def ? inSentence(def) : '';
		});
		return names.join(', ') || 'nothing measured yet';
	};
</script>

{#snippet slider(id: string, name: string, under: string)}
	<li class="grid grid-cols-[6.2rem_minmax(0,1fr)_2.6rem] items-center gap-x-2 py-1">
		<label for="weight-{id}" class="font-semibold">{name}</label>
		<Range
			id="weight-{id}"
			appearance="auto"
			min="0"
			max="10"
			step="0.5"
			value={weightOf(id)}
			oninput={(e) => weigh(id, e.currentTarget.value, false)}
			onchange={(e) => weigh(id, e.currentTarget.value, true)}
		/>
		<input
			class="h-[26px] w-full rounded border bg-panel px-1 py-0 text-right text-[0.93rem]"
			inputmode="decimal"
			aria-label="Importance of {name}, typed"
			value={String(weightOf(id))}
			onchange={(e) => weigh(id, e.currentTarget.value, true)}
		/>
		<span class="small col-span-2 col-start-2 leading-snug">{under}</span>
	</li>
{/snippet}

<ul>
	{#each families as family (family)}{@render slider(familyCriterion(family), FAMILY_WORDS[family], membersOf(family))}{/each}
	{#each alone as def (def.id)}{@render slider(def.id, quantityName(def), quantityUnder(def, currency))}{/each}
</ul>
{#if unused.length}
	<details class="mt-1" bind:open={unusedOpen}>
		<summary class="small py-1">Of no importance: {unused.map((f) => FAMILY_WORDS[f].toLowerCase()).join(', ')}</summary>
		{#if unusedOpen}
			<ul>
				{#each unused as family (family)}{@render slider(familyCriterion(family), FAMILY_WORDS[family], membersOf(family))}{/each}
			</ul>
		{/if}
	</details>
{/if}
<details class="mt-1" bind:open={detailsOpen}>
	<summary class="small py-1">Limits, and what counts in each</summary>
	{#if detailsOpen}
		<p class="small mt-1">Untick what you do not measure: then nothing asks for it. A limit must be met, whatever the rest says.</p>
		<ul>
			{#each detailed as def (def.id)}
				{@const counts = isInFamily(criteria, def) ? criteria.find((c) => c.quantity === def.id)?.weight !== 0 : weightOf(def.id) > 0}
				<li class="border-b py-1.5">
					<div class="flex flex-wrap items-center gap-x-3">
						<label class="flex items-center gap-1.5 font-medium"
							><input
								type="checkbox"
								class="size-3.5 rounded-sm"
								checked={counts}
								onchange={(e) => put(e.currentTarget.checked ? counting(criteria, def, defs) : notCounting(criteria, def), true)}
							/>
							{quantityName(def)}</label
						>
						<span class="small"
							>{def.family ? FAMILY_WORDS[def.family].toLowerCase() : 'by itself'}{measured(def.id) ? '' : ', not measured'}</span
						>
					</div>
					<Limit {def} {criteria} {currency} onchange={(items) => put(items, true)} />
				</li>
			{/each}
		</ul>
	{/if}
</details>
