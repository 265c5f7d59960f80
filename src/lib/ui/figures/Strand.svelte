<script lang="ts">
	import type { FigureData } from '$lib/core/judging/finding/types';
	import { strandShape } from './strand-shape';

	type Props = {
		data: Extract<FigureData, { kind: 'strand' }>;
		places: number;
		hex: string | null;
		width?: number;
		height?: number;
		label: string;
	};
	let { data, places, hex, width = 172, height = 44, label }: Props = $props();
	const shape = $derived(strandShape(data, places, width, height));
</script>

<svg viewBox="0 0 {width} {height}" class="block w-full overflow-visible" style:max-width="{width}px" role="img" aria-label={label}>
	{#if shape.measuredTo < width - 1}
		<rect
			x={shape.measuredTo}
			y={height * 0.19}
			width={width - shape.measuredTo}
			height={height * 0.62}
			fill="none"
			stroke="var(--faint)"
			stroke-dasharray="2 3"
		/>
	{/if}
	{#if shape.ribbon}
		<path d={shape.ribbon} fill={hex ?? 'var(--faint)'} stroke="var(--ink)" stroke-width="0.8" stroke-linejoin="round" />
	{/if}
	{#each shape.limits as limit (limit.y)}
		<line
			x1="0"
			x2={width}
			y1={limit.y}
			y2={limit.y}
			stroke={limit.outer ? 'var(--ink)' : 'var(--panel)'}
			stroke-width="1"
			stroke-dasharray={limit.outer ? '3 2.5' : '1 3'}
		/>
	{/each}
	{#each shape.outside as point, i (i)}
		<path d="M{point.x - 4},{point.y - 4}l8,8m0,-8l-8,8" stroke="var(--harm)" stroke-width="1.6" />
	{/each}
</svg>
