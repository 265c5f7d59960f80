<script lang="ts">
	import type { Instrument } from '$lib/core/record/evidence/instrument';
	import type { Reading } from '$lib/core/record/evidence/reading';
	import { READING_QUANTITIES } from '$lib/core/joins/quantities';
	import { Label, Select } from 'flowbite-svelte';
	import AmendDialog from '../form/AmendDialog.svelte';
	import { Amending } from '../form/amending.svelte';
	import Field from '../form/Field.svelte';
	import { When } from '../form/when.svelte';
	import WhenField from '../form/WhenField.svelte';
	import { dayAndTime } from '../../words/numbers';

	/** One dialog for however many readings a page shows; `instruments` where it can be said which one was really in hand. */
	type Props = { onchange: () => void; instruments?: readonly Pick<Instrument, 'id' | 'name' | 'quantity'>[] };
	let { onchange, instruments = [] }: Props = $props();
	/** When it was really taken, if that was noted wrongly. */
	const taken = new When();
	const amending = new Amending<Reading>('reading', () => onchange(), ['typed', 'instrumentId', 'takenAt', 'scorer', 'when'], taken);
	let typed = $state('');
	let instrumentId = $state('');
	let scorer = $state('');
	const fitting = $derived(instruments.filter((i) => i.quantity === READING_QUANTITIES[amending.chosen?.quantity ?? '']?.dimension));

	/** What is said anew: the value unless only what stands around it was wrong. */
	function correction(): object {
		const { chosen } = amending;
		const other = {
			...(instrumentId !== '' && instrumentId !== chosen?.instrumentId ? { instrumentId } : {}),
			...(scorer.trim() !== '' && scorer.trim() !== chosen?.scorer ? { scorer: scorer.trim() } : {}),
			...(taken.isNow ? {} : { takenAt: taken.moment().at })
		};
		const same = Object.keys(other).length > 0 && typed === chosen?.typedText;
		return same ? other : { typed, ...other };
	}

	export function edit(reading: Reading): void {
		typed = reading.typedText;
		instrumentId = reading.instrumentId ?? '';
		scorer = reading.scorer ?? '';
		taken.backToNow();
		amending.edit(reading);
	}
</script>

<AmendDialog
	{amending}
	title="Reading {amending.chosen?.typedText ?? ''}"
	about="The first value stays on record; this one counts instead."
	placeholder="digits swapped"
	{correction}
>
	<Field id="amend-typed" path="typed" label="Right value" bind:value={typed} errors={amending.errors} />
	{#if fitting.length > 0}
		<div class="mt-2">
			<Label for="amend-instrument">Measured with</Label>
			<Select placeholder="" size="sm" id="amend-instrument" bind:value={instrumentId}>
				{#if !amending.chosen?.instrumentId}<option value="">not noted</option>{/if}
				{#each fitting as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
			</Select>
		</div>
	{/if}
	{#if amending.chosen?.attemptId}
		<Field id="amend-scorer" path="scorer" label="Scored by" bind:value={scorer} errors={amending.errors} />
	{/if}
	{#if amending.chosen}
		<WhenField when={taken} id="amend-taken" errors={amending.errors} what="taken" stands={dayAndTime(amending.chosen.takenAt)} />
	{/if}
</AmendDialog>
