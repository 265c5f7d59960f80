<script lang="ts">
	import type { ChartConfiguration } from 'chart.js';
	import Chart from '../charts/Chart.svelte';
	import { axis, type Ink } from '../charts/ink';
	import { plural } from '../../words/numbers';
	import { bareLength, lengthUnit, lengthWords } from '../../words/units';
	import { barsToDraw, type Bar, type Limits } from './histogram-bars';

	type Props = { bars: Bar[]; limits: Limits | null; n: number; of: 'reading' | 'sample' };
	let { bars, limits, n, of }: Props = $props();
	/** Height of the lowest bar, as a share of the highest: it can be seen. */
	const LEAST_SHARE = 0.015;
	const most = $derived(Math.max(1, ...bars.map((b) => b.count)));
	const range = $derived({
		low: Math.min(bars[0]?.fromMm ?? 0, (limits?.lowMm ?? Infinity) - 0.002),
		high: Math.max(bars.at(-1)?.toMm ?? 1, (limits?.highMm ?? -Infinity) + 0.002)
	});

	function content(ink: Ink): ChartConfiguration {
		const drawn = barsToDraw(bars);
		const limit = (mm: number) => ({
			type: 'line' as const,
			data: [
				{ x: mm, y: 0 },
				{ x: mm, y: most }
			],
			borderColor: ink('ink'),
			borderDash: [4, 3],
			borderWidth: 1,
			pointRadius: 0,
			pointHitRadius: 0
		});
		return {
			type: 'bar',
			data: {
				datasets: [
					...(limits ? [limit(limits.lowMm), limit(limits.highMm)] : []),
					{
						// One of thousands still shows.
						data: drawn.map((b) => ({ x: (b.fromMm + b.toMm) / 2, y: b.count && Math.max(b.count, LEAST_SHARE * most) })),
						backgroundColor: drawn.map((b) => ink(b.outside ? 'harm' : 'water')),
						barPercentage: 1,
						categoryPercentage: 0.96
					}
				]
			},
			options: {
				scales: {
					x: {
						...axis(ink, `diameter, ${lengthUnit()}`),
						type: 'linear',
						min: range.low,
						max: range.high,
						offset: false,
						grid: { display: false },
						ticks: { color: ink('muted'), callback: (mm) => bareLength(Number(mm), 2), maxRotation: 0, includeBounds: false }
					},
					y: {
						...axis(ink, `${of}s`),
						type: 'linear',
						min: 0,
						suggestedMax: most,
						ticks: { color: ink('muted'), precision: 0, maxTicksLimit: 4 }
					}
				},
				plugins: {
					legend: { display: false },
					tooltip: {
						filter: ({ dataset }) => dataset.type !== 'line',
						callbacks: {
							title: ([item]) => {
								const bar = item && drawn[item.dataIndex];
								return bar ? `${bareLength(bar.fromMm)} to ${lengthWords(bar.toMm)}` : '';
							},
							label: (item) => plural(drawn[item.dataIndex]?.count ?? 0, of)
						}
					}
				}
			}
		};
	}
</script>

<Chart
	{content}
	height="h-40 max-w-[640px]"
	label="How often each diameter occurs, {bareLength(range.low)} to {lengthWords(range.high)}, {plural(n, of)}"
/>
