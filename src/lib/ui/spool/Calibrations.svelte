<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import type { SpoolEvidence } from '$lib/core/record/evidence/spool-evidence';
	import type { Finding } from '$lib/core/judging/finding/types';
	import { CALIBRATED } from '$lib/core/stations/calibration/quantities';
	import { readReading } from '$lib/core/joins/read-reading';
	import type { FieldError } from '$lib/schemas/field-error';
	import { refusedReading } from '$lib/schemas/refused-reading';
	import { BenchReadings } from '../bench/bench-readings.svelte';
	import CaptureField from '../bench/CaptureField.svelte';
	import ReadingList from '../bench/ReadingList.svelte';
	import { intervalWords } from '../figures/label';
	import { When } from '../form/when.svelte';
	import { quantityName, valueWords } from '../../words/quantities';

	/** What a spool was calibrated to, and where more is entered. */
	let { evidence, findings }: { evidence: SpoolEvidence; findings: Finding[] } = $props();
	const when = new When();
	const bench = new BenchReadings('calibration', when);
	let chosen = $state('calibratedFlow');
	const of = $derived(CALIBRATED.find((c) => c.def.id === chosen));
	const live = $derived(bench.of(evidence));
	const readingsOf = (id: string) => live.readings.filter((r) => r.quantity === id);
	const mine = $derived(readingsOf(chosen));
	const done = $derived(CALIBRATED.filter(({ def }) => readingsOf(def.id).length > 0));
	/** Open from the start where something stands in it; after that it is the tester's. */
	let open = $state(false);

	function keep(typed: string): FieldError | null {
		const read = readReading(chosen, typed);
		if (!read.ok) return refusedReading('typed', read);
		void bench.keep({ spoolId: evidence.spool.id, quantity: chosen, typed }).then(() => invalidateAll());
		return null;
	}
	function takeBack(): void {
		const last = mine.findLast((r) => r.status === 'counts');
		if (last) void bench.takeBack(last.id).then(() => invalidateAll());
	}
</script>

<section id="calibrations" aria-label="Calibrations">
	<h2 class="mb-1 font-semibold">Calibrations</h2>
	{#if done.length}
		<ul class="space-y-1">
			{#each done as { def } (def.id)}
				{@const finding = findings.find((f) => f.quantity === def.id)}
				<li class="flex flex-wrap items-baseline gap-x-2">
					<span>{quantityName(def)}</span>
					{#if finding && finding.estimate !== null}<strong>{valueWords(def, finding.estimate)}</strong>
						<span class="small">n {finding.n}, {intervalWords(finding, def, '')}</span>{/if}
					<ReadingList readings={readingsOf(def.id)} waiting={bench.waiting} onchange={() => void invalidateAll()} />
				</li>
			{/each}
		</ul>
	{/if}
	<details class="panel mt-1 px-3 py-2" bind:open>
		<summary class="font-medium">{done.length ? 'Add a calibration' : 'None noted. Add one: it is offered with the next print'}</summary>
		<p class="mt-2 mb-2 flex flex-wrap gap-2">
			{#each CALIBRATED as { def } (def.id)}
				<button
					type="button"
					class="panel px-2.5 py-1 {def.id === chosen ? 'border-act bg-chosen font-semibold' : ''}"
					aria-pressed={def.id === chosen}
					onclick={() => (chosen = def.id)}>{quantityName(def)}</button
				>
			{/each}
		</p>
		{#if of}
			{#key chosen}
				<CaptureField
					label="{quantityName(of.def)} of {evidence.spool.code}"
					unit={of.def.unit === 'mm3/s' ? 'mm³/s' : of.def.unit}
					last={mine.at(-1)?.typedText ?? null}
					{keep}
					{takeBack}
					{when}
				/>
			{/key}
		{/if}
	</details>
</section>
