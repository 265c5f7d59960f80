<script lang="ts">
	import { USE_PRESETS } from '$lib/core/closed-lists';
	import { goto } from '$app/navigation';
	import { CURRENCIES } from '$lib/core/units/money';
	import type { UsePreset } from '$lib/core/pick/presets';
	import Choice from '$lib/ui/form/Choice.svelte';
	import Field from '$lib/ui/form/Field.svelte';
	import FormProblem from '$lib/ui/form/FormProblem.svelte';
	import { Form } from '$lib/ui/form/form.svelte';
	import { choices, PRESET_WORDS } from '$lib/ui/words/closed-lists';
	import { Button, Label, Select } from 'flowbite-svelte';
	import { untrack } from 'svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	let name = $state('');
	let question = $state('');
	let preset = $state<UsePreset>(untrack(() => data.like?.preset ?? 'own'));
	let currency = $state(untrack(() => data.like?.currency ?? 'EUR'));
	const form = new Form({ fields: ['name', 'question'] });
	const presets = choices(USE_PRESETS, PRESET_WORDS);

	async function submit(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const sent = await form.send<{ id: string }>('trials', {
			name,
			question: question || undefined,
			preset,
			currency,
			...(data.like ? { likeId: data.like.id } : {})
		});
		if (sent.ok) await goto(`/trials/${sent.answer.id}/intake`);
	}
</script>

<svelte:head><title>New trial · Draught</title></svelte:head>
<form class="max-w-xl space-y-4 p-4 md:p-6" onsubmit={submit} novalidate>
	<h1 class="text-2xl font-bold">New trial</h1>
	<p class="small">
		A name is enough. One spool is judged against your house spool, several against one another. The use sets importance and limits; you can
		change both later.
	</p>
	{#if data.like}
		<p class="question">
			Like <strong>{data.like.name}</strong>: it begins with the same test pieces, rules, importance, limits and measures. Its spools and
			prices are not copied.
		</p>
	{/if}
	<FormProblem title={form.problem} />
	<Field id="name" label="Name of the trial" bind:value={name} errors={form.errors} required placeholder="Clips before winter" />
	<Field id="question" label="Question (optional)" bind:value={question} errors={form.errors} />
	{#if !data.like}<Choice name="preset" legend="What the filament is for" options={presets} bind:value={preset} />{/if}
	<div class="w-32">
		<Label for="currency">Currency</Label>
		<Select id="currency" size="sm" bind:value={currency} items={CURRENCIES.map((c) => ({ value: c, name: c }))} placeholder="" />
	</div>
	<Button type="submit">Start and add a spool</Button>
</form>
