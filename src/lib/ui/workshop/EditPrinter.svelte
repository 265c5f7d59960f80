<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { PRINTER_FACTS, type PrinterFacts } from '$lib/core/record/facts/printer-facts';
	import { Edited } from '../form/edited.svelte';
	import EditHere from '../form/EditHere.svelte';
	import { typedFacts } from '$lib/core/record/facts/typed-facts';
	import { factFieldsOf } from '../form/facts';
	import { Form } from '../form/form.svelte';
	import PrinterFields from './PrinterFields.svelte';

	let { one }: { one: PrinterFacts & { id: string } } = $props();
	const textsOf = () => typedFacts(PRINTER_FACTS, one);
	let edited = $state.raw(new Edited(textsOf()));
	const form = new Form({ fields: factFieldsOf(PRINTER_FACTS), supersedes: true });

	function begin(): void {
		edited = new Edited(textsOf());
		form.clear();
	}
	async function save(): Promise<boolean> {
		if (edited.names.length > 0) {
			if (!(await form.send('printer-facts', { printerId: one.id, ...edited.changed })).ok) return false;
			await invalidateAll();
		}
		return true;
	}
</script>

<EditHere name={one.name} problem={form.problem} {begin} {save}>
	<PrinterFields bind:typed={edited.typed} errors={form.errors} prefix="later-" />
</EditHere>
