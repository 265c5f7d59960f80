<script lang="ts">
	import { refusedReading } from '$lib/schemas/refused-reading';
	import type { Question } from '$lib/core/stations/prints/marks/scoring';
	import CaptureField from '../bench/CaptureField.svelte';
	import { READING_QUANTITIES } from '$lib/core/joins/quantities';
	import { canonicalUnit } from '$lib/core/kernel/units/dimension';
	import { readReading } from '$lib/core/joins/read-reading';

	type Measure = Question & { kind: 'measure' };
	type Props = { question: Measure; label: string; answer: (typed: string) => void; skip: () => void; back: () => void };
	let { question, label, answer, skip, back }: Props = $props();
	let field = $state<CaptureField>();
	$effect(() => field?.focus());

	function keep(typed: string) {
		// In a field letters are typed, so the key for not looked at is kept like a value.
		if (typed.trim().toLowerCase() === 'x') {
			skip();
			return null;
		}
		const read = readReading(question.reading, typed, question.own?.words ?? question.own?.unit);
		if (!read.ok) return refusedReading('typed', read);
		answer(typed);
		return null;
	}
</script>

{#if question.own?.words}
	<p class="mb-2 flex flex-wrap gap-2">
		{#each question.own.words as word (word)}
			<button type="button" class="panel px-3 py-1.5 font-semibold" onclick={() => answer(word)}>{word}</button>
		{/each}
	</p>
{/if}
<CaptureField
	bind:this={field}
	{label}
	unit={question.own?.words ? 'word' : (question.own?.unit ?? canonicalUnit(READING_QUANTITIES[question.reading]?.dimension ?? 'length'))}
	last={null}
	{keep}
	takeBack={back}
/>
