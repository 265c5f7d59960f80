<script lang="ts">
	import type { Question } from '$lib/core/stations/prints/marks/scoring';
	import ChosenIcon from '../form/ChosenIcon.svelte';
	import { isPlainKey } from '../form/keys';
	import { drawSample } from '$lib/core/stations/prints/trainer/sample';
	import SampleDrawing from '../trainer/SampleDrawing.svelte';
	import { faultAbout, markName } from '../../words/print-marks';

	type Faults = Question & { kind: 'faults' };
	let { question, answer }: { question: Faults; answer: (words: Record<string, string>, printers: readonly string[]) => void } = $props();
	const KEYS = 'asdfghjk';
	/** The same drawings for everybody, so that the words mean the same. */
	const REFERENCE_SEED = 3;
	let ranks = $state<Record<string, number>>({});
	/** Faults that are the printer's. */
	let printers = $state<string[]>([]);
	const wordOf = $derived((reading: string) => question.words[ranks[reading] ?? 0] ?? '');

	function raise(reading: string): void {
		ranks = { ...ranks, [reading]: ((ranks[reading] ?? 0) + 1) % question.words.length };
	}
	function charge(reading: string): void {
		printers = printers.includes(reading) ? printers.filter((p) => p !== reading) : [...printers, reading];
	}
	function accept(): void {
		answer(
			Object.fromEntries(question.readings.map((reading) => [reading, wordOf(reading)])),
			printers.filter((reading) => (ranks[reading] ?? 0) > 0)
		);
	}
	function keydown(event: KeyboardEvent): void {
		if (!isPlainKey(event)) return;
		const reading = question.readings[KEYS.indexOf(event.key.toLowerCase())];
		if (event.key === 'Enter') accept();
		else if (event.key.length === 1 && reading) {
			if (!event.shiftKey) raise(reading);
			else if ((ranks[reading] ?? 0) > 0) charge(reading);
		} else return;
		event.preventDefault();
	}
</script>

<svelte:window onkeydown={keydown} />

<div role="group" aria-label="Faults of the surface, each by its letter">
	<div class="grid gap-1.5 sm:grid-cols-2">
		{#each question.readings as reading, i (reading)}
			{@const rank = ranks[reading] ?? 0}
			<div class="flex gap-1">
				<button
					type="button"
					tabindex="-1"
					class="panel flex flex-1 items-baseline gap-2 px-3 py-1.5 text-left {rank > 0 ? 'border-act bg-chosen' : ''}"
					onclick={() => {
						raise(reading);
					}}
				>
					<kbd>{KEYS[i]}</kbd>
					<span class="flex-1"><span class="font-semibold">{markName(reading)}</span> <span class="small">{faultAbout(reading)}</span></span
					>
					<span class={rank > 0 ? 'font-bold' : 'text-muted'}
						>{'▮'.repeat(rank)}{'▯'.repeat(question.words.length - 1 - rank)} {wordOf(reading)}</span
					>
				</button>
				{#if rank > 0}
					<button
						type="button"
						tabindex="-1"
						aria-pressed={printers.includes(reading)}
						class="panel px-2 {printers.includes(reading) ? 'border-act bg-chosen font-semibold' : ''}"
						onclick={() => {
							charge(reading);
						}}
						>{#if printers.includes(reading)}<ChosenIcon />
						{/if}the printer’s</button
					>
				{/if}
			</div>
		{/each}
	</div>
	<div class="mt-2 flex flex-wrap gap-x-4" aria-hidden="true">
		{#each question.words as word, grade (word)}
			<span class="flex items-center gap-1.5"><SampleDrawing drawing={drawSample('surface', grade, REFERENCE_SEED)} small /> {word}</span>
		{/each}
	</div>
	<p class="small mt-2">
		Press a letter once for faint, twice for plain, three times for strong, four times for none. With <kbd>Shift</kbd> it is the printer’s
		fault and does not count against the filament. <kbd>Enter</kbd> saves; what is not marked is clean.
	</p>
	<button type="button" tabindex="-1" class="panel mt-2 px-3 py-1 font-semibold lg:hidden" onclick={accept}>Save</button>
</div>
