<script lang="ts">
	import { page } from '$app/state';
	import { dryingResults } from '$lib/core/stations/drying/results';
	import { dryingLoss } from '$lib/core/stations/drying/quantities';
	import { dryingStation } from '$lib/core/stations/drying/station';
	import EmptyBench from '$lib/ui/bench/EmptyBench.svelte';
	import CorrectRun from '$lib/ui/drying/CorrectRun.svelte';
	import LoadForm from '$lib/ui/drying/LoadForm.svelte';
	import RunCard from '$lib/ui/drying/RunCard.svelte';
	import { running } from '$lib/ui/drying/running.svelte';
	import { intervalWords } from '$lib/ui/figures/label';
	import { sentence } from '$lib/words/messages';
	import { day, dayAndTime, fixed, plural, upTo } from '$lib/words/numbers';
	import { bareMass, massWords, temperatureWords } from '$lib/words/units';
	import { GRADE_WORDS } from '$lib/words/quantities';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const here = $derived(new Set(data.spools.map((s) => s.id)));
	const now = $derived(running.runs.filter((r) => r.spools.some((s) => here.has(s.id))));
	const past = $derived(data.runs.filter((r) => r.end !== null));
	const results = $derived(
		data.evidence.map((e) => ({ spool: e.spool, results: dryingResults(e), finding: dryingStation.find(e, data.basis)[0] }))
	);
	const weighed = $derived(results.filter((r) => r.results.length > 0));
	/** Dried, and not weighed since: the one act that would turn the drying into a result. */
	const toWeigh = $derived(
		data.evidence.filter((e) => {
			const dried = e.events.filter((x) => x.kind === 'dried' && x.status === 'counts' && x.drying).at(-1);
			return (
				dried &&
				!e.readings.some((r) => r.quantity === 'grossMass' && r.status === 'counts' && r.takenAt > (dried.drying?.startedAt ?? dried.at))
			);
		})
	);
</script>

<svelte:head><title>Drying · {data.head.name} · Draught</title></svelte:head>
{#if data.evidence.length === 0}
	<EmptyBench title="Drying" trialId={data.head.id} />
{:else}
	<div class="lg:grid lg:min-h-screen lg:grid-cols-[minmax(0,1fr)_320px]">
		<div class="min-w-0 space-y-4 p-4 lg:px-7">
			<h1 class="text-[2rem] leading-tight font-bold">Drying</h1>
			{#each now as run (run.id)}<RunCard {run} />{/each}
			{#if toWeigh.length}
				<p class="question">
					Dried, not weighed since:
					{#each toWeigh as e (e.spool.id)}<a class="link mr-2" href="/trials/{data.head.id}/moisture?spool={e.spool.id}">{e.spool.code}</a
						>{/each}
				</p>
			{/if}
			{#if data.unprinted.length}
				<p class="question">
					This trial counts prints as received, and {plural(data.unprinted.length, 'spool')}
					{data.unprinted.length === 1 ? 'has' : 'have'} none yet. Print before drying:
					{#each data.unprinted as { id, code } (id)}<a class="link mr-2" href="/trials/{data.head.id}/prints?spool={id}">{code}</a>{/each}
				</p>
			{/if}
			<LoadForm
				trialId={data.head.id}
				evidence={data.evidence}
				dryers={data.dryers}
				handbook={data.basis.handbook}
				wanted={page.url.searchParams.get('spool')}
			/>
			{#if past.length}
				<section aria-label="Past runs">
					<h2 class="mb-1 font-semibold">Past runs</h2>
					<ul class="space-y-1">
						{#each past as run (run.id)}
							<li>
								<strong>{dayAndTime(run.startedAt)}</strong> · {run.dryer}, {temperatureWords(run.setPointC)}, {upTo(
									((run.end?.at ?? run.startedAt) - run.startedAt) / 3_600_000,
									1
								)} h · {run.spools.map((s) => s.code).join(', ')}{run.end?.outcome === 'void' ? ' · dried nothing' : ''}
								<CorrectRun {run} />
							</li>
						{/each}
					</ul>
				</section>
			{/if}
		</div>
		<aside class="border-line bg-rail p-4 lg:border-l" aria-label="Results">
			<h2 class="small font-semibold">Results</h2>
			{#if weighed.length === 0}
				<p class="mt-2">Nothing yet. Weigh a spool, dry it, weigh it again: to see how wet it arrived.</p>
			{/if}
			<ul class="mt-2 space-y-3">
				{#each weighed as one (one.spool.id)}
					<li>
						<p class="flex items-baseline justify-between gap-2">
							<strong class="wide">{one.spool.code}</strong>
							<strong>{one.finding?.estimate == null ? '' : `${fixed(one.finding.estimate, 2)} % lost`}</strong>
						</p>
						{#if one.finding}
							<p class="small">n {one.finding.n}, {intervalWords(one.finding, dryingLoss)} · {GRADE_WORDS[one.finding.grade]}</p>
							<p class="small">{one.finding.messages.map(sentence).join(' ')}</p>
						{/if}
						{#each one.results.slice(1) as later (later.afterId)}
							<p class="small">
								{day(later.at)}: {bareMass(later.lostG, 1)} ± {massWords(2 * later.uG, 1)} ({fixed(later.lostPct, 2)} %){later.seen
									? ''
									: ', not seen'}
							</p>
						{/each}
					</li>
				{/each}
			</ul>
		</aside>
	</div>
{/if}
