<script lang="ts">
	import type { QuantityDef } from '$lib/core/judging/finding/types';
	import type { Criterion } from '$lib/core/answers/pick/types';
	import { quantityName, valueWords } from '../../words/quantities';
	import { limiting } from './criteria';

	type Props = { def: QuantityDef; criteria: Criterion[]; currency: string; onchange: (items: Criterion[]) => void };
	let { def, criteria, currency, onchange }: Props = $props();
	const gate = $derived(criteria.find((c) => c.quantity === def.id)?.gate ?? null);
	const isShare = $derived(['printSuccess', 'diameterOutside', 'diameterInside'].includes(def.id));
	/** Shares are typed in per cent, everything else in its own unit. */
	const shown = $derived(gate ? (isShare ? Number((gate.limit * 100).toFixed(3)) : gate.limit) : 0);
	const unit = $derived(
		isShare
			? '%'
			: def.words && gate
				? `(${valueWords(def, gate.limit)})`
				: def.unit === 'money/kg'
					? currency
					: def.unit === 'deg'
						? '°'
						: def.unit
	);

	function type(text: string): void {
		const value = Number(text.replace(',', '.'));
		if (gate && text.trim() !== '' && Number.isFinite(value))
			onchange(limiting(criteria, def, { ...gate, limit: isShare ? value / 100 : value }));
	}
	function toggle(on: boolean): void {
		const op = def.direction === 'less' ? 'atMost' : 'atLeast';
		// Of things that are counted, such as unmet demands, none is what is meant.
		const limit = def.figure === 'none' ? def.scale.low : (def.scale.low + def.scale.high) / 2;
		onchange(limiting(criteria, def, on ? { op, limit } : null));
	}
</script>

{#if def.direction !== 'nearest'}
	<div class="small flex flex-wrap items-center gap-1.5">
		<label class="flex items-center gap-1.5"
			><input type="checkbox" class="size-3.5 rounded-sm" checked={gate !== null} onchange={(e) => toggle(e.currentTarget.checked)} />
			limit:
			{def.direction === 'less' ? 'at most' : 'at least'}</label
		>
		{#if gate}
			<input
				class="h-[26px] w-14 rounded border bg-panel px-1 py-0 text-right text-ink"
				inputmode="decimal"
				aria-label="Limit of {quantityName(def)}"
				value={String(shown)}
				onchange={(e) => type(e.currentTarget.value)}
			/>
			{unit}
		{/if}
	</div>
{/if}
