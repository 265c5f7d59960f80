<script lang="ts">
	import FormShell from '../form/FormShell.svelte';
	import { DRYER_FACTS } from '$lib/core/record/facts/dryer-facts';
	import type { FieldError } from '$lib/schemas/field-error';
	import { Button } from 'flowbite-svelte';
	import { blankFacts, type TypedFacts } from '$lib/core/record/facts/typed-facts';
	import DryerFields from './DryerFields.svelte';

	/** `keep` saves it, and says what is wrong where it is not. */
	let { keep }: { keep: (body: TypedFacts) => Promise<FieldError[] | null> } = $props();
	let typed = $state(blankFacts(DRYER_FACTS));
	let errors = $state.raw<FieldError[]>([]);

	async function add(): Promise<void> {
		const wrong = await keep(typed);
		errors = wrong ?? [];
		if (!wrong) typed = blankFacts(DRYER_FACTS);
	}
</script>

<FormShell class="panel space-y-2 px-3 py-2" onsubmit={add}>
	<DryerFields bind:typed {errors} />
	<Button type="submit" size="sm">Add it</Button>
</FormShell>
