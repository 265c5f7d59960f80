<script lang="ts">
	import type { QuantityDef } from '$lib/core/finding/types';
	import type { Criterion } from '$lib/core/pick/types';
	import { Range } from 'flowbite-svelte';
	import { untrack } from 'svelte';
	import Later from '../shell/Later.svelte';
	import { quantityName, quantityUnder, valueWords } from '../words/quantities';

	type Props = {
		criteria: Criterion[];
		defs: QuantityDef[];
		currency: string;
		onchange: (items: Criterion[]) => void;
		onsettled: (items: Criterion[]) => void;
	};
	let { criteria, defs, currency, onchange, onsettled }: Props = $props();

	let unusedOpen = $state(false);
	const of = (id: string): Criterion => criteria.find((c) => c.quantity === id) ?? { quantity: id, weight: 0, gate: null };
	// What was weighed or gated when the page opened stands first, the rest is folded. A slider at zero stays where the hand is.
	const listed = untrack(() => new Set(criteria.filter((c) => c.weight > 0 || c.gate).map((c) => c.quantity)));
	const used = $derived(defs.filter((d) => listed.has(d.id)));
	const unused = $derived(defs.filter((d) => !used.includes(d)));

	function put(next: Criterion, settled: boolean): void {
		const items = criteria.some((c) => c.quantity === next.quantity)
			? criteria.map((c) => (c.quantity === next.quantity ? next : c))
			: [...criteria, next];
		onchange(items);
		if (settled) onsettled(items);
	}
	function weight(id: string, text: string, settled: boolean): void {
		const value = Number(text.replace(',', '.'));
		if (Number.isFinite(value)) put({ ...of(id), weight: Math.min(10, Math.max(0, value)) }, settled);
	}
	const isShare = (def: QuantityDef) => ['printSuccess', 'diameterOutside', 'diameterInside'].includes(def.id);
	/** Shares are typed in per cent, everything else in its own unit. */
	const shownLimit = (def: QuantityDef, limit: number) => (isShare(def) ? Number((limit * 100).toFixed(3)) : limit);
	function limit(def: QuantityDef, text: string): void {
		const value = Number(text.replace(',', '.'));
		const gate = of(def.id).gate;
		if (gate && text.trim() !== '' && Number.isFinite(value))
			put({ ...of(def.id), gate: { ...gate, limit: isShare(def) ? value / 100 : value } }, true);
	}
	function toggleGate(def: QuantityDef, on: boolean): void {
		const op = def.direction === 'less' ? 'atMost' : 'atLeast';
		// Of things that are counted, such as unmet demands, none is what is meant.
		const limit = def.figure === 'none' ? def.scale.low : (def.scale.low + def.scale.high) / 2;
		put({ ...of(def.id), gate: on ? { op, limit } : null }, true);
	}
</script>

{#snippet row(def: QuantityDef)}
	{@const c = of(def.id)}
	<li class="border-b py-1.5">
		<div class="flex items-baseline justify-between gap-2">
			<label for="weight-{def.id}" class="font-medium">{quantityName(def)} <span class="small">{quantityUnder(def, currency)}</span></label>
			<input
				class="h-[26px] w-12 rounded border bg-panel px-1 py-0 text-right text-[0.93rem]"
				inputmode="decimal"
				aria-label="Weight of {quantityName(def)}, typed"
				value={String(c.weight)}
				onchange={(e) => weight(def.id, e.currentTarget.value, true)}
			/>
		</div>
		<Range
			id="weight-{def.id}"
			appearance="auto"
			min="0"
			max="10"
			step="0.5"
			value={c.weight}
			oninput={(e) => weight(def.id, e.currentTarget.value, false)}
			onchange={(e) => weight(def.id, e.currentTarget.value, true)}
		/>
		{#if def.direction !== 'nearest'}
			<div class="small flex flex-wrap items-center gap-1.5">
				<label class="flex items-center gap-1.5"
					><input
						type="checkbox"
						class="size-3.5 rounded-sm"
						checked={c.gate !== null}
						onchange={(e) => toggleGate(def, e.currentTarget.checked)}
					/> must be</label
				>
				{#if c.gate}
					{c.gate.op === 'atLeast' ? 'at least' : 'at most'}
					<input
						class="h-[26px] w-14 rounded border bg-panel px-1 py-0 text-right text-ink"
						inputmode="decimal"
						aria-label="Limit of {quantityName(def)}"
						value={String(shownLimit(def, c.gate.limit))}
						onchange={(e) => limit(def, e.currentTarget.value)}
					/>
					{isShare(def)
						? '%'
						: def.words
							? `(${valueWords(def, c.gate.limit)})`
							: def.unit === 'money/kg'
								? currency
								: def.unit === 'deg'
									? '°'
									: def.unit}
				{:else}
					{def.direction === 'less' ? 'at most …' : 'at least …'}
				{/if}
			</div>
		{/if}
	</li>
{/snippet}

<Later height={80 * used.length}>
	<ul>
		{#each used as def (def.id)}{@render row(def)}{/each}
	</ul>
</Later>
{#if unused.length}
	<details class="mt-2" bind:open={unusedOpen}>
		<summary class="small">Not weighed: {unused.map((d) => quantityName(d)).join(', ')}</summary>
		{#if unusedOpen}
			<ul>
				{#each unused as def (def.id)}{@render row(def)}{/each}
			</ul>
		{/if}
	</details>
{/if}
