<script lang="ts">
	import type { Question } from '$lib/core/stations/prints/marks/scoring';
	import { isPlainKey } from '../form/keys';
	import StringsReference from '../prints/StringsReference.svelte';
	import { STRING_WORDS } from '$lib/core/record/marks/mark-words';
	import { wordAbout } from '../../words/print-marks';

	type Words = Question & { kind: 'words' };
	let { question, answer }: { question: Words; answer: (word: string) => void } = $props();

	function keydown(event: KeyboardEvent): void {
		if (!isPlainKey(event)) return;
		const word = question.words[Number(event.key) - 1];
		if (!/^[1-9]$/.test(event.key) || word === undefined) return;
		event.preventDefault();
		answer(word);
	}
</script>

<svelte:window onkeydown={keydown} />

<div role="group" aria-label="Choose a word by its number">
	<div class="flex flex-wrap gap-2">
		{#each question.words as word, i (word)}
			{@const drawn = question.reading === 'strings' ? STRING_WORDS.find((m) => m === word) : undefined}
			<button type="button" tabindex="-1" class="panel flex min-w-28 flex-col items-center px-4 py-2" onclick={() => answer(word)}>
				{#if drawn}<StringsReference word={drawn} />{/if}
				<span class="text-[1.15rem]"><kbd>{i + 1}</kbd> {word}</span>
				<span class="small">{wordAbout(question.reading, word)}</span>
			</button>
		{/each}
	</div>
</div>
