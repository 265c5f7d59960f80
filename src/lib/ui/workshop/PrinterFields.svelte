<script lang="ts">
	import { PRINTER_FACTS } from '$lib/core/record/facts/printer-facts';
	import type { FieldError } from '$lib/schemas/field-error';
	import { PRINTER_FACT_WORDS } from '../../words/facts';
	import FactFields from '../form/FactFields.svelte';
	import { type TypedFacts } from '$lib/core/record/facts/typed-facts';

	/** `prefix` tells two of them on one page apart. */
	let { typed = $bindable(), errors, prefix }: { typed: TypedFacts; errors: readonly FieldError[]; prefix: string } = $props();
	const shared = $derived({ entries: PRINTER_FACTS, words: PRINTER_FACT_WORDS, errors, prefix });
</script>

<FactFields {...shared} bind:typed only={['name', 'nozzle']} />
<div class="flex flex-wrap items-end gap-4"><FactFields {...shared} bind:typed only={['measure', 'yesNo']} fieldClass="w-28" /></div>
