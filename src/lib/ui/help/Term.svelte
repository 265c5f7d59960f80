<script lang="ts">
	import type { Snippet } from 'svelte';
	import { TERMS, type TermId } from '../../words/terms';

	/** A word with its meaning behind it: one press opens it beside the word, another or Escape closes it. */
	let { of, children }: { of: TermId; children: Snippet } = $props();
	const id = $props.id();
</script>

<button type="button" class="term" popovertarget="term-{id}">{@render children()}</button><span
	popover
	id="term-{id}"
	class="term-note panel max-w-72 px-3 py-2 text-left text-[0.9rem] leading-snug font-normal text-ink">{TERMS[of]}</span
>
