<script lang="ts">
	import FormShell from '$lib/ui/form/FormShell.svelte';
	import { CONDITION_POLICIES, USE_PRESETS, FAMILIES } from '$lib/core/record/lists/closed-lists';
	import { goto } from '$app/navigation';
	import { CURRENCIES } from '$lib/core/kernel/units/money';
	import { familyCriterion } from '$lib/core/answers/pick/families';
	import { presetCriteria, type UsePreset } from '$lib/core/answers/pick/presets';
	import Choice from '$lib/ui/form/Choice.svelte';
	import Field from '$lib/ui/form/Field.svelte';
	import { focusFirst } from '$lib/ui/form/focus-first';
	import FormProblem from '$lib/ui/form/FormProblem.svelte';
	import { Form } from '$lib/ui/form/form.svelte';
	import { CONDITION_POLICY_TELLS, CONDITION_POLICY_WORDS, FAMILY_WORDS, PRESET_WORDS, choices } from '$lib/words/closed-lists';
	import { usualCurrency } from '$lib/ui/trial/usual-currency';
	import { locale } from '$lib/words/locale';
	import { Button, Label, Select } from 'flowbite-svelte';
	import { onMount, untrack } from 'svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	let name = $state('');
	let question = $state('');
	let preset = $state<UsePreset>(untrack(() => data.like?.preset ?? 'own'));
	let currency = $state(untrack(() => data.like?.currency ?? usualCurrency(locale())));
	let counts = $state<(typeof CONDITION_POLICIES)[number]>(untrack(() => data.like?.conditionPolicy ?? 'asReceived'));
	const form = new Form({ fields: ['name', 'question'] });
	/** Begun with a list of names and prices, to be printed once each. */
	let quick = $state(false);
	function begin(way: 'quick' | 'full'): void {
		quick = way === 'quick';
		document.getElementById('name')?.focus();
	}
	/** Families by their importance, the most important first. */
	const important = $derived.by(() => {
		const items = presetCriteria(preset);
		return FAMILIES.flatMap((family) => {
			const weight = items.find((c) => c.quantity === familyCriterion(family))?.weight ?? 0;
			return weight > 0 ? [{ family, weight }] : [];
		}).toSorted((a, b) => b.weight - a.weight);
	});
	const most = $derived(important[0]?.weight ?? 1);
	const presets = choices(USE_PRESETS, PRESET_WORDS);

	// One came here to name it.
	onMount(() => focusFirst('name'));

	async function submit(): Promise<void> {
		const sent = await form.send<{ id: string }>('trials', {
			name,
			question: question || undefined,
			preset,
			currency,
			conditionPolicy: counts,
			...(data.like ? { likeId: data.like.id } : {})
		});
		if (sent.ok) await goto(`/trials/${sent.answer.id}/intake${quick ? '?paste' : ''}`);
	}
</script>

<svelte:head><title>New trial · Draught</title></svelte:head>
<FormShell class="grid max-w-5xl gap-6 p-4 md:p-6 lg:grid-cols-[minmax(0,1fr)_330px]" onsubmit={submit}>
	<div class="space-y-4">
		<h1 class="text-2xl font-bold">New trial</h1>
		<p class="small">
			A name is enough. One spool is judged against your house spool, several against one another. The use sets importance and limits; you
			can change both later.
		</p>
		{#if data.like}
			<p class="question">
				Like <strong>{data.like.name}</strong>: it begins with the same test pieces, rules, importance, limits and measures. Its spools and
				prices are not copied.
			</p>
		{/if}
		{#if data.isFirst}
			<section class="panel space-y-2 px-4 py-3" aria-label="Three ways to begin">
				<h2 class="font-semibold">Three ways to begin</h2>
				<ul class="space-y-2">
					<li>
						<strong>Look around first.</strong> <code>npm run demo</code> opens a finished trial at its own address. It stays apart from your
						record.
					</li>
					<li>
						<button type="button" class="link tap font-semibold" aria-pressed={quick} onclick={() => begin('quick')}
							>A quick comparison</button
						>: paste names and prices, print each spool once, and read the pick.
					</li>
					<li>
						<button type="button" class="link tap font-semibold" aria-pressed={!quick} onclick={() => begin('full')}>A full trial</button>:
						add spools one by one, measure what you like, in any order.
					</li>
				</ul>
				<p class="small">Give it a name below either way.</p>
			</section>
		{/if}
		<FormProblem title={form.problem} />
		<Field
			id="name"
			label="Name of the trial"
			bind:value={name}
			errors={form.errors}
			required
			missing="Give the trial a name"
			placeholder="Clips before winter"
		/>
		<Field id="question" label="Question (optional)" bind:value={question} errors={form.errors} />
		{#if !data.like}<Choice name="preset" legend="What the filament is for" options={presets} bind:value={preset} />{/if}
		<Choice
			name="conditionPolicy"
			legend="State that counts"
			options={choices(CONDITION_POLICIES, CONDITION_POLICY_WORDS)}
			bind:value={counts}
		/>
		<div class="w-32">
			<Label for="currency">Currency</Label>
			<Select id="currency" size="sm" bind:value={currency} items={CURRENCIES.map((c) => ({ value: c, name: c }))} placeholder="" />
		</div>
		<Button type="submit">{quick ? 'Start and paste a list' : 'Start and add a spool'}</Button>
	</div>
	<aside class="panel h-fit space-y-2 px-4 py-3" aria-label="What follows" aria-live="polite">
		<h2 class="font-semibold">What follows</h2>
		<ol class="list-decimal space-y-1 pl-5">
			{#each CONDITION_POLICY_TELLS[counts] as step (step)}<li>{step}</li>{/each}
			<li>The trial sheet always says what to do next; any step can wait or be left out.</li>
		</ol>
		{#if !data.like}
			<h3 class="pt-2 font-semibold">What counts, to begin with</h3>
			<ul class="space-y-1">
				{#each important as { family, weight } (family)}
					<li class="grid grid-cols-[9rem_1fr] items-center gap-2">
						<span>{FAMILY_WORDS[family]}</span>
						<span class="block h-1.5 rounded bg-act" style:width="{(100 * weight) / most}%" aria-hidden="true"></span>
						<span class="sr-only">{weight} of 10</span>
					</li>
				{/each}
			</ul>
			<p class="small">You change this on the pick whenever you like.</p>
		{/if}
	</aside>
</FormShell>
