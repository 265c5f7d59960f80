<script lang="ts">
	import type { QuantityDef } from '$lib/core/judging/finding/types';
	import type { ShownFinding } from '$lib/core/answers/sheet/shown-sheet';
	import { heldAtLeast } from '$lib/core/stations/strength/held';
	import { bareValue } from '../../words/quantities';
	import { anchorAt, CELL_WIDTH, place } from './scale';

	let { finding, def, label }: { finding: ShownFinding; def: QuantityDef; label: string } = $props();
	const W = CELL_WIDTH;
	const x = (v: number) => place(v, def.scale, W);
	const loads = $derived(finding.figure.kind === 'loads' ? finding.figure.loads : []);
	const gap = $derived(Math.min(3.4, 12 / Math.max(1, loads.length)));
	const shown = $derived(finding.estimate ?? heldAtLeast(finding));
</script>

<!-- Each specimen is a stroke from what it held to what broke it, a dot where the load was read, an arrow where it never broke. -->
<svg viewBox="0 0 {W} 38" class="block w-full overflow-visible" style:max-width="{W}px" role="img" aria-label={label}>
	<line x1="4" x2={W - 4} y1="20" y2="20" stroke="var(--line)" />
	{#each loads as load, i (i)}
		{@const y = 24 + i * gap}
		{#if load.high === null}
			<path
				d="M{x(load.low)},{y}H{Math.min(W - 2, x(load.low) + 12)}m-3,-2l3,2l-3,2"
				fill="none"
				stroke="var(--muted)"
				stroke-width="1.3"
			/>
		{:else if load.high === load.low}
			<circle cx={x(load.low)} cy={y} r="1.9" fill="var(--muted)" />
		{:else}
			<line x1={x(load.low)} x2={x(load.high)} y1={y} y2={y} stroke="var(--muted)" stroke-width="1.6" />
		{/if}
	{/each}
	{#if finding.interval}
		<line x1={x(finding.interval.low)} x2={x(finding.interval.high)} y1="17" y2="17" stroke="var(--ink)" stroke-width="1.6" />
	{/if}
	{#if finding.estimate !== null}
		<line x1={x(finding.estimate)} x2={x(finding.estimate)} y1="13" y2="21" stroke="var(--ink)" stroke-width="2" />
	{/if}
	{#if shown !== null}
		<text x={x(shown)} y="10" font-size="11" text-anchor={anchorAt(x(shown), W)} fill="var(--ink)"
			>{finding.estimate === null ? 'over ' : ''}{bareValue(def, shown)}</text
		>
	{/if}
</svg>
