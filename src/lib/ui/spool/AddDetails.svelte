<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import type { SpoolEvidence } from '$lib/core/record/evidence/spool-evidence';
	import { SPOOL_FACTS } from '$lib/core/record/facts/spool-facts';
	import { isFlexible } from '$lib/core/stations/prints/success/find-flexible';
	import { SPOOL_FACT_WORDS } from '$lib/words/facts';
	import { refusalWords } from '$lib/words/refusals';
	import { Button } from 'flowbite-svelte';
	import { untrack } from 'svelte';
	import { ChosenUnit } from '../form/chosen-unit.svelte';
	import FactFields from '../form/FactFields.svelte';
	import { blankFacts, typedFacts, type TypedFacts } from '$lib/core/record/facts/typed-facts';
	import { factFieldsOf, saidFacts } from '../form/facts';
	import Field from '../form/Field.svelte';
	import { Form } from '../form/form.svelte';
	import FormShell from '../form/FormShell.svelte';
	import Problem from '../form/Problem.svelte';
	import UnitField from '../form/UnitField.svelte';
	import StatedFields from './StatedFields.svelte';

	let { spool }: { spool: SpoolEvidence['spool'] } = $props();
	/** What maker and shop state, and what a scale says: beside the facts of the spool itself. */
	const noFigures = () => ({
		tare: '',
		grossMass: '',
		nominalDiameter: '',
		labelTolerance: '',
		listingTolerance: '',
		labelNozzle: '',
		hardness: '',
		timesAsStrong: ''
	});
	const standing = (): TypedFacts => typedFacts(SPOOL_FACTS, spool);
	let seenFacts = untrack(standing);
	let facts = $state(blankFacts(SPOOL_FACTS));
	let figures = $state(noFigures());
	const massUnit = new ChosenUnit('mass');
	const form = new Form({ fields: [...factFieldsOf(SPOOL_FACTS), ...Object.keys(noFigures()), 'typed'] });

	async function add(): Promise<void> {
		const said = saidFacts({ ...facts, ...figures });
		// What one adds to is what stood there when the page was looked at.
		const seen = Object.fromEntries(Object.entries(seenFacts).filter(([name]) => name in said));
		const sent = await form.send('spool-facts', { spoolId: spool.id, ...said, seen });
		if (!sent.ok && !form.errors.some((e) => e.code === 'changedMeanwhile')) return;
		await invalidateAll();
		seenFacts = standing();
		if (!sent.ok) return;
		facts = blankFacts(SPOOL_FACTS);
		figures = noFigures();
	}
</script>

<details class="panel px-3 py-2">
	<summary class="font-semibold">Add missing details</summary>
	<FormShell class="mt-2 space-y-2" problem={form.problem} onsubmit={add}>
		<FactFields entries={SPOOL_FACTS} words={SPOOL_FACT_WORDS} bind:typed={facts} errors={form.errors} prefix="fact-" stands={spool} />
		{#each [['tare', 'Empty spool (tare)', '230 g'], ['grossMass', 'Full spool now', '1240 g']] as const as [path, label, placeholder] (path)}
			<UnitField
				id="fact-{path}"
				{path}
				{label}
				dimension="mass"
				chosen={massUnit}
				bind:value={figures[path]}
				errors={form.errors}
				{placeholder}
			/>
		{/each}
		<StatedFields bind:typed={figures} errors={form.errors} prefix="fact-" />
		<Field
			id="fact-nozzle"
			path="labelNozzle"
			label="Label temperature"
			bind:value={figures.labelNozzle}
			errors={form.errors}
			placeholder="230-250 C"
		/>
		{#if isFlexible(spool.material)}
			<Field
				id="fact-hardness"
				path="hardness"
				label="Stated hardness, Shore"
				bind:value={figures.hardness}
				errors={form.errors}
				placeholder="95A"
			/>
		{/if}
		<Field
			id="fact-times"
			path="timesAsStrong"
			label="Stated: how many times as strong"
			bind:value={figures.timesAsStrong}
			errors={form.errors}
			inputmode="decimal"
			placeholder="3"
		/>
		{#each form.errors.filter((e) => e.path === 'typed') as e (e.code)}<Problem live={false}>{refusalWords(e)}</Problem>{/each}
		<Button type="submit" size="xs" color="alternative">Save</Button>
	</FormShell>
</details>
