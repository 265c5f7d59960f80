<script lang="ts">
	import type { Drawing } from '$lib/core/stations/prints/trainer/sample';

	let { drawing, label, small = false }: { drawing: Drawing; label?: string; small?: boolean } = $props();
	const path = (points: readonly (readonly [number, number])[]) =>
		'M' + points.map(([x, y]) => `${x.toFixed(2)},${y.toFixed(2)}`).join('L');
</script>

<!-- A drawn print, in the ink of the page: what is judged is its shape. -->
<svg
	viewBox="0 0 120 90"
	class={small ? 'h-12 w-16' : 'w-full'}
	role={label ? 'img' : undefined}
	aria-label={label}
	aria-hidden={label ? undefined : true}
>
	{#each drawing.outlines as outline, i (i)}
		<path d="{path(outline)}Z" fill="var(--faint)" stroke="var(--ink)" stroke-width="0.5" stroke-linejoin="round" />
	{/each}
	{#each drawing.lines as line, i (i)}
		<path
			d={path(line.points)}
			fill="none"
			stroke="var(--ink)"
			stroke-width={small ? Math.max(0.9, line.width) : line.width}
			stroke-linecap="round"
		/>
	{/each}
	{#each drawing.dots as dot, i (i)}<circle cx={dot.x} cy={dot.y} r={small ? dot.radius * 1.6 : dot.radius} fill="var(--ink)" />{/each}
	{#each drawing.labels as label, i (i)}
		<text x={label.x} y={label.y} font-size="5" fill="var(--ink)">{label.text}</text>
	{/each}
</svg>
