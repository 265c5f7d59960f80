<script lang="ts">
	import type { Reading } from '$lib/core/record/evidence/reading';
	import type { Specimen } from '$lib/core/record/evidence/specimen';
	import { kindOf } from '$lib/core/stations/strength/kinds';
	import ReadingButton from '../bench/ReadingButton.svelte';
	import ReadingEditor from '../bench/ReadingEditor.svelte';
	import AmendDialog from '../form/AmendDialog.svelte';
	import Choice from '../form/Choice.svelte';
	import Field from '../form/Field.svelte';
	import { textOrNumber } from '../prints/attempt-draft';
	import { LOAD_METHODS, ORIENTATIONS } from '$lib/core/record/lists/closed-lists';
	import { Amending } from '../form/amending.svelte';
	import { choices, DAMAGE_TELLS, FAILURE_MODE_WORDS, kindWords, METHOD_WORDS, ORIENTATION_WORDS, wordOf } from '../../words/closed-lists';

	type Props = { specimens: Specimen[]; readings: Reading[]; waiting: ReadonlySet<string>; onchange: () => void };
	let { specimens, readings, waiting, onchange }: Props = $props();
	let editor = $state<ReadingEditor>();
	const FIELDS = ['shape', 'nozzleC', 'made', 'orientation', 'method'] as const;
	const amending = new Amending<Specimen>('specimen', () => onchange(), ['specimen', ...FIELDS.map((name) => `specimen.${name}`)]);
	const textsOf = ({ shape, orientation, method, nozzleC, made }: Specimen) => ({
		shape,
		orientation,
		method,
		nozzleC: String(nozzleC ?? ''),
		made: made ?? ''
	});
	let draft = $state<ReturnType<typeof textsOf> | null>(null);
	function edit(specimen: Specimen): void {
		draft = textsOf(specimen);
		amending.edit(specimen);
	}
	/** What was changed; what was emptied is not known after all. */
	function correction(): object {
		const { chosen } = amending;
		if (!chosen || !draft) return {};
		const [typed, before] = [draft, textsOf(chosen)];
		const wire = { ...typed, nozzleC: typed.nozzleC.trim() ? textOrNumber(typed.nozzleC) : null, made: typed.made.trim() || null };
		return { specimen: Object.fromEntries(FIELDS.flatMap((name) => (typed[name] === before[name] ? [] : [[name, wire[name]]]))) };
	}
	const of = (specimen: Specimen, quantity: string) => readings.filter((r) => r.specimenId === specimen.id && r.quantity === quantity);
	const PARTS = [
		['bucketMass', 'bucket'],
		['loadHeld', 'held'],
		['blowsHeld', 'held, blows'],
		['loadBroke', 'broke at'],
		['blowsBroke', 'broke at blow'],
		['byHand', 'by hand']
	] as const;
	const numbered = $derived(specimens.map((specimen, i) => ({ specimen, number: i + 1 })).reverse());
</script>

<ol class="space-y-1.5">
	{#each numbered as { specimen, number } (specimen.id)}
		{@const last = (quantity: string) =>
			of(specimen, quantity)
				.filter((r) => r.status === 'counts')
				.at(-1)}
		{@const failure = last('failure')}
		{@const damage = last('damage')}
		<li class="flex flex-wrap items-baseline gap-x-3 border-b pb-1 {specimen.status === 'excluded' ? 'text-muted line-through' : ''}">
			<strong>{number}</strong>
			<span class="small">{kindWords(kindOf(specimen))}{specimen.nozzleC === null ? '' : `, ${specimen.nozzleC} °C`}</span>
			{#each PARTS as [quantity, word] (quantity)}
				{@const here = of(specimen, quantity)}
				{#if here.length}
					<span class="inline-flex flex-wrap items-baseline gap-x-1.5"
						><span class="small">{word}</span>
						{#each here as reading (reading.id)}
							<ReadingButton {reading} waiting={waiting.has(reading.id)} edit={(chosen) => editor?.edit(chosen)} />
						{/each}</span
					>
				{/if}
			{/each}
			{#if failure}<span>{wordOf(FAILURE_MODE_WORDS, failure.typedText)}</span>{/if}
			{#if damage}<span>{wordOf(DAMAGE_TELLS, damage.typedText)}</span>{/if}
			<button
				type="button"
				class="link ml-auto min-h-[26px] text-[0.85rem]"
				disabled={waiting.has(specimen.id)}
				aria-label="Edit test part {number}"
				onclick={() => edit(specimen)}>{specimen.status === 'excluded' ? 'marked invalid' : 'edit'}</button
			>
		</li>
	{/each}
</ol>

<ReadingEditor bind:this={editor} {onchange} />

<AmendDialog
	{amending}
	title="Test part"
	about="What was noted first stays on record. Marked invalid, the part stays on record and counts no more; its loads go with it."
	placeholder="knocked over"
	{correction}
>
	{#if draft}
		<Field id="part-shape" path="specimen.shape" label="Shape" bind:value={draft.shape} errors={amending.errors} />
		<Choice
			name="part-orientation"
			legend="How it lay on the bed"
			bind:value={draft.orientation}
			options={choices(ORIENTATIONS, ORIENTATION_WORDS)}
		/>
		<Choice name="part-method" legend="How it was loaded" bind:value={draft.method} options={choices(LOAD_METHODS, METHOD_WORDS)} />
		<Field
			id="part-nozzle"
			path="specimen.nozzleC"
			label="Printed at, °C"
			bind:value={draft.nozzleC}
			errors={amending.errors}
			inputmode="decimal"
		/>
		<Field id="part-made" path="specimen.made" label="How it was printed otherwise" bind:value={draft.made} errors={amending.errors} />
	{/if}
</AmendDialog>
