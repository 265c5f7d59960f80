<script lang="ts">
	import type { QuantityDef } from '$lib/core/judging/finding/types';
	import type { ShownFinding } from '$lib/core/answers/sheet/shown-sheet';
	import { bareValue } from '../../words/quantities';
	import { anchorAt, CELL_WIDTH, place } from './scale';

	let { finding, def, label }: { finding: ShownFinding; def: QuantityDef; label: string } = $props();
	const W = CELL_WIDTH;
	// A bar begins at nothing, or its length says nothing.
	const x = (v: number) => place(v, { low: 0, high: def.scale.high }, W, 1);
	const base = $derived(finding.figure.kind === 'bar' ? finding.figure.base : null);
	const shown = $derived(finding.estimate ?? base);
</script>

<!-- The pale bar is the price, the dark end what failures add, the line its interval. -->
<svg viewBox="0 0 {W} 36" class="block w-full overflow-visible" style:max-width="{W}px" role="img" aria-label={label}>
	<line x1="1" x2={W - 1} y1="26" y2="26" stroke="var(--line)" />
	{#if base !== null}<rect x="1" y="21" width={x(base) - 1} height="10" fill="var(--faint)" />{/if}
	{#if finding.estimate !== null}
		{#if base !== null && finding.estimate > base}<rect
				x={x(base)}
				y="21"
				width={Math.max(1.5, x(finding.estimate) - x(base))}
				height="10"
				fill="var(--act)"
			/>{/if}
		{#if finding.interval}<line
				x1={x(finding.interval.low)}
				x2={x(finding.interval.high)}
				y1="26"
				y2="26"
				stroke="var(--ink)"
				stroke-width="1.8"
			/>{/if}
		<line x1={x(finding.estimate)} x2={x(finding.estimate)} y1="20" y2="32" stroke="var(--ink)" stroke-width="2" />
	{/if}
	{#if shown !== null}
		<text
			x={x(shown)}
			y="13"
			font-size="11"
			text-anchor={anchorAt(x(shown), W)}
			fill={finding.estimate === null ? 'var(--muted)' : 'var(--ink)'}
		>
			{bareValue(def, shown)}{finding.estimate === null ? ' bought' : ''}
		</text>
	{/if}
</svg>
