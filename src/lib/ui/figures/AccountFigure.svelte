<script lang="ts">
	import type { QuantityDef } from '$lib/core/judging/finding/types';
	import type { ShownFinding } from '$lib/core/answers/sheet/shown-sheet';
	import { bareValue } from '../../words/quantities';
	import { accountShape } from './account-shape';
	import { CELL_WIDTH } from './scale';

	let { finding, def, label }: { finding: ShownFinding; def: QuantityDef; label: string } = $props();
	const W = CELL_WIDTH;
	const points = $derived(finding.figure.kind === 'account' ? finding.figure.points : []);
	const shape = $derived(
		accountShape(points, def.scale, { width: W, massTop: 2, massHeight: 11, waterTop: 15, waterHeight: 21, inset: 3 })
	);
</script>

<!-- The grey steps are the mass on the scale, the line below is the water in it, on the column's own scale. -->
<svg viewBox="0 0 {W} 38" class="block w-full overflow-visible" style:max-width="{W}px" role="img" aria-label={label}>
	<path d={shape.mass} fill="none" stroke="var(--muted)" stroke-width="1.2" />
	<line x1="3" x2={W - 3} y1={shape.zeroY} y2={shape.zeroY} stroke="var(--line)" />
	<path d={shape.band} fill="var(--water)" opacity="0.22" />
	<path d={shape.water} fill="none" stroke="var(--water)" stroke-width="1.8" />
	{#if finding.estimate !== null}
		<text x={W - 2} y="12" font-size="11" text-anchor="end" fill="var(--ink)" stroke="var(--panel)" stroke-width="3" paint-order="stroke"
			>{bareValue(def, finding.estimate)}</text
		>
	{/if}
</svg>
