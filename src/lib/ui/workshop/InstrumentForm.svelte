<script lang="ts">
	import FormShell from '../form/FormShell.svelte';
	import type { FieldError } from '$lib/schemas/field-error';
	import { Button } from 'flowbite-svelte';
	import { saidOf } from './added';
	import InstrumentFields from './InstrumentFields.svelte';

	type Props = {
		measures: 'length' | 'mass';
		/** Keeps it; null when it was kept. */
		keep: (body: object) => Promise<FieldError[] | null>;
	};
	let { measures, keep }: Props = $props();
	const fresh = () => ({ name: '', errorLimit: '', resolution: '' });
	let typed = $state(fresh());
	let errors = $state.raw<FieldError[]>([]);

	async function add(): Promise<void> {
		const refused = await keep(saidOf(typed, measures));
		errors = refused ?? [];
		if (!refused) typed = fresh();
	}
</script>

<FormShell class="panel space-y-2 px-3 py-2" onsubmit={add}>
	<InstrumentFields bind:typed {errors} {measures} />
	<Button type="submit" size="sm">Add it</Button>
</FormShell>
