<script lang="ts">
	import { ticks } from 'd3-array';
	import { fixed, plural } from '../words/numbers';
	import type { Bar, Limits } from './histogram-bars';

	type Props = { bars: Bar[]; limits: Limits | null; n: number; of: 'reading' | 'sample' };
	let { bars, limits, n, of }: Props = $props();
	const W = 640;
	const H = 120;
	const most = $derived(Math.max(...bars.map((b) => b.count)));
	const range = $derived({
		low: Math.min(bars[0]?.fromMm ?? 0, (limits?.lowMm ?? Infinity) - 0.002),
		high: Math.max(bars.at(-1)?.toMm ?? 1, (limits?.highMm ?? -Infinity) + 0.002)
	});
	const x = $derived((mm: number) => 44 + ((mm - range.low) / (range.high - range.low)) * (W - 50));
</script>

<svg
	viewBox="0 0 {W} {H}"
	class="block w-full"
	style:max-width="{W}px"
	role="img"
	aria-label="How often each diameter occurs, {fixed(range.low, 3)} to {fixed(range.high, 3)} mm, {plural(n, of)}"
>
	{#each bars as bar (bar.fromMm)}
		{@const height = bar.count === 0 ? 0 : Math.max(1.5, (bar.count / most) * (H - 26))}
		<rect
			x={x(bar.fromMm)}
			y={H - 20 - height}
			width={Math.max(0.8, x(bar.toMm) - x(bar.fromMm) - 0.4)}
			{height}
			fill={bar.outside ? 'var(--harm)' : 'var(--water)'}
		/>
	{/each}
	{#if limits}
		{#each [limits.lowMm, limits.highMm] as limit (limit)}
			<line x1={x(limit)} x2={x(limit)} y1="2" y2={H - 18} stroke="var(--ink)" stroke-dasharray="4 3" />
		{/each}
	{/if}
	{#each ticks(range.low, range.high, 7) as tick (tick)}
		<text x={x(tick)} y={H - 5} font-size="11" text-anchor="middle" fill="var(--muted)">{fixed(tick, 2)}</text>
	{/each}
	<text x="0" y={H - 5} font-size="11" fill="var(--muted)">mm</text>
	<line x1="38" x2="44" y1={26 - 20} y2={26 - 20} stroke="var(--muted)" />
	<text x="35" y="10" font-size="11" text-anchor="end" fill="var(--muted)">{most}</text>
</svg>
