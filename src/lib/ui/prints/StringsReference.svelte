<script lang="ts">
	import type { STRING_WORDS } from '$lib/core/record/marks/mark-words';

	let { word }: { word: (typeof STRING_WORDS)[number] } = $props();
	/** Our own drawing of two spikes: what hangs between them at each word. */
	const threads: Record<(typeof STRING_WORDS)[number], string[]> = {
		none: [],
		wisp: ['M13,12q8,4 15,1'],
		slight: ['M13,12q8,4 15,1', 'M12,20q9,-3 17,0', 'M13,16q7,5 15,3'],
		heavy: ['M13,10q8,5 15,1', 'M13,13q8,2 15,3', 'M12,17q9,5 16,0', 'M12,20q9,-4 17,1', 'M11,24q10,3 18,-1', 'M13,15l15,7', 'M12,22l16,-8']
	};
</script>

<svg viewBox="0 0 41 32" class="h-9 w-12" aria-hidden="true">
	<path d="M4,31L11,2h2L17,31zM24,31L28,2h2L37,31z" fill="var(--faint)" stroke="var(--ink)" stroke-width="0.8" />
	{#each threads[word] as d (d)}<path {d} fill="none" stroke="var(--ink)" stroke-width={word === 'wisp' ? 0.6 : 1} />{/each}
</svg>
