<script lang="ts">
	import type { QuantityDef } from '$lib/core/judging/finding/types';
	import type { ShownFinding } from '$lib/core/answers/sheet/shown-sheet';
	import { bareValue } from '../../words/quantities';
	import { anchorAt, CELL_WIDTH, place } from './scale';

	/** One finding a condition; the one that counts first. */
	let { findings, def, label }: { findings: ShownFinding[]; def: QuantityDef; label: string } = $props();
	const W = CELL_WIDTH;
	const STEP = 5;
	const x = (v: number) => place(v, def.scale, W);
	const known = $derived(findings.filter((f) => f.estimate !== null));
	const [main] = $derived(known);
	/** As received and dried belong together: a line joins them. */
	const paired = $derived.by(() => {
		const wetRow = known.findIndex((f) => f.subject.condition === 'asReceived');
		const dryRow = known.findIndex((f) => f.subject.condition === 'dried');
		const [wet, dry] = [known[wetRow]?.estimate, known[dryRow]?.estimate];
		return wet == null || dry == null ? null : { wet, dry, wetRow, dryRow };
	});
	const ticks = $derived(
		Array.from({ length: Math.round((def.scale.high - def.scale.low) / STEP) + 1 }, (_, i) => def.scale.low + i * STEP)
	);
</script>

<!-- Wet is a ring, dried a diamond: water and heat differ by shape before colour. -->
<svg viewBox="0 0 {W} 38" class="block w-full overflow-visible" style:max-width="{W}px" role="img" aria-label={label}>
	<line x1="4" x2={W - 4} y1="26" y2="26" stroke="var(--line)" />
	{#each ticks as tick (tick)}<line x1={x(tick)} x2={x(tick)} y1="23.5" y2="28.5" stroke="var(--line)" />{/each}
	{#if paired}<line
			x1={x(paired.wet)}
			y1={26 + paired.wetRow * 5}
			x2={x(paired.dry)}
			y2={26 + paired.dryRow * 5}
			stroke="var(--ink)"
			stroke-width="1.2"
		/>{/if}
	{#each known as finding, i (i)}
		{@const at = x(finding.estimate ?? 0)}
		{@const dried = finding.subject.condition === 'dried'}
		{#if finding.interval}
			<line
				x1={x(finding.interval.low)}
				x2={x(finding.interval.high)}
				y1={26 + i * 5}
				y2={26 + i * 5}
				stroke={dried ? 'var(--heat)' : 'var(--water)'}
				stroke-width="2"
				opacity="0.55"
			/>
		{/if}
		{#if dried}
			<path d="M{at},{21 + i * 5}l5,5l-5,5l-5,-5z" fill="var(--heat)" stroke="var(--panel)" stroke-width="0.8" />
		{:else}
			<circle cx={at} cy={26 + i * 5} r="4.2" fill="var(--panel)" stroke="var(--water)" stroke-width="2.2" />
		{/if}
	{/each}
	{#if main?.estimate != null}
		<text x={x(main.estimate)} y="14" font-size="11" text-anchor={anchorAt(x(main.estimate), W)} fill="var(--ink)"
			>{bareValue(def, main.estimate)}</text
		>
	{/if}
</svg>
