<script lang="ts">
	import { fieldError } from '$lib/schemas/field-error';
	import { refusedReading } from '$lib/schemas/refused-reading';
	import { goto, invalidateAll } from '$app/navigation';
	import { page } from '$app/state';
	import { ownQuantity, ownStation } from '$lib/core/own/station';
	import { readReading } from '$lib/core/readings/read-reading';
	import BenchFrame from '$lib/ui/bench/BenchFrame.svelte';
	import { BenchReadings } from '$lib/ui/bench/bench-readings.svelte';
	import CaptureField from '$lib/ui/bench/CaptureField.svelte';
	import ReadingList from '$lib/ui/bench/ReadingList.svelte';
	import { railItem } from '$lib/ui/bench/rail-item';
	import FindingLines from '$lib/ui/prints/FindingLines.svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const bench = new BenchReadings('own');
	let field = $state<CaptureField>();
	const measures = $derived(data.basis.ownMeasures);
	const measure = $derived(measures.find((m) => m.id === page.url.searchParams.get('measure')) ?? measures[0]);
	const live = $derived(data.evidence.map((e) => bench.of(e)));
	const index = $derived(
		Math.max(
			0,
			live.findIndex((e) => e.spool.id === page.url.searchParams.get('spool'))
		)
	);
	const evidence = $derived(live[index]);
	const readings = $derived(measure && evidence ? evidence.readings.filter((r) => r.ownMeasureId === measure.id) : []);
	const counted = $derived(readings.filter((r) => r.status === 'counts'));
	const findings = $derived(evidence ? ownStation.find(evidence, data.basis, 0) : []);
	const items = $derived(
		live.map((e) => {
			const n = e.readings.filter((r) => r.ownMeasureId === measure?.id && r.status === 'counts').length;
			return railItem(e.spool, n ? `n ${n}` : 'to do');
		})
	);

	function go(spoolId: string, measureId: string): void {
		void goto(`?spool=${spoolId}&measure=${measureId}`, { keepFocus: true, noScroll: true, replaceState: true });
		field?.focus();
	}
	function move(by: 1 | -1): void {
		const next = live[(index + by + live.length) % live.length];
		if (next && measure) go(next.spool.id, measure.id);
	}
	function keep(typed: string) {
		if (!measure || !evidence) return fieldError('typed', 'nothingToMeasure');
		const read = readReading('own', typed, measure.unit);
		if (!read.ok) return refusedReading('typed', read);
		void bench.keep({ spoolId: evidence.spool.id, quantity: 'own', typed, ownMeasureId: measure.id, ownUnit: measure.unit });
		return null;
	}
	function takeBack(): void {
		const last = counted.at(-1);
		if (last) void bench.takeBack(last.id);
	}
</script>

<svelte:head><title>Own measures · {data.head.name} · Draught</title></svelte:head>
{#if !measure || !evidence}
	<div class="p-6">
		<h1 class="text-[1.6rem] font-bold">Own measures</h1>
		<p class="mt-2">
			{measures.length === 0 ? 'This trial has no measure of your own.' : 'No spool to measure yet.'}
			<a class="link" href="/trials/{data.head.id}/{measures.length === 0 ? 'rules' : 'intake'}"
				>{measures.length === 0 ? 'Define one' : 'Take one in'}</a
			>.
		</p>
	</div>
{:else}
	<BenchFrame {items} chosen={evidence.spool.id} onchoose={(id) => go(id, measure.id)} {move}>
		<h1 class="text-[2rem] leading-tight font-bold">{evidence.spool.code}</h1>
		<p class="mt-1 mb-2 flex flex-wrap gap-2">
			{#each measures as one (one.id)}
				<button
					type="button"
					class="panel px-2.5 py-1 {one.id === measure.id ? 'border-act! bg-chosen! font-semibold' : ''}"
					aria-pressed={one.id === measure.id}
					onclick={() => go(evidence.spool.id, one.id)}>{one.name}</button
				>
			{/each}
		</p>
		<CaptureField
			bind:this={field}
			label="{measure.name} of {evidence.spool.code}"
			unit={measure.unit}
			last={counted.at(-1)?.typedText ?? null}
			{keep}
			{takeBack}
			{move}
		/>
		<div class="mt-4">
			<ReadingList {readings} waiting={bench.waiting} onchange={() => void invalidateAll().then(() => bench.settle())} />
		</div>
		{#snippet says()}<FindingLines {findings} defs={measures.map(ownQuantity)} />{/snippet}
	</BenchFrame>
{/if}
