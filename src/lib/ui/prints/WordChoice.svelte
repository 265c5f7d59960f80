<script lang="ts">
	import { STRING_WORDS } from '$lib/core/record/marks/mark-words';
	import StringsReference from './StringsReference.svelte';
	import ChosenIcon from '../form/ChosenIcon.svelte';

	/** One word of a mark's list, with a drawing of it where there is one. */
	type Props = { name: string; legend: string; words: readonly string[]; value: string };
	let { name, legend, words, value = $bindable() }: Props = $props();
	const drawn = (word: string) => (name === 'strings' ? STRING_WORDS.find((w) => w === word) : undefined);
</script>

<fieldset>
	<legend class="mb-0.5 text-[0.85rem] font-medium">{legend}</legend>
	<div class="flex flex-wrap gap-1">
		{#each words as word (word)}
			{@const reference = drawn(word)}
			<label
				class="panel flex cursor-pointer flex-col items-center px-3 py-1 focus-within:outline-2 focus-within:outline-act-ink {value === word
					? 'border-act bg-chosen font-semibold'
					: ''}"
			>
				<input type="radio" class="sr-only" {name} value={word} checked={value === word} onchange={() => (value = word)} />
				{#if reference}<StringsReference word={reference} />{/if}
				<span
					>{#if value === word}<ChosenIcon />
					{/if}{word}</span
				>
			</label>
		{/each}
	</div>
</fieldset>
