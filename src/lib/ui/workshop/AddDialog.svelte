<script lang="ts">
	import { Button, Modal } from 'flowbite-svelte';
	import { DRYER_FACTS } from '$lib/core/record/facts/dryer-facts';
	import { blankFacts } from '$lib/core/record/facts/typed-facts';
	import Field from '../form/Field.svelte';
	import FormShell from '../form/FormShell.svelte';
	import { Form } from '../form/form.svelte';
	import { type Added, saidOf } from './added';
	import DryerFields from './DryerFields.svelte';
	import InstrumentFields from './InstrumentFields.svelte';

	type Props = { what: Added; open: boolean; onadded: (id: string) => Promise<void> };
	let { what, open = $bindable(), onadded }: Props = $props();
	const PATHS = { caliper: 'instruments', scale: 'instruments', dryer: 'dryers', printer: 'printers' } as const;
	const measures = $derived(what === 'scale' ? 'mass' : 'length');
	let instrument = $state({ name: '', errorLimit: '', resolution: '' });
	let dryer = $state(blankFacts(DRYER_FACTS));
	let printer = $state({ name: '', nozzle: '' });
	const form = new Form({ fields: ['name', 'errorLimit', 'resolution', 'setPointLow', 'setPointHigh', 'nozzle'] });

	function bodyOf(): object {
		if (what === 'dryer') return { ...dryer };
		if (what === 'printer') return { ...printer };
		return saidOf(instrument, measures);
	}

	async function add(): Promise<void> {
		const sent = await form.send<{ id: string }>(PATHS[what], { ...bodyOf() });
		if (sent.ok) await onadded(sent.answer.id);
	}
</script>

<Modal bind:open title="Add a {what}" size="sm">
	<FormShell class="space-y-3" problem={form.problem} onsubmit={add}>
		{#if what === 'dryer'}
			<DryerFields bind:typed={dryer} errors={form.errors} />
		{:else if what === 'printer'}
			<Field id="add-name" path="name" label="Name" bind:value={printer.name} errors={form.errors} placeholder="North" />
			<Field id="add-nozzle" path="nozzle" label="Nozzle" bind:value={printer.nozzle} errors={form.errors} placeholder="0.4 brass" />
			<p class="small">You can add what else it can do in the workshop at any time.</p>
		{:else}
			<InstrumentFields bind:typed={instrument} errors={form.errors} {measures} />
		{/if}
		<Button type="submit" size="sm">Add it</Button>
	</FormShell>
</Modal>
