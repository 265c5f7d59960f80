<script lang="ts">
	import FormShell from '../form/FormShell.svelte';
	import { PRINTER_FACTS } from '$lib/core/record/facts/printer-facts';
	import type { FieldError } from '$lib/schemas/field-error';
	import { Button } from 'flowbite-svelte';
	import { blankFacts, type TypedFacts } from '$lib/core/record/facts/typed-facts';
	import { saidFacts } from '../form/facts';
	import PrinterFields from './PrinterFields.svelte';

	/** `keep` saves it, and says what is wrong where it is not. */
	let { keep }: { keep: (body: TypedFacts) => Promise<FieldError[] | null> } = $props();
	let typed = $state(blankFacts(PRINTER_FACTS));
	let errors = $state.raw<FieldError[]>([]);

	async function add(): Promise<void> {
		const wrong = await keep(saidFacts(typed));
		errors = wrong ?? [];
		if (!wrong) typed = blankFacts(PRINTER_FACTS);
	}
</script>

<FormShell class="panel space-y-2 px-3 py-2" onsubmit={add}>
	<PrinterFields bind:typed {errors} prefix="printer-" />
	<Button type="submit" size="sm">Add it</Button>
</FormShell>
