<script lang="ts">
	import type { FieldError } from '$lib/schemas/field-error';
	import { Button } from 'flowbite-svelte';
	import Field from '../form/Field.svelte';

	type Props = {
		measures: 'length' | 'mass';
		examples: { name: string; errorLimit: string; resolution: string };
		/** Keeps it; null when it was kept. */
		keep: (body: object) => Promise<FieldError[] | null>;
	};
	let { measures, examples, keep }: Props = $props();
	const fresh = () => ({ name: '', errorLimit: '', resolution: '' });
	let typed = $state(fresh());
	let errors = $state.raw<FieldError[]>([]);

	async function add(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const { errorLimit, ...rest } = typed;
		const refused = await keep({ ...rest, ...(errorLimit.trim() ? { errorLimit } : {}), measures });
		errors = refused ?? [];
		if (!refused) typed = fresh();
	}
</script>

<form class="panel space-y-2 px-3 py-2" novalidate onsubmit={add}>
	<Field id="{measures}-name" path="name" label="Name" bind:value={typed.name} {errors} placeholder={examples.name} />
	<div class="grid grid-cols-2 gap-3">
		<Field
			id="{measures}-limit"
			path="errorLimit"
			label="Good to"
			bind:value={typed.errorLimit}
			{errors}
			placeholder={examples.errorLimit}
			hint="as its leaflet says; empty: one display step"
		/>
		<Field
			id="{measures}-resolution"
			path="resolution"
			label="Display step"
			bind:value={typed.resolution}
			{errors}
			placeholder={examples.resolution}
		/>
	</div>
	<Button type="submit" size="sm">Add it</Button>
</form>
