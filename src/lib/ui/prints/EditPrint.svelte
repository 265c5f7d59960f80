<script lang="ts">
	import SelectField from '../form/SelectField.svelte';
	import { CONDITIONS, FAILURE_CAUSES, FAILURE_KINDS, PRINT_OUTCOMES, WATER_SIGNS } from '$lib/core/record/lists/closed-lists';
	import { SET_UP } from '$lib/core/record/evidence/attempt';
	import type { SpoolEvent } from '$lib/core/record/evidence/event';
	import type { Piece } from '$lib/core/record/evidence/piece';
	import type { FieldError } from '$lib/schemas/field-error';
	import Choice from '../form/Choice.svelte';
	import Field from '../form/Field.svelte';
	import Presses from '../form/Presses.svelte';
	import type { When } from '../form/when.svelte';
	import WhenField from '../form/WhenField.svelte';
	import { CAUSE_WORDS, choices, CONDITION_WORDS, FAILURE_KIND_WORDS, OUTCOME_WORDS, WATER_SIGN_WORDS } from '../../words/closed-lists';
	import { dayAndTime } from '../../words/numbers';
	import { SET_UP_WORDS, SETTING_WORDS } from '../../words/settings';
	import type { AttemptEdit } from './attempt-edit';

	type Props = {
		/** When it was printed, as it stands. */
		at: number;
		/** The state it was printed in, as it stands. */
		condition: AttemptEdit['condition'];
		draft: AttemptEdit;
		pieces: readonly Pick<Piece, 'id' | 'name' | 'version'>[];
		printers: readonly { id: string; name: string }[];
		/** Portions that were cut off this spool. */
		portions: readonly SpoolEvent[];
		printed: When;
		errors: readonly FieldError[];
	};
	let { at, condition, draft, pieces, printers, portions, printed, errors }: Props = $props();
	const SETTINGS = Object.entries(SETTING_WORDS) as [keyof typeof SETTING_WORDS, (typeof SETTING_WORDS)[keyof typeof SETTING_WORDS]][];
</script>

<Choice name="edit-outcome" legend="Result" bind:value={draft.outcome} options={choices(PRINT_OUTCOMES, OUTCOME_WORDS)} />
{#if draft.outcome !== 'finished'}
	{#if draft.outcome === 'failed'}
		<Field
			id="edit-percent"
			path="replacement.percentReached"
			label="Got to, %"
			bind:value={draft.percentReached}
			{errors}
			inputmode="decimal"
		/>
	{/if}
	<Choice name="edit-failure" legend="What went wrong" bind:value={draft.failure} options={choices(FAILURE_KINDS, FAILURE_KIND_WORDS)} />
	<Choice
		name="edit-cause"
		path="replacement.cause"
		legend="Cause"
		bind:value={draft.cause}
		{errors}
		options={choices(FAILURE_CAUSES, CAUSE_WORDS)}
	/>
{/if}
<SelectField id="edit-piece" label="Test piece" bind:value={draft.pieceId}>
	{#each pieces as one (one.id)}<option value={one.id}>{one.name} {one.version}</option>{/each}
</SelectField>
<SelectField id="edit-printer" label="Printer" bind:value={draft.printerId}>
	<option value="">not noted</option>
	{#each printers as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
</SelectField>
{#if portions.length > 0}
	<SelectField id="edit-portion" label="Printed from" bind:value={draft.portionId}>
		<option value="">the spool itself</option>
		{#each portions as portion (portion.id)}<option value={portion.id}>portion {portion.portion}</option>{/each}
	</SelectField>
{/if}
<Choice
	name="edit-condition"
	path="replacement.condition"
	legend="State of the spool"
	bind:value={draft.condition}
	{errors}
	options={choices(CONDITIONS, CONDITION_WORDS)}
/>
{#if draft.condition !== condition}
	<p class="small">Changes this print only; what happened to the spool stays as noted.</p>
{/if}
<Presses name="edit-signs" legend="Signs of water, if any" bind:chosen={draft.signs} options={choices(WATER_SIGNS, WATER_SIGN_WORDS)} />
<Choice
	name="edit-tuning"
	legend="Settings were"
	bind:value={() => (draft.tuning ? 'tuning' : 'settled'), (value) => (draft.tuning = value === 'tuning')}
	options={[
		{ value: 'settled', label: 'settled' },
		{ value: 'tuning', label: 'still finding them' }
	]}
/>
<details>
	<summary class="font-medium">Grams, and what stood around it</summary>
	<div class="mt-2 grid gap-2 sm:grid-cols-2">
		<Field id="edit-grams" path="replacement.gramsG" label="Grams it took" bind:value={draft.grams} {errors} inputmode="decimal" />
		{#each SET_UP as name (name)}
			<Field id="edit-{name}" path="replacement.setUp.{name}" label={SET_UP_WORDS[name]} bind:value={draft.setUp[name]} {errors} />
		{/each}
		<Field id="edit-mid" path="replacement.midPrint" label="Changed while printing" bind:value={draft.midPrint} {errors} />
	</div>
</details>
<details>
	<summary class="font-medium">Settings</summary>
	<div class="mt-2 grid gap-2 sm:grid-cols-2">
		{#each SETTINGS as [name, words] (name)}
			<Field
				id="edit-{name}"
				path="replacement.settings.{name}"
				label={[words.name, words.unit].filter(Boolean).join(', ')}
				bind:value={draft.settings[name]}
				{errors}
				inputmode="decimal"
			/>
		{/each}
	</div>
</details>
<WhenField when={printed} id="edit-when" {errors} what="printed" stands={dayAndTime(at)} />
