<script lang="ts">
	import type { QuantityDef } from '$lib/core/judging/finding/types';
	import type { ShownFinding } from '$lib/core/answers/sheet/shown-sheet';
	import { bareValue } from '../../words/quantities';
	import { anchorAt, CELL_WIDTH, place } from './scale';

	let { finding, def, label }: { finding: ShownFinding; def: QuantityDef; label: string } = $props();
	const W = CELL_WIDTH;
	const x = (v: number) => place(v, def.scale, W);
	const points = $derived(finding.figure.kind === 'dot' ? finding.figure.points : []);
</script>

<svg viewBox="0 0 {W} 36" class="block w-full overflow-visible" style:max-width="{W}px" role="img" aria-label={label}>
	<line x1="4" x2={W - 4} y1="26" y2="26" stroke="var(--line)" />
	{#each points as point, i (i)}<circle cx={x(point)} cy="30" r="2.4" fill="var(--muted)" opacity="0.45" />{/each}
	{#if finding.estimate !== null}
		{#if finding.interval}<line
				x1={x(finding.interval.low)}
				x2={x(finding.interval.high)}
				y1="22"
				y2="22"
				stroke="var(--ink)"
				stroke-width="1.6"
			/>{/if}
		<line x1={x(finding.estimate)} x2={x(finding.estimate)} y1="17" y2="27" stroke="var(--ink)" stroke-width="2" />
		<text x={x(finding.estimate)} y="12" font-size="11" text-anchor={anchorAt(x(finding.estimate), W)} fill="var(--ink)"
			>{bareValue(def, finding.estimate)}</text
		>
	{/if}
</svg>
