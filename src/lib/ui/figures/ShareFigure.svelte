<script lang="ts">
	import type { QuantityDef } from '$lib/core/judging/finding/types';
	import type { ShownFinding } from '$lib/core/answers/sheet/shown-sheet';
	import { CELL_WIDTH, place } from './scale';

	let { finding, def, label }: { finding: ShownFinding; def: QuantityDef; label: string } = $props();
	const W = CELL_WIDTH;
	const x = (v: number) => place(v, def.scale, W);
	const figure = $derived(finding.figure.kind === 'share' ? finding.figure : null);
</script>

<svg viewBox="0 0 {W} 36" class="block w-full overflow-visible" style:max-width="{W}px" role="img" aria-label={label}>
	<line x1="4" x2={W - 4} y1="26" y2="26" stroke="var(--line)" />
	{#if finding.interval}<line
			x1={x(finding.interval.low)}
			x2={x(finding.interval.high)}
			y1="26"
			y2="26"
			stroke="var(--ink)"
			stroke-width="1.6"
		/>{/if}
	{#if finding.estimate !== null}<rect x={x(finding.estimate) - 2} y="20" width="4" height="12" fill="var(--ink)" />{/if}
	{#if figure}<text x={W / 2} y="13" font-size="11" text-anchor="middle" fill="var(--ink)">{figure.successes} of {figure.n}</text>{/if}
</svg>
