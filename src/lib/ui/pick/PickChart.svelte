<script lang="ts">
	import type { ChartConfiguration, Plugin } from 'chart.js';
	import Chart from '../charts/Chart.svelte';
	import Term from '../help/Term.svelte';
	import { axis, inkOfPage, type Ink } from '../charts/ink';
	import { placeCodes } from './place-codes';

	type Blot = {
		id: string;
		code: string;
		hex: string | null;
		worth: number;
		cost: number;
		worthRange: { low: number; high: number } | null;
		costRange: { low: number; high: number } | null;
		out: boolean;
	};
	let { blots, edge, currency }: { blots: Blot[]; edge: string[]; currency: string } = $props();

	/** Bench codes beside the blots, drawn on the canvas; the table under it says the same in text. */
	const codes: Plugin = {
		id: 'codes',
		afterDatasetsDraw(c) {
			const { ctx } = c;
			ctx.save();
			ctx.font = "700 12px 'Archivo Variable', sans-serif";
			ctx.fillStyle = inkOfPage('ink');
			ctx.textBaseline = 'middle';
			const marks = c.getDatasetMeta(0).data.map((point) => ({ x: point.x, y: point.y }));
			for (const { code, x, y } of placeCodes(
				marks.flatMap((m, i) => (blots[i] ? [{ ...m, code: blots[i].code }] : [])),
				c.chartArea
			))
				ctx.fillText(code, x, y);
			ctx.restore();
		}
	};

	/** The spools with the ranges of their draws. */
	const spools = (ink: Ink) => ({
		data: blots.map((b) => ({
			x: b.cost,
			y: b.worth * 100,
			xMin: b.costRange?.low ?? b.cost,
			xMax: b.costRange?.high ?? b.cost,
			yMin: (b.worthRange?.low ?? b.worth) * 100,
			yMax: (b.worthRange?.high ?? b.worth) * 100
		})),
		radius: 7,
		hoverRadius: 8,
		pointStyle: blots.map((b) => (b.out ? ('crossRot' as const) : ('circle' as const))),
		backgroundColor: blots.map((b) => b.hex ?? ink('faint')),
		borderColor: ink('ink'),
		borderWidth: 1.5,
		errorBarColor: ink('muted'),
		errorBarWhiskerColor: ink('muted'),
		errorBarLineWidth: 1.2,
		errorBarWhiskerSize: 5
	});
	const efficientEdge = (ink: Ink) => ({
		type: 'line' as const,
		data: edge.flatMap((id) => blots.filter((b) => b.id === id)).map((b) => ({ x: b.cost, y: b.worth * 100 })),
		stepped: 'before' as const,
		borderColor: ink('act-ink'),
		borderDash: [5, 3],
		borderWidth: 1.5,
		pointRadius: 0
	});

	function content(ink: Ink): ChartConfiguration {
		// The axes fit the blots; a bar longer than the chart runs out of it, which the caption says.
		const dearest = Math.ceil((Math.max(...blots.map((b) => b.cost)) * 1.3) / 10) * 10;
		const lowest = Math.max(0, Math.floor(Math.min(...blots.map((b) => (b.worthRange?.low ?? b.worth) * 100)) / 10) * 10);
		return {
			type: 'scatterWithErrorBars',
			data: { datasets: [spools(ink), efficientEdge(ink)] },
			options: {
				layout: { padding: { top: 14, right: 8 } },
				scales: {
					x: { ...axis(ink, `${currency} per good kg`), type: 'linear', min: 0, max: dearest },
					y: { ...axis(ink, 'value without cost, of 100'), type: 'linear', min: lowest, max: 100 }
				},
				plugins: {
					legend: { display: false },
					tooltip: { callbacks: { label: (item) => (item.datasetIndex === 0 ? (blots[item.dataIndex]?.code ?? '') : '') } }
				}
			},
			plugins: [codes]
		};
	}
</script>

<Chart {content} height="h-56" label="Value against cost per good kilogram; the table below has the same numbers">
	<Term of="value">Value without cost</Term> against cost. Bars: 95 % range. Dashed line: nothing is both better and cheaper. Cross: misses a
	limit.
</Chart>
