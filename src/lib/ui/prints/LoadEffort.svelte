<script lang="ts">
	import { LOAD_WORDS } from '$lib/core/record/marks/mark-words';
	import { LOAD_ABOUT } from '$lib/words/print-marks';
	import Choice from '../form/Choice.svelte';

	/** How a flexible filament went into the feeder, one of the marks of its print. */
	let { marks = $bindable() }: { marks: Record<string, string> } = $props();
</script>

<Choice
	name="loadEffort"
	legend="How it went into the feeder"
	bind:value={() => marks.loadEffort ?? '', (word) => (marks = { ...marks, loadEffort: word ?? '' })}
	options={LOAD_WORDS.map((value) => ({ value, label: LOAD_ABOUT[value] }))}
/>
