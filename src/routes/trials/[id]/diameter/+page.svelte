<script lang="ts">
	import Term from '$lib/ui/help/Term.svelte';
	import { READING_DIRECTIONS } from '$lib/core/record/lists/closed-lists';
	import { instrumentLine } from '$lib/core/stations/diameter/claim-sentence';
	import { diameterStation } from '$lib/core/stations/diameter/station';
	import { shownReading } from '$lib/core/record/readings/shown-reading';
	import BenchFrame from '$lib/ui/bench/BenchFrame.svelte';
	import CaptureField from '$lib/ui/bench/CaptureField.svelte';
	import EmptyBench from '$lib/ui/bench/EmptyBench.svelte';
	import InstrumentChoice from '$lib/ui/bench/InstrumentChoice.svelte';
	import ReadingList from '$lib/ui/bench/ReadingList.svelte';
	import ClaimTest from '$lib/ui/diameter/ClaimTest.svelte';
	import { DiameterBench } from '$lib/ui/diameter/diameter-bench.svelte';
	import StrandSoFar from '$lib/ui/diameter/StrandSoFar.svelte';
	import DiameterFindings from '$lib/ui/diameter/DiameterFindings.svelte';
	import Later from '$lib/ui/growing/Later.svelte';
	import DamagedRecords from '$lib/ui/spool/DamagedRecords.svelte';
	import { sentence } from '$lib/words/messages';
	import { bareLength, toleranceWords } from '$lib/words/units';
	import { onDestroy, untrack } from 'svelte';
	import type { PageProps } from './$types';
	import Problem from '$lib/ui/form/Problem.svelte';

	let { data }: PageProps = $props();
	// Without a spool in the address: the first that still wanted readings when the page was opened.
	const measuring = new DiameterBench(
		() => data,
		untrack(() => data.opened)
	);
	const { bench } = measuring;
	let list = $state<ReadingList>();
	$effect(() => {
		const { evidence, opened } = data;
		untrack(() => measuring.fill(evidence, opened));
	});
	onDestroy(() => measuring.stop());
	const defs = $derived(diameterStation.quantities(data.basis));
	const evidence = $derived(bench.evidence);
	const claims = $derived(measuring.stated?.claims ?? []);
	const next = $derived(measuring.next);
	const move = (by: 1 | -1) => bench.move(by);

	function setTesting(on: boolean): void {
		measuring.testing = on;
		bench.focus();
	}
</script>

