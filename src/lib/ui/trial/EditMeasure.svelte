<script lang="ts">
	import { DIRECTIONS, FAMILIES } from '$lib/core/record/lists/closed-lists';
	import type { OwnMeasure } from '$lib/core/record/evidence/own-measure';
	import Choice from '../form/Choice.svelte';
	import Field from '../form/Field.svelte';
	import { Edited } from '../form/edited.svelte';
	import EditHere from '../form/EditHere.svelte';
	import { Form } from '../form/form.svelte';
	import { textOrNumber } from '../prints/attempt-draft';
	import { choices, DIRECTION_WORDS, FAMILY_WORDS } from '../../words/closed-lists';

	type Props = {
		measure: OwnMeasure;
		/** @param said what the page then tells */
		onchange: (said: string) => Promise<void>;
	};
	let { measure, onchange }: Props = $props();
	const OWN_FAMILIES = FAMILIES.filter((f) => f !== 'cost');
	const textsOf = () => ({
		name: measure.name,
		low: String(measure.low),
		high: String(measure.high),
		direction: measure.direction,
		family: (measure.family ?? 'none') as (typeof OWN_FAMILIES)[number] | 'none'
	});
	let edited = $state.raw(new Edited(textsOf()));
	const form = new Form({ fields: ['name', 'low', 'high', 'direction', 'family'], supersedes: true });

	function begin(): void {
		edited = new Edited(textsOf());
		form.clear();
	}
	async function save(): Promise<boolean> {
		if (edited.names.length > 0) {
			const { low, high, family, ...rest } = edited.changed;
			const body = {
				...rest,
				...(low === undefined ? {} : { low: textOrNumber(low) }),
				...(high === undefined ? {} : { high: textOrNumber(high) }),
				...(family === undefined ? {} : { family: family === 'none' ? null : family })
			};
			if (!(await form.send('own-measure-facts', { measureId: measure.id, ...body })).ok) return false;
			await onchange('Saved; what stood there before stays on record.');
		}
		return true;
	}
</script>

<EditHere name={measure.name} problem={form.problem} {begin} {save}>
	<Field id="{measure.id}-name" path="name" label="Name" bind:value={edited.typed.name} errors={form.errors} />
	{#if !measure.words}
		<div class="grid grid-cols-2 gap-3">
			<Field id="{measure.id}-low" path="low" label="Scale from" bind:value={edited.typed.low} errors={form.errors} inputmode="decimal" />
			<Field id="{measure.id}-high" path="high" label="Scale to" bind:value={edited.typed.high} errors={form.errors} inputmode="decimal" />
		</div>
		<Choice
			name="{measure.id}-direction"
			legend="What is better?"
			bind:value={edited.typed.direction}
			options={choices(DIRECTIONS, DIRECTION_WORDS)}
		/>
	{/if}
	<Choice
		name="{measure.id}-family"
		legend="Counts with"
		bind:value={edited.typed.family}
		options={[{ value: 'none', label: 'nothing else' }, ...choices(OWN_FAMILIES, FAMILY_WORDS)]}
	/>
</EditHere>
