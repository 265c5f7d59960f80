<script lang="ts">
	import FormShell from '../form/FormShell.svelte';
	import { CURRENCIES } from '$lib/core/kernel/units/money';
	import type { SaidLater } from '$lib/schemas/trial';
	import { Button, Label, Select } from 'flowbite-svelte';
	import { untrack } from 'svelte';
	import Field from '../form/Field.svelte';
	import FormProblem from '../form/FormProblem.svelte';
	import { invalidateAll } from '$app/navigation';
	import { Edited } from '../form/edited.svelte';
	import { Form } from '../form/form.svelte';
	import { dayAndTime } from '../../words/numbers';

	type Facts = { name: string; question: string; currency: string };
	type Props = {
		trialId: string;
		/** As they stand. */
		facts: Facts;
		/** What was said of the trial later, newest first. */
		later: readonly SaidLater[];
		/** @param said what the page then tells */
		onchange: (said: string) => Promise<void>;
	};
	let { trialId, facts, later, onchange }: Props = $props();
	const edited = new Edited<Facts>(untrack(() => facts));
	$effect(() => edited.follow(facts));
	let reason = $state('');
	const form = new Form({ supersedes: true, fields: ['name', 'question', 'reason'] });
	const undoing = new Form({ fields: [] });
	const changed = $derived(edited.names);

	async function keep(): Promise<void> {
		const sent = await form.send('trial-facts', { trialId, ...edited.changed, seen: edited.seen, ...(reason.trim() ? { reason } : {}) });
		if (!sent.ok && sent.status === 409) {
			await invalidateAll();
			edited.settle(facts);
		}
		if (sent.ok) await onchange('Saved; what stood there before stays on record.');
	}

	async function undo(undoesId: string): Promise<void> {
		const sent = await undoing.send('amendments', { targetKind: 'trial', targetId: trialId, action: 'undo', undoesId });
		if (sent.ok) await onchange('Undone; both stay on record.');
	}

	const toldOf = ({ name, question, currency }: SaidLater) =>
		[
			name === undefined ? null : `name ${name}`,
			question === undefined ? null : question === null ? 'no question' : `question ${question}`,
			currency === undefined ? null : `currency ${currency}`
		]
			.filter(Boolean)
			.join('; ');
</script>

<section class="panel space-y-3 px-4 py-3" aria-label="Name, question, currency">
	<FormShell class="space-y-3" onsubmit={keep}>
		<h2 class="font-semibold">Name, question, currency</h2>
		<FormProblem title={form.problem || undoing.problem} />
		<Field
			id="trial-name"
			path="name"
			label="Name of the trial"
			bind:value={edited.typed.name}
			errors={form.errors}
			missing="Give the trial a name"
		/>
		<Field id="trial-question" path="question" label="Question" bind:value={edited.typed.question} errors={form.errors} />
		<div>
			<Label for="trial-currency">Currency</Label>
			<Select
				placeholder=""
				id="trial-currency"
				size="sm"
				bind:value={edited.typed.currency}
				items={CURRENCIES.map((c) => ({ value: c, name: c }))}
			/>
			<p class="small">Prices in another currency stay as they are, and are not ranked with these.</p>
		</div>
		{#if changed.length}
			<Field
				id="trial-reason"
				path="reason"
				label="Why (optional)"
				bind:value={reason}
				errors={form.errors}
				placeholder="typed in a hurry"
			/>
		{/if}
		<Button type="submit" size="sm" color="alternative" disabled={changed.length === 0}>Save changes</Button>
	</FormShell>
	{#if later.length}
		<ul class="space-y-1">
			{#each later as one (one.id)}
				<li>
					{toldOf(one)}{one.reason ? `, ${one.reason}` : ''}
					<span class="small">{dayAndTime(one.at)}</span>
					{#if one.undone}<span class="small">(undone)</span>
					{:else}<button type="button" class="link" aria-label="undo {toldOf(one)}" onclick={() => void undo(one.id)}>undo</button>{/if}
				</li>
			{/each}
		</ul>
	{/if}
</section>
