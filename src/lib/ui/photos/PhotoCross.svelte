<script lang="ts">
	import type { Point } from '$lib/core/stations/prints/cover/types';
	import { isPlainKey } from '../form/keys';

	type Props = {
		url: string;
		width: number;
		height: number;
		label: string;
		/** Points that are set, in the points of the photograph. */
		points: readonly Point[];
		/** Whether they are joined all round. */
		closed: boolean;
		/** Points marked on the photograph. */
		marked: readonly Point[];
		set: (at: Point) => void;
		/** Whether points can be set now. */
		active: boolean;
	};
	let { url, width, height, label, points, closed, marked, set, active }: Props = $props();
	/** The cross, in the points of the photograph; none until a pointer or an arrow brings it. */
	let at = $state.raw<Point | null>(null);
	const LOUPE_PX = 132;
	/** The loupe shows the photograph's own points twice as large. */
	const ZOOM = 2;
	const mark = $derived(width / 120);

	function pointOf(event: PointerEvent | MouseEvent): Point {
		const box = (event.currentTarget as Element).getBoundingClientRect();
		return [((event.clientX - box.left) / box.width) * width, ((event.clientY - box.top) / box.height) * height];
	}
	function keydown(event: KeyboardEvent): void {
		if (!active || !isPlainKey(event)) return;
		const step = (event.shiftKey ? 0.04 : 0.004) * width;
		const [x, y] = at ?? [width / 2, height / 2];
		if (event.key === 'ArrowLeft') at = [Math.max(0, x - step), y];
		else if (event.key === 'ArrowRight') at = [Math.min(width, x + step), y];
		else if (event.key === 'ArrowUp') at = [x, Math.max(0, y - step)];
		else if (event.key === 'ArrowDown') at = [x, Math.min(height, y + step)];
		else if (event.key === 'Enter' && at) {
			set(at);
			// The page must not take the same key for its own.
			event.stopImmediatePropagation();
		} else return;
		event.preventDefault();
	}
</script>

<svelte:window onkeydowncapture={keydown} />

<div class="relative max-w-4xl overflow-hidden rounded border bg-panel" style:aspect-ratio="{width} / {height}">
	<img src={url} alt={label} class="absolute inset-0 size-full" draggable="false" />
	<!-- The keyboard moves the same cross over the window, so the picture itself needs no focus. -->
	<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
	<svg
		viewBox="0 0 {width} {height}"
		class="absolute inset-0 size-full {active ? 'cursor-crosshair' : ''} touch-none"
		data-testid="photo-cross"
		onpointermove={(e) => {
			if (active) at = pointOf(e);
		}}
		onclick={(e) => {
			if (active) set(pointOf(e));
		}}
	>
		{#each marked as [x, y], i (i)}
			<circle cx={x} cy={y} r={mark / 2.2} fill="#fff" stroke="#000" stroke-width={mark / 8} />
		{/each}
		{#if points.length > 1}
			{@const line = points.map((p) => p.join(',')).join(' ')}
			{#if closed}
				<polygon points={line} fill="none" stroke="#fff" stroke-width={mark / 3} />
				<polygon points={line} fill="none" stroke="#000" stroke-width={mark / 6} stroke-dasharray="{mark} {mark}" />
			{:else}
				<polyline points={line} fill="none" stroke="#fff" stroke-width={mark / 3} />
				<polyline points={line} fill="none" stroke="#000" stroke-width={mark / 6} stroke-dasharray="{mark} {mark}" />
			{/if}
		{/if}
		{#each points as [x, y], i (i)}
			<circle cx={x} cy={y} r={mark} fill="none" stroke="#000" stroke-width={mark / 2} />
			<circle cx={x} cy={y} r={mark} fill="none" stroke="#fff" stroke-width={mark / 4} />
		{/each}
		{#if active && at}
			{@const [x, y] = at}
			<path
				d="M{x - 3 * mark},{y}H{x - mark / 2}M{x + mark / 2},{y}H{x + 3 * mark}M{x},{y - 3 * mark}V{y - mark / 2}M{x},{y + mark / 2}V{y +
					3 * mark}"
				stroke="#000"
				stroke-width={mark / 2}
			/>
			<path
				d="M{x - 3 * mark},{y}H{x - mark / 2}M{x + mark / 2},{y}H{x + 3 * mark}M{x},{y - 3 * mark}V{y - mark / 2}M{x},{y + mark / 2}V{y +
					3 * mark}"
				stroke="#fff"
				stroke-width={mark / 4}
			/>
		{/if}
	</svg>
	{#if active && at}
		<!-- On the side away from the cross, so that it hides nothing. -->
		<div
			class="pointer-events-none absolute top-2 rounded border-2 bg-panel {at[0] > width / 2 ? 'left-2' : 'right-2'}"
			style:width="{LOUPE_PX}px"
			style:height="{LOUPE_PX}px"
			style:background-image="url({url})"
			style:background-size="{width * ZOOM}px {height * ZOOM}px"
			style:background-position="{LOUPE_PX / 2 - at[0] * ZOOM}px {LOUPE_PX / 2 - at[1] * ZOOM}px"
			style:background-repeat="no-repeat"
			aria-hidden="true"
		>
			<span class="absolute top-1/2 right-1 left-1 h-px bg-act"></span><span class="absolute top-1 bottom-1 left-1/2 w-px bg-act"></span>
		</div>
	{/if}
</div>
