<script lang="ts">
	import { DIRECTIONS, FAMILIES, type Direction } from '$lib/core/record/lists/closed-lists';
	import { choices, DIRECTION_WORDS, FAMILY_WORDS } from '$lib/words/closed-lists';
	import { Button } from 'flowbite-svelte';
	import Choice from '../form/Choice.svelte';
	import Field from '../form/Field.svelte';
	import { Form } from '../form/form.svelte';
	import FormShell from '../form/FormShell.svelte';
	import { numeric } from '../form/numeric';

	/** `onadded` says so on the page. */
	let { trialId, onadded }: { trialId: string; onadded: (words: string) => Promise<void> } = $props();
	/** What a measure of one's own may count with: what it costs is no measure. */
	const OWN_FAMILIES = FAMILIES.filter((f) => f !== 'cost');
	const fresh = () => ({ name: '', unit: '', low: '', high: '', words: '' });
	let measure = $state(fresh());
	let direction = $state<Direction>('more');
	let told = $state<'number' | 'words'>('number');
	let family = $state<(typeof OWN_FAMILIES)[number] | 'none'>('none');
	const form = new Form({ fields: Object.keys(fresh()) });
	const words = $derived(
		measure.words
			.split(',')
			.map((word) => word.trim())
			.filter(Boolean)
	);

	async function add(): Promise<void> {
		const { name, unit, low, high } = measure;
		const sent = await form.send('own-measures', {
			trialId,
			name,
			...(family === 'none' ? {} : { family }),
			...(told === 'words' ? { words } : { unit, direction, low: numeric(low), high: numeric(high) })
		});
		if (!sent.ok) return;
		await onadded(`${name} is a column of the sheet now.`);
		measure = fresh();
	}
</script>

<FormShell class="space-y-3" problem={form.problem} onsubmit={add}>
	<div class="grid gap-3 sm:grid-cols-4">
		<Field id="measure-name" path="name" label="Name" bind:value={measure.name} errors={form.errors} placeholder="grip of the knob" />
		{#if told === 'number'}
			<Field id="measure-unit" path="unit" label="Unit" bind:value={measure.unit} errors={form.errors} placeholder="N" />
			<Field id="measure-low" path="low" label="Scale from" bind:value={measure.low} errors={form.errors} inputmode="decimal" />
			<Field id="measure-high" path="high" label="Scale to" bind:value={measure.high} errors={form.errors} inputmode="decimal" />
		{:else}
			<Field
				id="measure-words"
				path="words"
				label="Words, from worst to best"
				bind:value={measure.words}
				errors={form.errors}
				placeholder="sticky, rough, smooth"
				class="sm:col-span-3"
			/>
		{/if}
	</div>
	<Choice
		name="told"
		legend="It is"
		bind:value={told}
		options={[
			{ value: 'number', label: 'a number' },
			{ value: 'words', label: 'a word of my own' }
		]}
	/>
	{#if told === 'number'}
		<Choice name="direction" legend="What is better?" bind:value={direction} options={choices(DIRECTIONS, DIRECTION_WORDS)} />
	{/if}
	<Choice
		name="family"
		legend="Counts with"
		bind:value={family}
		options={[{ value: 'none', label: 'nothing else' }, ...choices(OWN_FAMILIES, FAMILY_WORDS)]}
	/>
	<Button type="submit" size="sm">Add the measure</Button>
</FormShell>
