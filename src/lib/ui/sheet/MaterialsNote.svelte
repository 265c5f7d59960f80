<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import type { SpoolEvidence } from '$lib/core/record/evidence/spool-evidence';
	import { Form } from '../form/form.svelte';
	import Problem from '../form/Problem.svelte';

	type Props = {
		trialId: string;
		spools: Pick<SpoolEvidence['spool'], 'material'>[];
		/** The house spool that was left out for being of another material. */
		houseAside: { id: string; code: string; material: string } | null;
	};
	let { trialId, spools, houseAside }: Props = $props();
	const materials = $derived([...new Set(spools.map((s) => s.material))]);
	const form = new Form({ fields: [] });

	async function compete(spoolId: string): Promise<void> {
		const sent = await form.send('trial-spools', { trialId, spoolId, role: 'houseInvited' });
		if (sent.ok) await invalidateAll();
	}
</script>

<!-- Said once, at the top: what follows compares different materials, or leaves the house spool out for being one. -->
{#if materials.length > 1}
	<p class="question mt-1">≠ {materials.length} materials are in this trial: {materials.join(', ')}.</p>
{/if}
{#if houseAside}
	<p class="small mt-1">
		The house spool {houseAside.code} is {houseAside.material}, so it is left out.
		<button type="button" class="link" onclick={() => void compete(houseAside.id)}>compare it all the same</button>
	</p>
{/if}
{#if form.problem}<Problem>{form.problem}</Problem>{/if}
