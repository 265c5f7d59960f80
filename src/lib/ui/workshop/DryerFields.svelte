<script lang="ts">
	import { DRYER_FACTS } from '$lib/core/record/facts/dryer-facts';
	import type { FieldError } from '$lib/schemas/field-error';
	import { DRYER_FACT_WORDS } from '../../words/facts';
	import FactFields from '../form/FactFields.svelte';
	import { type TypedFacts } from '$lib/core/record/facts/typed-facts';

	/** `prefix` tells two of them on one page apart. */
	let { typed = $bindable(), errors, prefix = '' }: { typed: TypedFacts; errors: readonly FieldError[]; prefix?: string } = $props();
	const shared = $derived({ entries: DRYER_FACTS, words: DRYER_FACT_WORDS, errors, prefix: `${prefix}dryer-` });
</script>

<FactFields {...shared} bind:typed only={['name']} />
<div class="grid grid-cols-2 gap-3"><FactFields {...shared} bind:typed only={['measure']} units /></div>
<p class="caution">Dryers burn; an unattended heater is a fire risk. The appliance’s manual comes first.</p>
