<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import type { SpecimenMeasure } from '$lib/core/record/evidence/specimen';
	import { Select } from 'flowbite-svelte';
	import FormProblem from '../form/FormProblem.svelte';
	import { Form } from '../form/form.svelte';
	import { kindWords } from '../../words/closed-lists';
	import { quantityName } from '../../words/quantities';

	type Props = {
		trialId: string;
		/** Every kind the trial's spools have, most common first. */
		all: Record<SpecimenMeasure, string[]>;
		compared: Record<SpecimenMeasure, string | null>;
		chosen: Partial<Record<SpecimenMeasure, string>>;
	};
	let { trialId, all, compared, chosen }: Props = $props();
	const form = new Form({ supersedes: true, fields: [] });
	const MEASURES = [
		{ measure: 'load', quantity: 'strengthLoad' },
		{ measure: 'blows', quantity: 'strengthBlows' },
		{ measure: 'byHand', quantity: 'strengthByHand' }
	] as const;
	const several = $derived(MEASURES.filter(({ measure }) => all[measure].length > 1));

	async function compare(measure: SpecimenMeasure, kind: string): Promise<void> {
		const sent = await form.send('protocols', { trialId, specimenKinds: { ...chosen, [measure]: kind } });
		if (sent.ok) await invalidateAll();
	}
</script>

<FormProblem title={form.problem} />
{#if several.length === 0}
	<p class="small mt-3">The sheet compares the test most spools have had.</p>
{/if}
{#each several as { measure, quantity } (measure)}
	<label class="small mt-3 block">
		Compared in the column {quantityName({ id: quantity })}
		<Select
			placeholder=""
			size="sm"
			disabled={form.busy}
			bind:value={() => compared[measure] ?? '', (kind: string) => void compare(measure, kind)}
		>
			{#each all[measure] as kind (kind)}<option value={kind}>{kindWords(kind)}</option>{/each}
		</Select>
	</label>
{/each}
{#if several.length > 0}<p class="small">Parts of other kinds stay on the spool’s page.</p>{/if}
