<script lang="ts">
	import { wrap, type Remote } from 'comlink';
	import { invalidateAll } from '$app/navigation';
	import { conditionOf } from '$lib/core/record/conditions/condition-at';
	import type { StringCover } from '$lib/core/stations/prints/cover/measure-string-cover';
	import { orderCorners } from '$lib/core/stations/prints/cover/order-corners';
	import type { Corners, Point } from '$lib/core/stations/prints/cover/types';
	import { BenchReadings } from '$lib/ui/bench/bench-readings.svelte';
	import { isPlainKey } from '$lib/ui/form/keys';
	import { newId } from '$lib/ui/form/send';
	import PhotoCross from '$lib/ui/photos/PhotoCross.svelte';
	import { fixed } from '$lib/words/numbers';
	import { CONDITION_WORDS } from '$lib/words/closed-lists';
	import { photoFaultWords, stringCoverWords } from '$lib/words/string-cover';
	import type { StringCoverWorker } from '$lib/workers/string-cover.worker';
	import { Button } from 'flowbite-svelte';
	import { onMount } from 'svelte';
	import type { PageProps } from './$types';
	import Problem from '$lib/ui/form/Problem.svelte';

	let { data }: PageProps = $props();
	const bench = new BenchReadings('prints');
	let worker: Remote<StringCoverWorker> | null = null;
	onMount(() => {
		const mine = new Worker(new URL('../../../../../../lib/workers/string-cover.worker.ts', import.meta.url), { type: 'module' });
		worker = wrap<StringCoverWorker>(mine);
		void worker.open(url);
		return () => mine.terminate();
	});
	const url = $derived(`/api/v1/photos/${data.photo.id}`);
	let clicked = $state.raw<Point[]>([]);
	let found = $state.raw<{ corners: Corners; strands: StringCover } | null>(null);
	let busy = $state(false);
	let problem = $state('');
	let said = $state('');
	const CORNERS = ['first', 'second', 'third', 'last'];

	async function set(at: Point): Promise<void> {
		if (busy || found) return;
		said = '';
		clicked = [...clicked, at];
		const [a, b, c, d] = clicked;
		if (!a || !b || !c || !d || !worker) return;
		busy = true;
		problem = '';
		try {
			const corners = orderCorners([a, b, c, d]);
			found = { corners, strands: await worker.measure(url, corners) };
		} catch (error) {
			console.error(error);
			problem = 'The photograph could not be read. Set the corners again once the server answers.';
			clicked = [];
		}
		busy = false;
	}
	function back(): void {
		if (found) found = null;
		clicked = clicked.slice(0, -1);
	}
	function again(): void {
		found = null;
		clicked = [];
	}
	async function keep(): Promise<void> {
		if (!found || found.strands.quality === 'unusable') return;
		const { corners, strands } = found;
		const of = { spoolId: data.spool.id, attemptId: data.attempt.id, photo: { id: data.photo.id, corners } };
		// The decimals say how fine the measure is: more are not shown and not kept.
		await bench.keep({ id: newId(), ...of, quantity: 'stringCoverage', typed: fixed(strands.coveragePct, 2) });
		await bench.keep({ id: newId(), ...of, quantity: 'photoStrings', typed: String(strands.count) });
		await bench.keep({ id: newId(), ...of, quantity: 'photoQuality', typed: strands.quality });
		said = `Saved for ${data.spool.code}: ${stringCoverWords(strands)}.`;
		again();
		await invalidateAll();
	}
	function keydown(event: KeyboardEvent): void {
		if (!isPlainKey(event)) return;
		if (event.key === 'Backspace') back();
		else if (event.key === 'Enter' && found) void keep();
		else return;
		event.preventDefault();
	}
</script>

<svelte:head><title>Strings on a photograph · Draught</title></svelte:head>
<svelte:window onkeydown={keydown} />
<div class="p-3 md:px-5 md:py-4">
	<p class="small"><a class="link" href="/trials/{data.head.id}/prints/photos?piece={data.attempt.pieceId}">Photographs</a></p>
	<h1 class="text-[1.6rem] font-bold">Strings of {data.spool.code}, measured</h1>
	<p class="text-muted">
		{data.piece ? `${data.piece.name} ${data.piece.version}` : 'piece'} · {CONDITION_WORDS[conditionOf(data.history, data.attempt).kind]}
		· judged by eye: {data.judged.map((r) => (r.scorer ? `${r.typedText} (${r.scorer})` : r.typedText)).join(', ') || 'not yet'}
	</p>
	{#if problem}<Problem class="mt-2">{problem}</Problem>{/if}
	<p class="mt-2 text-[1.15rem]" role="status" aria-live="polite" data-testid="strands-said">
		{#if said}{said}
		{:else if busy}Measuring …
		{:else if found}{stringCoverWords(found.strands)}{:else if data.measured.length && clicked.length === 0}Measured before:
			{data.measured.map((r) => `${r.typedText} %`).join(', ')}. Set the corners of the gap to measure again.
		{:else}Set the <strong>{CORNERS[clicked.length]}</strong> corner of the gap: inner edge of a spike, at its tip or at its foot.{/if}
	</p>
	<div class="mt-2 grid gap-4 lg:grid-cols-[minmax(0,1fr)_300px]">
		<PhotoCross
			{url}
			width={data.photo.width}
			height={data.photo.height}
			label="Photograph of {data.spool.code}"
			points={found ? found.corners : clicked}
			closed={found !== null}
			marked={found?.strands.seenAt ?? []}
			set={(at) => void set(at)}
			active={!found && !busy}
		/>
		<aside>
			{#if found}
				<dl class="grid grid-cols-[1fr_auto] gap-x-3 gap-y-1">
					<dt class="text-muted">Covered of the gap</dt>
					<dd class="text-right text-[1.6rem] leading-tight font-bold">{fixed(found.strands.coveragePct, 1)} %</dd>
					<dd class="small col-span-2 text-right">
						{fixed(found.strands.lowPct, 1)} to {fixed(found.strands.highPct, 1)} % for a stricter or looser eye; one photograph
					</dd>
					<dt class="text-muted">Strands across</dt>
					<dd class="text-right text-[1.6rem] leading-tight font-bold">{found.strands.count}</dd>
					<dd class="small col-span-2 text-right">
						{found.strands.countLow} to {found.strands.countHigh} on most of 21 lines; where strands touch they count as one
					</dd>
					<dt class="text-muted">Photograph</dt>
					<dd class="text-right font-semibold">{found.strands.quality}</dd>
				</dl>
				{#each found.strands.faults as fault (fault)}<p class="small mt-1">{photoFaultWords(fault)}</p>{/each}
				<div class="mt-3 flex flex-wrap gap-2">
					<Button disabled={found.strands.quality === 'unusable'} onclick={() => void keep()}>Save</Button>
					<Button color="alternative" onclick={again}>Set the corners again</Button>
				</div>
				{#if found.strands.quality === 'unusable'}<Problem live={false} class="mt-2"
						>Nothing is saved from a photograph that cannot be measured.</Problem
					>{/if}
			{/if}
			<p class="small mt-3">
				Measured on this photograph and kept apart from the mark you gave, for light and background change it. Best: a plain dark
				background, light from the side, both spikes sharp. The corners are saved with the number.
			</p>
			<p class="small mt-2">
				<kbd>←</kbd><kbd>→</kbd><kbd>↑</kbd><kbd>↓</kbd> move the cross, with <kbd>Shift</kbd> farther; <kbd>Enter</kbd> sets a corner, then
				saves; <kbd>⌫</kbd> back.
			</p>
		</aside>
	</div>
</div>
