<script lang="ts">
	import { wantedCondition } from '$lib/core/judging/trial/wanted';
	import type { Basis } from '$lib/core/judging/trial/basis';
	import type { ConditionKind } from '$lib/core/record/lists/closed-lists';
	import { CONDITION_POLICY_WORDS, CONDITION_WORDS } from '$lib/words/closed-lists';
	import Term from '../help/Term.svelte';

	/** Told where the state a spool is printed in is not one that counts in this trial. */
	let { basis, condition }: { basis: Basis; condition: ConditionKind } = $props();
	const counts = $derived(condition === wantedCondition(basis) || (basis.conditionPolicy === 'both' && condition === 'dried'));
</script>

{#if !counts}
	<p class="question">
		This trial counts prints <Term of="states">{CONDITION_POLICY_WORDS[basis.conditionPolicy]}</Term>. One of a spool that is {CONDITION_WORDS[
			condition
		]} is saved and compared, and does not count in the pick.
	</p>
{/if}
