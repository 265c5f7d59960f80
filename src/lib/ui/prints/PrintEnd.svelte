<script lang="ts">
	import SelectField from '../form/SelectField.svelte';
	import {
		CONDITIONS,
		FAILURE_CAUSES,
		FAILURE_KINDS,
		PRINT_OUTCOMES,
		WATER_SIGNS,
		type FAILURE_RULES
	} from '$lib/core/record/lists/closed-lists';
	import type { SpoolEvent } from '$lib/core/record/evidence/event';
	import type { FieldError } from '$lib/schemas/field-error';
	import Choice from '../form/Choice.svelte';
	import Field from '../form/Field.svelte';
	import Presses from '../form/Presses.svelte';
	import {
		CAUSE_TELLS,
		CAUSE_WORDS,
		choices,
		CONDITION_WORDS,
		FAILURE_KIND_WORDS,
		FAILURE_RULE_TELLS,
		OUTCOME_WORDS,
		WATER_SIGN_WORDS
	} from '../../words/closed-lists';
	import type { AttemptDraft } from './attempt-draft';

	type Props = {
		draft: AttemptDraft;
		errors: readonly FieldError[];
		failureRule: (typeof FAILURE_RULES)[number];
		/** Portions that were cut off this spool. */
		portions: readonly SpoolEvent[];
	};
	let { draft, errors, failureRule, portions }: Props = $props();
</script>

<div class="flex flex-wrap gap-x-8 gap-y-3">
	<Choice name="outcome" legend="Result" bind:value={draft.outcome} options={choices(PRINT_OUTCOMES, OUTCOME_WORDS)} />
	{#if portions.length > 0}
		<SelectField id="portion" label="Printed from" bind:value={draft.portionId}>
			<option value="">the spool itself</option>
			{#each portions as portion (portion.id)}<option value={portion.id}>portion {portion.portion}</option>{/each}
		</SelectField>
	{/if}
	<Choice
		name="condition"
		legend="State of the spool"
		bind:value={draft.condition}
		{errors}
		options={choices(CONDITIONS, CONDITION_WORDS)}
	/>
</div>
{#if draft.outcome !== 'finished'}
	<div class="flex flex-wrap gap-x-8 gap-y-3">
		{#if draft.outcome === 'failed'}
			<Field id="percentReached" label="Got to, %" bind:value={draft.percentReached} {errors} inputmode="decimal" class="w-28" />
		{/if}
		<Choice
			name="failure"
			legend="What went wrong"
			bind:value={draft.failure}
			{errors}
			options={choices(FAILURE_KINDS, FAILURE_KIND_WORDS)}
		/>
		<Choice name="cause" legend="Cause" bind:value={draft.cause} {errors} options={choices(FAILURE_CAUSES, CAUSE_WORDS)} />
	</div>
	{#if draft.cause}<p class="small">{CAUSE_WORDS[draft.cause]}: {CAUSE_TELLS[draft.cause]}</p>{/if}
	<details class="small">
		<summary>Which cause?</summary>
		<dl class="grid grid-cols-[7.5rem_1fr] gap-x-3">
			{#each FAILURE_CAUSES as cause (cause)}
				<dt>{CAUSE_WORDS[cause]}</dt>
				<dd>{CAUSE_TELLS[cause]}</dd>
			{/each}
		</dl>
	</details>
	<p class="small">{FAILURE_RULE_TELLS[failureRule]}</p>
{/if}
<div class="flex flex-wrap gap-x-8 gap-y-3">
	<Presses name="signs" legend="Signs of water, if any" bind:chosen={draft.signs} options={choices(WATER_SIGNS, WATER_SIGN_WORDS)} />
	<Choice
		name="tuning"
		legend="Settings"
		bind:value={() => (draft.tuning ? 'tuning' : 'settled'), (value) => (draft.tuning = value === 'tuning')}
		options={[
			{ value: 'settled', label: 'settled' },
			{ value: 'tuning', label: 'still finding them' }
		]}
	/>
</div>
