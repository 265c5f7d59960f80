<script lang="ts">
	import type { Piece } from '$lib/core/record/evidence/piece';
	import { carriedOn } from '$lib/core/record/marks/carries';
	import { MARKS } from '$lib/core/stations/prints/marks/marks';
	import type { FieldError } from '$lib/schemas/field-error';
	import Field from '../form/Field.svelte';
	import { PRINT_MARKS } from '../../words/print-marks';
	import WordChoice from './WordChoice.svelte';

	/** What is asked with a print of this piece: ladders first, a pair of fields each, then words to choose from. */
	type Props = { piece: Piece | null; flexible: boolean; marks: Record<string, string>; errors: readonly FieldError[] };
	let { piece, flexible, marks = $bindable(), errors }: Props = $props();
	const asked = $derived(
		MARKS.filter(
			(m) => (m.withPrint === true || (m.withPrint === 'flexible' && flexible)) && piece && carriedOn(piece, m.carriedBy) !== null
		)
	);
	const ladders = $derived(asked.flatMap((m) => (m.kind === 'ladder' ? [{ ...m, readings: [m.lastClean, m.firstFaulty] }] : [])));
	const words = $derived(asked.flatMap((m) => (m.kind === 'words' ? [m] : [])));
	const labelOf = (quantity: keyof typeof PRINT_MARKS, reading: string) =>
		(PRINT_MARKS[quantity].labels as Readonly<Record<string, string>> | undefined)?.[reading] ?? reading;
</script>

{#if ladders.length}
	<div class="grid grid-cols-2 gap-3 sm:grid-cols-4">
		{#each ladders as ladder (ladder.quantity)}
			{#each ladder.readings as reading (reading)}
				<Field
					id={reading}
					path="marks.{reading}"
					label={labelOf(ladder.quantity, reading)}
					bind:value={() => marks[reading] ?? '', (text) => (marks = { ...marks, [reading]: text })}
					{errors}
					inputmode="decimal"
				/>
			{/each}
		{/each}
	</div>
{/if}
{#each words as mark (mark.quantity)}
	{#each mark.readings as reading (reading)}
		<WordChoice
			name={reading}
			legend={labelOf(mark.quantity, reading)}
			words={mark.words}
			bind:value={() => marks[reading] ?? '', (word) => (marks = { ...marks, [reading]: word })}
		/>
	{/each}
{/each}
