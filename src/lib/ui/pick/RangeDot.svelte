<script lang="ts">
	type Props = {
		/** From 0, the worst, to 1, the best. */
		value: number;
		low: number;
		high: number;
		/** A stroke for what has no better and worse end. */
		mark?: 'ring' | 'stroke';
		label: string;
	};
	let { value, low, high, mark = 'ring', label }: Props = $props();
	const WIDTH = 66;
	const EDGE = 5;
	const at = (x: number) => EDGE + Math.min(1, Math.max(0, x)) * (WIDTH - 2 * EDGE);
</script>

<svg width={WIDTH} height="14" viewBox="0 0 {WIDTH} 14" role="img" aria-label={label}>
	<title>{label}</title>
	{#if mark === 'ring'}<line x1={EDGE} x2={WIDTH - EDGE} y1="7" y2="7" stroke="var(--line)" stroke-width="2" />{/if}
	<line x1={at(low)} x2={at(high)} y1="7" y2="7" stroke="var(--ink)" stroke-width="1.6" />
	{#if mark === 'ring'}
		<circle cx={at(value)} cy="7" r="3.6" fill="var(--panel)" stroke="var(--water)" stroke-width="2" />
	{:else}
		<line x1={at(value)} x2={at(value)} y1="2" y2="12" stroke="var(--ink)" stroke-width="3" />
	{/if}
</svg>
