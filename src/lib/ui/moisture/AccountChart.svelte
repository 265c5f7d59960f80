<script lang="ts">
	import type { Weighing } from '$lib/core/stations/moisture/weighings';
	import type { AccountPoint } from '$lib/core/judging/finding/types';
	import type { ChartConfiguration, PointStyle } from 'chart.js';
	import Chart from '../charts/Chart.svelte';
	import { axis, type Ink } from '../charts/ink';
	import { day, dayAndTime, fixed, upTo } from '../../words/numbers';
	import { inMassUnit, massUnit, massWords } from '../../words/units';
	import { BEFORE_WORDS } from '../../words/closed-lists';

	let { points, chain, code }: { points: AccountPoint[]; chain: Weighing[]; code: string } = $props();
	/** What the spool had gone through before a weighing is told by the shape of its mark, then by its colour. */
	type Mark = { shape: PointStyle; edge: string; fill: string };
	const AIR: Mark = { shape: 'circle', edge: 'water', fill: 'panel' };
	const MARKS: Partial<Record<string, Mark>> = {
		dried: { shape: 'rectRot', edge: 'heat', fill: 'heat' },
		print: { shape: 'rect', edge: 'ink', fill: 'panel' }
	};
	const marks = $derived(points.map((p) => MARKS[p.before] ?? AIR));
	const label = $derived(
		`${code}: gross mass from ${massWords(points[0]?.grossG ?? 0, 1, upTo)} to ${massWords(points.at(-1)?.grossG ?? 0, 1, upTo)} in ${points.length} weighings; water ${fixed(points.at(-1)?.pct ?? 0, 2)} % above the weighing you count from at the last one`
	);
	const place = (value: (p: AccountPoint) => number) => points.map((p) => ({ x: p.at, y: value(p) }));

	function content(ink: Ink): ChartConfiguration {
		const line = { pointRadius: 0, pointHitRadius: 0, borderWidth: 0 };
		const timeTicks = {
			color: ink('muted'),
			callback: (at: number | string) => day(Number(at)),
			maxTicksLimit: 5,
			maxRotation: 0,
			includeBounds: false
		};
		return {
			type: 'line',
			data: {
				datasets: [
					{
						data: place((p) => p.pct),
						yAxisID: 'water',
						clip: 8,
						borderColor: ink('water'),
						borderWidth: 2,
						pointStyle: marks.map((m) => m.shape),
						pointRadius: 5,
						pointBorderColor: marks.map((m) => ink(m.edge)),
						pointBorderWidth: 2,
						pointBackgroundColor: marks.map((m) => ink(m.fill))
					},
					// The band: nothing is drawn at its lower edge, the upper one is filled down to it.
					{ ...line, data: place((p) => p.lowPct), yAxisID: 'water' },
					{
						...line,
						data: place((p) => p.highPct),
						yAxisID: 'water',
						fill: '-1',
						backgroundColor: `color-mix(in srgb, ${ink('water')} 20%, transparent)`
					},
					{
						...line,
						data: place((p) => inMassUnit(p.grossG)),
						yAxisID: 'mass',
						stepped: 'before',
						borderColor: ink('muted'),
						borderWidth: 1.6
					}
				]
			},
			options: {
				scales: {
					x: { type: 'linear', min: chain[0]?.at ?? 0, max: chain.at(-1)?.at ?? 1, grid: { display: false }, ticks: timeTicks },
					// Never finer than a tenth of a per cent: the scatter of a scale must not look like a flood.
					water: {
						...axis(ink, 'water, % of net'),
						type: 'linear',
						stack: 'account',
						stackWeight: 3,
						weight: 2,
						suggestedMin: 0,
						suggestedMax: 0.1
					},
					mass: { ...axis(ink, `gross mass, ${massUnit()}`), type: 'linear', stack: 'account', stackWeight: 2, offset: true }
				},
				plugins: {
					legend: { display: false },
					tooltip: {
						filter: ({ datasetIndex }) => datasetIndex === 0,
						callbacks: {
							title: ([item]) => (item ? dayAndTime(points[item.dataIndex]?.at ?? 0) : ''),
							label: ({ dataIndex }) => {
								const p = points[dataIndex];
								return p ? `${fixed(p.pct, 2)} % (${fixed(p.lowPct, 2)} to ${fixed(p.highPct, 2)} %), ${massWords(p.grossG, 1, upTo)}` : '';
							}
						}
					}
				}
			}
		};
	}
</script>

<Chart {content} height="h-64 max-w-[620px]" {label}>
	Water above the weighing you count from, with its 95 % range; below it the mass on the scale. Diamond: after {BEFORE_WORDS.dried}; square:
	after a {BEFORE_WORDS.print}; circle: after time in the {BEFORE_WORDS.air}.
</Chart>
