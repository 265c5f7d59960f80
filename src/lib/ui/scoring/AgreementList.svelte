<script lang="ts">
	import { agreements, agreementsOfAll } from '$lib/core/stations/prints/marks/agreement';
	import { scorerEffects } from '$lib/core/stations/prints/marks/scorer-effect';
	import type { SpoolEvidence } from '$lib/core/record/evidence/spool-evidence';
	import { agreementOfAllWords, agreementWords, leniencyWords } from '../../words/agreement';

	let { evidence, takenOut, rules }: { evidence: readonly SpoolEvidence[]; takenOut: boolean; rules: string } = $props();
	const pairs = $derived(agreements(evidence));
	const all = $derived(agreementsOfAll(evidence));
	const leniencies = $derived(scorerEffects(evidence));
</script>

{#if pairs.length}
	<section class="mt-4" aria-label="How scorers agree">
		<h2 class="font-semibold">How scorers agree</h2>
		<ul>
			{#each all as one (one.def.id)}<li class="font-medium">{agreementOfAllWords(one)}</li>{/each}
			{#each pairs as one (one.def.id + JSON.stringify(one.raters))}<li>{agreementWords(one)}</li>{/each}
		</ul>
		<p class="small">A print that was scored more than once counts once, with the mean of its marks.</p>
		{#if leniencies.length}
			<h3 class="mt-3 font-semibold">What scorers add</h3>
			<ul>
				{#each leniencies as one (one.quantity + one.scorer)}<li>{leniencyWords(one)}</li>{/each}
			</ul>
			<p class="small">
				{takenOut ? 'Marks are corrected for it.' : 'It is left in the marks.'}
				<a class="link" href={rules}>{takenOut ? 'Stop correcting for it' : 'Correct for it'}, in the rules</a>
			</p>
		{/if}
	</section>
{/if}