<svelte:head><title>Diameter · {data.head.name} · Draught</title></svelte:head>
{#if !evidence}
	<EmptyBench title="Diameter" trialId={data.head.id} />
{:else}
	<BenchFrame items={bench.items} chosen={evidence.spool.id} onchoose={(id) => bench.choose(id)} {move} found={measuring.whole}>
		<DamagedRecords damaged={evidence.damaged} kind="log" />
		{#if measuring.problem}<Problem>{measuring.problem}</Problem>{/if}
		<div class="flex flex-wrap items-baseline gap-x-3">
			<h1 class="text-[2rem] leading-tight font-bold">{evidence.spool.code}</h1>
			<span class="text-muted">
				{#if claims.length}
					<Term of="stated">stated</Term>
					{bareLength(measuring.nominalMm, 2)}
					{claims.map((c) => toleranceWords(c.toleranceMm)).join(' (label), ')}{claims.length > 1 ? ' (shop)' : ''}
				{:else}
					no tolerance <Term of="stated">stated</Term>
				{/if} ·
				<InstrumentChoice
					instruments={data.instruments}
					bind:chosen={measuring.instrumentId}
					trialId={data.head.id}
					what="caliper"
					none="add your caliper"
					onchange={() => bench.focus()}
				/>
			</span>
		</div>
		{#if measuring.claim}
			<p class="small mt-1" data-testid="instrument-line">
				{sentence(instrumentLine(measuring.budget.standardUncertaintyMm, measuring.claim.toleranceMm))}
			</p>
			<fieldset class="mt-2 flex gap-x-4">
				<legend class="sr-only">How thorough</legend>
				<label class="flex min-h-[26px] items-center gap-1.5"
					><input type="radio" name="test" checked={!measuring.testing} onchange={() => setTesting(false)} /> quick check
					<span class="small">gross faults</span></label
				>
				<label class="flex min-h-[26px] items-center gap-1.5"
					><input type="radio" name="test" checked={measuring.testing} onchange={() => setTesting(true)} /> full test
					<span class="small">is the tolerance met?</span></label
				>
			</fieldset>
		{/if}
		{#if measuring.plan}<ClaimTest plan={measuring.plan} bind:zone={measuring.zone} />{/if}
		<p id="place" class="mt-3 mb-1.5 text-[1.05rem]">
			{#if !next.done}
				Spot <strong>{next.place + 1}{measuring.testing ? '' : ` of ${data.basis.diameterPlaces}`}</strong> · reading
				<strong>{next.direction === 'across' ? 2 : 1}</strong>
				{next.direction === 'across' ? '(same spot, turn it 90°)' : '(move a few metres on)'}
			{:else if !measuring.testing}
				The quick check is complete. More readings are welcome; or go on with the next spool <kbd>↓</kbd>.
			{/if}
		</p>
		<CaptureField
			bind:this={bench.field}
			label="Diameter of {evidence.spool.code}"
			unit={measuring.unit.unit}
			units={measuring.unit.units}
			onunit={(unit) => measuring.unit.choose(unit)}
			last={measuring.unit.again(measuring.counting.at(-1))}
			keep={(typed) => measuring.keep(typed)}
			when={bench.when}
			takeBack={() => bench.takeBack(measuring.counting)}
			{move}
			describedBy="place"
		/>
		{#if measuring.odd}
			{@const odd = measuring.odd}
			<div class="question mt-4" role="status">
				The reading <strong>{shownReading(odd)}</strong> is far from its neighbours. Swapped digits? It counts until you say.
				{#if bench.captured.waiting.has(odd.id)}
					It is still waiting to be saved.
				{:else}
					<button type="button" class="link" onclick={() => list?.edit(odd)}>Correct it</button> ·
					<button type="button" class="link" onclick={() => void measuring.confirm(odd.id)}>it is right</button>
				{/if}
			</div>
		{/if}
		<StrandSoFar {measuring} {evidence} places={data.basis.diameterPlaces} />
		<dl class="mt-4 grid grid-cols-[4.5rem_1fr] gap-y-2">
			{#each READING_DIRECTIONS as way (way)}
				{@const here = measuring.readings.filter((r) => (r.direction ?? 'along') === way)}
				{#if here.length}
					<dt class="text-muted">{way === 'across' ? 'turned 90°' : 'as it lies'}</dt>
					<dd>
						<ReadingList
							bind:this={list}
							readings={here}
							waiting={bench.captured.waiting}
							onchange={() => void measuring.reload()}
							instruments={evidence.instruments}
						/>
					</dd>
				{/if}
			{/each}
		</dl>
		{#each measuring.struckLogs as struck (struck.id)}
			<p class="small mt-2">
				Marked invalid: the log {struck.name}.
				<button type="button" class="link" onclick={() => void measuring.reinstateLog(struck.id)}>Restore</button>
			</p>
		{/each}
		<Later>
			{#key evidence.spool.id}
				{#await import('$lib/ui/diameter/OtherWays.svelte') then { default: OtherWays }}
					<OtherWays
						spoolId={evidence.spool.id}
						instrumentId={measuring.instrumentId}
						hex={evidence.spool.colourHex}
						limits={measuring.claim}
						nominalMm={measuring.nominalMm}
						take={(pasted) => measuring.take(pasted)}
						keep={(typed) => measuring.keep(typed)}
						ontaken={() => void measuring.reload()}
					/>
				{/await}
			{/key}
		</Later>
		<p class="small mt-4"><a class="link" href="/trials/{data.head.id}/diameter/spools">All spools on one scale</a></p>
		{#snippet results()}
			{#if measuring.whole}<DiameterFindings findings={measuring.findings} {defs} onnext={() => move(1)} />{:else}<p class="small mt-2">
					…
				</p>{/if}
		{/snippet}
	</BenchFrame>
{/if}
