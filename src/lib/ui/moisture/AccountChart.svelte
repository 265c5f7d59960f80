<script lang="ts">
	import type { Weighing } from '$lib/core/moisture/weighings';
	import type { AccountPoint } from '$lib/core/finding/types';
	import { accountShape } from '../figures/account-shape';
	import { day, fixed, upTo } from '../words/numbers';
	import { BEFORE_WORDS } from '../words/closed-lists';

	let { points, chain, code }: { points: AccountPoint[]; chain: Weighing[]; code: string } = $props();
	const W = 560;
	const H = 222;
	const box = { width: W, massTop: 18, massHeight: 52, waterTop: 108, waterHeight: 84, inset: 46 };
	/** A scale that holds the band, rounded up to a tenth of a per cent. */
	const scale = $derived.by(() => {
		const most = Math.max(0.1, ...points.map((p) => Math.max(p.highPct, p.pct)));
		const least = Math.min(0, ...points.map((p) => Math.min(p.lowPct, p.pct)));
		return { low: Math.floor(least * 10) / 10, high: Math.ceil(most * 10) / 10 };
	});
	const shape = $derived(accountShape(points, scale, box));
	const masses = $derived(points.map((p) => p.grossG));
	const label = $derived(
		`${code}: gross mass from ${upTo(points[0]?.grossG ?? 0, 1)} to ${upTo(points.at(-1)?.grossG ?? 0, 1)} g in ${points.length} weighings; water ${fixed(points.at(-1)?.pct ?? 0, 2)} % against the chosen state at the last one`
	);
</script>

<svg viewBox="0 0 {W} {H}" class="block w-full overflow-visible" style:max-width="{W}px" role="img" aria-label={label}>
	<text x="0" y="12" font-size="11" fill="var(--muted)">gross mass, g</text>
	<text x={box.inset - 6} y={box.massTop + 10} font-size="11" text-anchor="end" fill="var(--muted)">{upTo(Math.max(...masses), 0)}</text>
	<text x={box.inset - 6} y={box.massTop + box.massHeight + 3} font-size="11" text-anchor="end" fill="var(--muted)"
		>{upTo(Math.min(...masses), 0)}</text
	>
	<path d={shape.mass} fill="none" stroke="var(--muted)" stroke-width="1.6" />
	<text x="0" y="90" font-size="11" fill="var(--muted)">water against the chosen state, % of net mass, with its 95 % band</text>
	{#each [scale.low, 0, scale.high].filter((v, i, all) => all.indexOf(v) === i) as tick (tick)}
		{@const y = box.waterTop + (1 - (tick - scale.low) / (scale.high - scale.low)) * box.waterHeight}
		<line x1={box.inset} x2={W - box.inset} y1={y} y2={y} stroke="var(--line)" stroke-dasharray={tick === 0 ? undefined : '2 3'} />
		<text x={box.inset - 6} y={y + 4} font-size="11" text-anchor="end" fill="var(--muted)">{fixed(tick, 1)}</text>
	{/each}
	<path d={shape.band} fill="var(--water)" opacity="0.2" />
	<path d={shape.water} fill="none" stroke="var(--water)" stroke-width="2" />
	{#each shape.points as { x, y, point }, i (i)}
		{#if point.before === 'dried'}
			<path d="M{x},{y - 5}l5,5l-5,5l-5,-5z" fill="var(--heat)" stroke="var(--panel)" />
		{:else if point.before === 'print'}
			<rect x={x - 3.5} y={y - 3.5} width="7" height="7" fill="var(--panel)" stroke="var(--ink)" stroke-width="1.4" />
		{:else}
			<circle cx={x} cy={y} r="3.6" fill="var(--panel)" stroke="var(--water)" stroke-width="2" />
		{/if}
	{/each}
	<text x={box.inset} y={H - 6} font-size="11" fill="var(--muted)">{day(chain[0]?.at ?? 0)}</text>
	<text x={W - box.inset} y={H - 6} font-size="11" text-anchor="end" fill="var(--muted)">{day(chain.at(-1)?.at ?? 0)}</text>
</svg>
<p class="small flex flex-wrap gap-x-4">
	<span>◇ after {BEFORE_WORDS.dried}</span><span>□ after a {BEFORE_WORDS.print}</span><span>○ after time in the {BEFORE_WORDS.air}</span>
</p>
