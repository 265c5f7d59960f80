<script lang="ts">
	import type { Chart, ChartConfiguration, ChartType } from 'chart.js';
	import { onMount, type Snippet } from 'svelte';
	import { soon } from '../growing/soon';
	import { locale } from '../../words/locale';
	import { inkOfPage, type Ink } from './ink';
	import { loadChart } from './load-chart';

	type Props = {
		/** What is drawn; asked again when something it reads has changed, and when the page turns dark or light. */
		content: (ink: Ink) => ChartConfiguration<ChartType>;
		/** What a person who does not see the chart is told in its place. */
		label: string;
		/** Height of the chart, as a class. */
		height: string;
		children?: Snippet;
	};
	let { content, label, height, children }: Props = $props();
	const FRAME = { animation: false, responsive: true, maintainAspectRatio: false, locale: locale() } as const;
	let canvas = $state<HTMLCanvasElement>();
	let chart: Chart | null = null;

	function draw(): void {
		const { data, options } = content(inkOfPage);
		if (!chart) return;
		chart.data = data;
		chart.options = { ...FRAME, ...options };
		chart.update('none');
	}

	onMount(() => {
		let gone = false;
		const observer = new MutationObserver(draw);
		void loadChart().then((ChartClass) => {
			if (gone || !canvas) return;
			const { type, plugins } = content(inkOfPage);
			chart = new ChartClass(canvas, {
				type,
				data: { datasets: [] },
				options: FRAME,
				...(plugins ? { plugins } : {})
			});
			// The frame is one task, what stands in it the next: a key between the two is not kept waiting.
			soon(draw);
			observer.observe(document.documentElement, { attributes: true, attributeFilter: ['class'] });
		});
		return () => {
			gone = true;
			observer.disconnect();
			chart?.destroy();
			chart = null;
		};
	});

	$effect(draw);
</script>

<figure>
	<div class="relative {height}" role="img" aria-label={label}><canvas bind:this={canvas} aria-hidden="true"></canvas></div>
	{#if children}<figcaption class="small">{@render children()}</figcaption>{/if}
</figure>
