<script lang="ts">
	import { scaleLinear } from 'd3-scale';
	import type { QuantityDef } from '$lib/core/judging/finding/types';
	import { bareValue, quantityName } from '../../words/quantities';

	type Props = { pairs: readonly (readonly [first: number, second: number])[]; def: QuantityDef; names: readonly [string, string] };
	let { pairs, def, names }: Props = $props();
	const W = 190;
	const H = 92;
	const [LEFT, RIGHT] = [62, 128];
	/** The range of these pairs, never finer than a fifth of the quantity's scale: a single step must not look like a cliff. */
	const range = $derived.by(() => {
		const values = pairs.flat();
		const [low, high] = [Math.min(...values), Math.max(...values)];
		const pad = Math.max(0, (def.scale.high - def.scale.low) / 5 - (high - low)) / 2;
		return { low: low - pad, high: high + pad };
	});
	/** Better is always up. */
	const y = $derived(scaleLinear([range.low, range.high], def.direction === 'less' ? [12, H - 22] : [H - 22, 12]).clamp(true));
	/** Equal pairs lie on one line: it is told how many they are. */
	const lines = $derived(
		[...new Map(pairs.map((p) => [p.join(' '), p])).values()].map(([first, second]) => ({
			first,
			second,
			count: pairs.filter((q) => q[0] === first && q[1] === second).length
		}))
	);
	const label = $derived(
		`${quantityName(def)}, ${names[0]} and ${names[1]}: ${pairs.map(([a, b]) => `${bareValue(def, a)} to ${bareValue(def, b)}`).join('; ')}`
	);
</script>

<svg viewBox="0 0 {W} {H}" class="block w-full max-w-[190px] overflow-visible" role="img" aria-label={label}>
	<line x1={LEFT} x2={LEFT} y1="8" y2={H - 18} stroke="var(--line)" />
	<line x1={RIGHT} x2={RIGHT} y1="8" y2={H - 18} stroke="var(--line)" />
	{#each lines as line, i (i)}
		<line x1={LEFT} y1={y(line.first)} x2={RIGHT} y2={y(line.second)} stroke="var(--ink)" stroke-width={1 + 0.8 * (line.count - 1)} />
		{#if line.count > 1}<text
				x={(LEFT + RIGHT) / 2}
				y={(y(line.first) + y(line.second)) / 2 - 4}
				font-size="10"
				text-anchor="middle"
				fill="var(--muted)">×{line.count}</text
			>{/if}
	{/each}
	{#each [...new Set(lines.map((l) => l.first))] as first (first)}
		<circle cx={LEFT} cy={y(first)} r="4" fill="var(--panel)" stroke="var(--water)" stroke-width="2" />
		<text x={LEFT - 9} y={y(first) + 4} font-size="11" text-anchor="end" fill="var(--ink)">{bareValue(def, first)}</text>
	{/each}
	{#each [...new Set(lines.map((l) => l.second))] as second (second)}
		<path d="M{RIGHT},{y(second) - 5}l5,5l-5,5l-5,-5z" fill="var(--heat)" stroke="var(--panel)" stroke-width="0.8" />
		<text x={RIGHT + 9} y={y(second) + 4} font-size="11" fill="var(--ink)">{bareValue(def, second)}</text>
	{/each}
	<text x={LEFT} y={H - 3} font-size="10" text-anchor="middle" fill="var(--muted)">{names[0]}</text>
	<text x={RIGHT} y={H - 3} font-size="10" text-anchor="middle" fill="var(--muted)">{names[1]}</text>
</svg>
