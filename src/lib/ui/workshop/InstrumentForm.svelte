<script lang="ts">
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

	async function add(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const refused = await keep(saidOf(typed, measures));
		errors = refused ?? [];
		if (!refused) typed = fresh();
	}
</script>

<form class="panel space-y-2 px-3 py-2" novalidate onsubmit={add}>
	<InstrumentFields bind:typed {errors} {measures} />
	<Button type="submit" size="sm">Add it</Button>
</form>
