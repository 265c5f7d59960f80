<script lang="ts">
	import type { FieldError } from '$lib/schemas/field-error';
	import Field from '../form/Field.svelte';

	type Props = {
		typed: { name: string; errorLimit: string; resolution: string };
		errors: readonly FieldError[];
		measures: 'length' | 'mass';
		/** Tells two of them on one page apart. */
		prefix?: string;
	};
	let { typed = $bindable(), errors, measures, prefix = '' }: Props = $props();
	const examples = $derived(measures === 'mass' ? ['Kitchen scale', '0.3 g', '0.1 g'] : ['Caliper B', '0.02 mm', '0.01 mm']);
</script>

<Field id="{prefix}{measures}-name" path="name" label="Name" bind:value={typed.name} {errors} placeholder={examples[0]} />
<div class="grid grid-cols-2 gap-3">
	<Field
		id="{prefix}{measures}-limit"
		path="errorLimit"
		label="Good to"
		bind:value={typed.errorLimit}
		{errors}
		placeholder={examples[1]}
		hint={prefix === '' ? 'as its leaflet says; empty: one display step' : 'as its leaflet says'}
	/>
	<Field
		id="{prefix}{measures}-resolution"
		path="resolution"
		label="Display step"
		bind:value={typed.resolution}
		{errors}
		placeholder={examples[2]}
	/>
</div>
