<script lang="ts">
	import type { Chart, Plugin } from 'chart.js';
	import { onMount } from 'svelte';
	import { soon } from '../shell/soon';
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
	let canvas = $state<HTMLCanvasElement>();
	let chart: Chart | null = null;

	const token = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(name).trim();

	/** Bench codes beside the blots, drawn on the canvas; the table under it says the same in text. */
	const codes: Plugin = {
		id: 'codes',
		afterDatasetsDraw(c) {
			const { ctx } = c;
			ctx.save();
			ctx.font = "700 12px 'Archivo Variable', sans-serif";
			ctx.fillStyle = token('--ink');
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

	function content() {
		const ink = token('--ink');
		const points = blots.map((b) => ({
			x: b.cost,
			y: b.worth * 100,
			xMin: b.costRange?.low ?? b.cost,
			xMax: b.costRange?.high ?? b.cost,
			yMin: (b.worthRange?.low ?? b.worth) * 100,
			yMax: (b.worthRange?.high ?? b.worth) * 100
		}));
		const steps = edge.flatMap((id) => blots.filter((b) => b.id === id)).map((b) => ({ x: b.cost, y: b.worth * 100 }));
		return {
			datasets: [
				{
					data: points,
					radius: 7,
					hoverRadius: 8,
					pointStyle: blots.map((b) => (b.out ? ('crossRot' as const) : ('circle' as const))),
					backgroundColor: blots.map((b) => b.hex ?? token('--faint')),
					borderColor: ink,
					borderWidth: 1.5,
					errorBarColor: token('--muted'),
					errorBarWhiskerColor: token('--muted'),
					errorBarLineWidth: 1.2,
					errorBarWhiskerSize: 5
				},
				{
					type: 'line' as const,
					data: steps,
					stepped: 'before' as const,
					borderColor: token('--act-ink'),
					borderDash: [5, 3],
					borderWidth: 1.5,
					pointRadius: 0
				}
			]
		};
	}

	function options() {
		// The axes fit the blots; a bar longer than the chart runs out of it, which the caption says.
		const dearest = Math.ceil((Math.max(...blots.map((b) => b.cost)) * 1.3) / 10) * 10;
		const lowest = Math.max(0, Math.floor(Math.min(...blots.map((b) => (b.worthRange?.low ?? b.worth) * 100)) / 10) * 10);
		const axis = (text: string) => ({
			title: { display: true, text, color: token('--muted') },
			grid: { color: token('--line') },
			ticks: { color: token('--muted') }
		});
		return {
			animation: false as const,
			responsive: true,
			maintainAspectRatio: false,
			font: { family: "'Archivo Variable', sans-serif" },
			layout: { padding: { top: 14, right: 8 } },
			scales: {
				x: { ...axis(`${currency} per good kg`), type: 'linear' as const, min: 0, max: dearest },
				y: { ...axis('value without cost, of 100'), min: lowest, max: 100 }
			},
			plugins: {
				legend: { display: false },
				tooltip: {
					enabled: true,
					callbacks: {
						label: (item: { dataIndex: number; datasetIndex: number }) =>
							item.datasetIndex === 0 ? (blots[item.dataIndex]?.code ?? '') : ''
					}
				}
			}
		};
	}

	function draw(): void {
		if (!chart) return;
		chart.data = content();
		chart.options = options();
		chart.update('none');
	}

	onMount(() => {
		let gone = false;
		const observer = new MutationObserver(draw);
		void (async () => {
			const [
				{ Chart: ChartClass, LinearScale, PointElement, LineElement, LineController, Tooltip },
				{ ScatterWithErrorBarsController, PointWithErrorBar }
			] = await Promise.all([import('chart.js'), import('chartjs-chart-error-bars')]);
			if (gone || !canvas) return;
			ChartClass.register(
				LinearScale,
				PointElement,
				LineElement,
				LineController,
				Tooltip,
				ScatterWithErrorBarsController,
				PointWithErrorBar
			);
			ChartClass.defaults.font.family = "'Archivo Variable', sans-serif";
			chart = new ChartClass(canvas, {
				type: 'scatterWithErrorBars',
				data: { datasets: [] },
				options: options(),
				plugins: [codes]
			});
			// The frame is one task, what stands in it the next: a key between the two is not kept waiting.
			soon(draw);
			observer.observe(document.documentElement, { attributes: true, attributeFilter: ['class'] });
		})();
		return () => {
			gone = true;
			observer.disconnect();
			chart?.destroy();
			chart = null;
		};
	});

	$effect(() => {
		// Asked for also before there is a chart, so that later ranges are drawn.
		void blots;
		draw();
	});
</script>

<figure aria-label="Value against cost per good kilogram; the table below has the same numbers">
	<div class="relative h-80"><canvas bind:this={canvas}></canvas></div>
	<figcaption class="small">
		Bars are 95 % ranges of the draws; one that leaves the chart goes on. The dashed step is the efficient edge: nothing is better and
		cheaper. A cross fails a gate.
	</figcaption>
</figure>
