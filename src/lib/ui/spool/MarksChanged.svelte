<script lang="ts">
	import type { Message } from '$lib/core/judging/finding/message';
	import type { QuantityDef } from '$lib/core/judging/finding/types';
	import { markOverMessage, type MarkOver } from '$lib/core/stations/prints/marks/marks-over';
	import { wetDryMessage, type WetDry } from '$lib/core/stations/prints/ways/wet-dry';
	import PairsFigure from '../figures/PairsFigure.svelte';
	import { sentence } from '../../words/messages';
	import { fixed, plural, upTo } from '../../words/numbers';
	import { quantityName, valueWords } from '../../words/quantities';

	/** How the marks of a spool changed: by drying, with days in the air, with the water it took up. */
	type Props = { wetDry: WetDry[]; finished: Message | null; over: MarkOver[]; defs: QuantityDef[] };
	let { wetDry, finished, over, defs }: Props = $props();
</script>

{#if wetDry.length}
	<section aria-label="Before and after drying">
		<h2 class="mb-1 font-semibold">Before and after drying</h2>
		{#if finished}<p class="mb-1">{sentence(finished)}</p>{/if}
		<div class="flex flex-wrap gap-3">
			{#each wetDry as compared (compared.quantity)}
				{@const def = defs.find((d) => d.id === compared.quantity)}
				{#if def}
					<figure class="panel w-[250px] px-3 py-2">
						<figcaption class="font-medium">
							{quantityName(def)} <span class="small">n {plural(compared.pairs.length, 'pair')}</span>
						</figcaption>
						<PairsFigure pairs={compared.pairs.map(({ wet, dry }) => [wet, dry] as const)} {def} names={['before', 'dried']} />
						<p class="small mt-1">{sentence(wetDryMessage(compared))}</p>
					</figure>
				{/if}
			{/each}
		</div>
	</section>
{/if}
{#if over.length}
	<section aria-label="Over days and water">
		<h2 class="mb-1 font-semibold">Over days in the air and water gained</h2>
		<ul class="space-y-1.5">
			{#each over as one (one.over + one.quantity + one.pieceId)}
				{@const def = defs.find((d) => d.id === one.quantity)}
				<li>
					{sentence(markOverMessage(one))}
					{#if def}<span class="small"
							>{one.prints
								.map((p) => `${one.over === 'days' ? `day ${upTo(p.at, 1)}` : `${fixed(p.at, 2)} % water`}: ${valueWords(def, p.value)}`)
								.join(' · ')}</span
						>{/if}
				</li>
			{/each}
		</ul>
	</section>
{/if}
