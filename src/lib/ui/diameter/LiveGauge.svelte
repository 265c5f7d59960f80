<script lang="ts">
	import type { LogLayout } from '$lib/schemas/gauge-log';
	import { Button } from 'flowbite-svelte';
	import { extent } from 'd3-array';
	import { scaleLinear } from 'd3-scale';
	import { onDestroy } from 'svelte';
	import { fixed, plural, upTo } from '../../words/numbers';
	import { bareLength, lengthUnit } from '../../words/units';
	import { LiveLog } from './live-log.svelte';
	import { ribbonPath } from './ribbon';
	import HarmIcon from '../form/HarmIcon.svelte';

	type Props = {
		spoolId: string;
		instrumentId: string;
		hex: string | null;
		limits: { lowMm: number; highMm: number } | null;
		ontaken: () => void;
	};
	let { spoolId, instrumentId, hex, limits, ontaken }: Props = $props();
	const DRAW_EVERY_MS = 250;
	const W = 640;
	const H = 120;
	let live = $state.raw<LiveLog | null>(null);
	let timer: ReturnType<typeof setInterval> | undefined;
	onDestroy(() => {
		clearInterval(timer);
		if (live?.open) void live.cancel();
	});

	/** A gauge begins to measure: it writes through `push` and says when it has stopped. */
	export function begin(name: string, layout: LogLayout): { push: (text: string) => void; end: () => void } {
		const one = new LiveLog({ spoolId, instrumentId, name, layout });
		live = one;
		clearInterval(timer);
		timer = setInterval(() => one.draw(), DRAW_EVERY_MS);
		return { push: (text) => one.push(text), end: () => void stop(one) };
	}
	async function stop(one: LiveLog): Promise<void> {
		clearInterval(timer);
		if (await one.stop()) {
			ontaken();
			if (live === one) live = null;
		}
	}

	const columns = $derived(live?.picture?.columns ?? []);
	const range = $derived.by(() => {
		const [low, high] = extent([...columns.flatMap((c) => [c.lowMm, c.highMm]), ...(limits ? [limits.lowMm, limits.highMm] : [])]);
		return { low: (low ?? 1.7) - 0.005, high: (high ?? 1.8) + 0.005 };
	});
	const x = $derived(scaleLinear([0, live?.metres || 1], [44, W - 6]));
	const y = $derived(scaleLinear([range.low, range.high], [H - 6, 6]));
</script>

{#if live}
	<section aria-label="The gauge measures" class="panel mt-4 px-3 py-2">
		<p role="status" class="text-[1.05rem]">
			{#if live.state === 'refused'}
				<span class="text-harm"><HarmIcon /> Nothing was stored. {live.title}</span>
			{:else if live.state === 'ending'}
				Stopped after <strong>{upTo(live.metres, 1)} m</strong>; taking it in …
			{:else if live.state === 'cancelled'}
				Cancelled; nothing stored.
			{:else}
				The gauge measures: <strong>{fixed(live.metres, 1)} m</strong>, {plural(live.samples, 'sample')} so far{live.waiting > 1
					? `; ${plural(live.waiting, 'part')} waiting for the server`
					: ''}
			{/if}
		</p>
		{#if columns.length > 1}
			<svg
				viewBox="0 0 {W} {H}"
				class="mt-1 block w-full"
				style:max-width="{W}px"
				role="img"
				aria-label="Strand so far, {upTo(live.metres, 1)} m"
			>
				{#each y.ticks(3) as tick (tick)}
					<line x1="44" x2={W - 6} y1={y(tick)} y2={y(tick)} stroke="var(--line)" />
					<text x="39" y={y(tick) + 4} font-size="11" text-anchor="end" fill="var(--muted)">{bareLength(tick, 2)}</text>
				{/each}
				<path d={ribbonPath(columns, x, y)} fill={hex ?? 'var(--faint)'} stroke="var(--ink)" stroke-width="0.7" stroke-linejoin="round" />
				{#each limits ? [limits.lowMm, limits.highMm] : [] as limit (limit)}
					<line x1="44" x2={W - 6} y1={y(limit)} y2={y(limit)} stroke="var(--ink)" stroke-dasharray="4 3" />
				{/each}
				<text x="0" y="10" font-size="11" fill="var(--muted)">{lengthUnit()}</text>
			</svg>
		{/if}
		{#if live.open}
			<p class="mt-2 flex items-center gap-3">
				<Button size="sm" onclick={() => live && void stop(live)}>Stop and save</Button>
				<button type="button" class="link" onclick={() => void live?.cancel()}>Cancel</button>
			</p>
		{/if}
	</section>
{/if}
