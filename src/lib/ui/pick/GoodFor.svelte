<script lang="ts">
	import { goodForFamilies, type GoodForPart } from '$lib/core/answers/pick/good-for';
	import type { QuantityDef } from '$lib/core/judging/finding/types';
	import type { PickRow } from '$lib/core/answers/pick/types';
	import { goodForFamilyWords, goodForPartWords } from '../../words/good-for';

	/** Which spools are good for what: family by family, and test part by test part. Nothing where nobody is clearly behind. */
	type Props = {
		rows: readonly PickRow[];
		parts: readonly GoodForPart[];
		defs: readonly QuantityDef[];
		codeOf: (spoolId: string) => string;
		class?: string;
	};
	let { rows, parts, defs, codeOf, class: more = '' }: Props = $props();
	const lines = $derived([
		...goodForFamilies(rows).map((found) => goodForFamilyWords(found, { codeOf, defs })),
		...parts.map((found) => goodForPartWords(found, { codeOf }))
	]);
</script>

{#if lines.length > 0}
	<section class={more} aria-label="What each is good for">
		<h2 class="font-semibold">What each is good for</h2>
		<ul class="mt-1 list-disc space-y-1 pl-4">
			{#each lines as { use, text } (use)}<li><strong>{use}</strong>: {text}.</li>{/each}
		</ul>
	</section>
{/if}
