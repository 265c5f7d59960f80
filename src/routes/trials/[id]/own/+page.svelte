<script lang="ts">
	import type { SpoolEvidence } from '$lib/core/record/evidence/spool-evidence';
	import { fieldError, type FieldError } from '$lib/schemas/field-error';
	import { page } from '$app/state';
	import { ownQuantity, ownStation } from '$lib/core/stations/own/station';
	import BenchFrame from '$lib/ui/bench/BenchFrame.svelte';
	import { Bench } from '$lib/ui/bench/bench.svelte';
	import CaptureField from '$lib/ui/bench/CaptureField.svelte';
	import ReadingList from '$lib/ui/bench/ReadingList.svelte';
	import FindingLines from '$lib/ui/prints/FindingLines.svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	/** What this trial asks for first; all others of the bench after it. */
	const measures = $derived([...data.basis.ownMeasures].sort((a, b) => Number(b.here) - Number(a.here)));
	const measure = $derived(measures.find((m) => m.id === page.url.searchParams.get('measure')) ?? measures[0]);
	const ofMeasure = (e: SpoolEvidence) => e.readings.filter((r) => r.ownMeasureId === measure?.id);
	const counting = (e: SpoolEvidence) => ofMeasure(e).filter((r) => r.status === 'counts');
	const bench = new Bench({
		station: 'own',
		evidence: () => data.evidence,
		status: (e) => (counting(e).length ? `n ${counting(e).length}` : 'to do')
	});
	const evidence = $derived(bench.evidence);
	const counted = $derived(evidence ? counting(evidence) : []);
	const findings = $derived(evidence ? ownStation.find(evidence, data.basis) : []);
	const move = (by: 1 | -1) => bench.move(by, measure ? { measure: measure.id } : {});

	function keep(typed: string): FieldError | null {
		if (!measure || !evidence) return fieldError('typed', 'nothingToMeasure');
		return bench.keep('own', typed, { ownMeasureId: measure.id, ownUnit: measure.words ?? measure.unit }, measure.words ?? measure.unit);
	}
</script>

<svelte:head><title>Own measures · {data.head.name} · Draught</title></svelte:head>
{#if !measure || !evidence}
	<div class="p-6">
		<h1 class="text-[1.6rem] font-bold">Own measures</h1>
		<p class="mt-2">
			{measures.length === 0 ? 'This trial has no measure of your own.' : 'No spool to measure yet.'}
			<a class="link" href="/trials/{data.head.id}/{measures.length === 0 ? 'rules' : 'intake'}"
				>{measures.length === 0 ? 'Define one' : 'Add one'}</a
			>.
		</p>
	</div>
{:else}
	<BenchFrame items={bench.items} chosen={evidence.spool.id} onchoose={(id) => bench.choose(id, { measure: measure.id })} {move}>
		<h1 class="text-[2rem] leading-tight font-bold">{evidence.spool.code}</h1>
		<p class="mt-1 mb-2 flex flex-wrap gap-2">
			{#each measures as one (one.id)}
				<button
					type="button"
					class="panel px-2.5 py-1 {one.id === measure.id ? 'border-act bg-chosen font-semibold' : ''}"
					aria-pressed={one.id === measure.id}
					onclick={() => bench.choose(evidence.spool.id, { measure: one.id })}>{one.name}</button
				>
			{/each}
		</p>
		{#if measure.words}
			<p class="mb-2 flex flex-wrap gap-2">
				{#each measure.words as word (word)}
					<button type="button" class="panel px-4 py-2 font-semibold" onclick={() => keep(word)}>{word}</button>
				{/each}
			</p>
		{/if}
		<CaptureField
			bind:this={bench.field}
			label="{measure.name} of {evidence.spool.code}"
			unit={measure.words ? 'word' : measure.unit}
			last={counted.at(-1)?.typedText ?? null}
			{keep}
			when={bench.when}
			takeBack={() => bench.takeBack(counted)}
			{move}
		/>
		<div class="mt-4">
			<ReadingList readings={ofMeasure(evidence)} waiting={bench.captured.waiting} onchange={() => void bench.reload()} />
		</div>
		{#snippet results()}<FindingLines {findings} defs={measures.map(ownQuantity)} />{/snippet}
	</BenchFrame>
{/if}
