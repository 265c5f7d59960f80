<script lang="ts">
	import type { FieldError } from '$lib/schemas/field-error';
	import Field from '../form/Field.svelte';

	type Stated = { nominalDiameter: string; labelTolerance: string; listingTolerance: string };
	type Props = { typed: Stated; errors: readonly FieldError[]; /** Keeps ids apart where a page asks twice. */ prefix?: string };
	let { typed = $bindable(), errors, prefix = '' }: Props = $props();
	/** What maker and shop state of the strand, in mm as labels have it. */
	const FIELDS = [
		['nominalDiameter', 'Nominal diameter', '1.75 mm'],
		['labelTolerance', 'Tolerance on the label', '0.02 mm'],
		['listingTolerance', 'Tolerance in the shop listing', '0.03 mm']
	] as const;
</script>

{#each FIELDS as [path, label, placeholder] (path)}
	<Field id="{prefix}{path}" {path} {label} bind:value={typed[path]} {errors} {placeholder} />
{/each}
