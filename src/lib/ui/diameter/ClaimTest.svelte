<script lang="ts">
	import type { ClaimPlan, Zone } from '$lib/core/stations/diameter/claim-plan';
	import { plural, upTo } from '../../words/numbers';

	let { plan, zone = $bindable() }: { plan: ClaimPlan; zone: Zone } = $props();
	const WORDS: Record<Zone, string> = { first: 'first metres', middle: 'middle of the spool', end: 'near the end' };
	const taken = $derived(plan.zones.reduce((sum, z) => sum + z.taken, 0));
</script>

<div class="mt-3">
	<p class="mb-1.5 text-[1.05rem]" role="status" data-testid="claim-plan">
		{#if plan.state === 'decided'}
			<strong>Decided</strong> after {plural(taken, 'reading')}. You may stop; or go on with the next spool <kbd>↓</kbd>.
		{:else if plan.state === 'hopeless'}
			<strong>Not worth going on</strong> with this instrument: no number of readings will decide it. Check it against a pin in the
			<a class="link" href="/workshop">workshop</a>, or use a finer one.
		{:else}
			About <strong>{plan.total - taken} more</strong> of {plan.total}, redrawn as they come. Where are you on the spool?
		{/if}
	</p>
	<fieldset class="flex flex-wrap gap-x-4 gap-y-1">
		<legend class="sr-only">Where on the spool</legend>
		{#each plan.zones as one (one.zone)}
			<label class="flex min-h-[26px] items-center gap-1.5">
				<input type="radio" name="zone" value={one.zone} checked={zone === one.zone} onchange={() => (zone = one.zone)} />
				<span>{WORDS[one.zone]} <span class="small">(about {upTo(one.positionM, 0)} m) · {one.taken} of {one.wanted}</span></span>
			</label>
		{/each}
	</fieldset>
</div>
