<script lang="ts">
	import type { FieldError } from '$lib/schemas/field-error';
	import { ChosenUnit } from '../form/chosen-unit.svelte';
	import UnitField from '../form/UnitField.svelte';

	type Stated = { nominalDiameter: string; labelTolerance: string; listingTolerance: string };
	type Props = { typed: Stated; errors: readonly FieldError[]; /** Keeps ids apart where a page asks twice. */ prefix?: string };
	let { typed = $bindable(), errors, prefix = '' }: Props = $props();
	const unit = new ChosenUnit('label-length');
	/** What maker and shop state of the strand. */
	const FIELDS = [
		['nominalDiameter', 'Nominal diameter', '1.75 mm'],
		['labelTolerance', 'Tolerance on the label', '0.02 mm'],
		['listingTolerance', 'Tolerance in the shop listing', '0.03 mm']
	] as const;
</script>

{#each FIELDS as [path, label, placeholder] (path)}
	<UnitField id="{prefix}{path}" {path} {label} dimension="length" chosen={unit} bind:value={typed[path]} {errors} {placeholder} class="" />
{/each}
