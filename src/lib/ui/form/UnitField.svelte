<script lang="ts">
	import type { FieldError } from '$lib/schemas/field-error';
	import type { Dimension } from '$lib/core/kernel/units/dimension';
	import { withUnit, type ChosenUnit } from './chosen-unit.svelte';
	import Field from './Field.svelte';
	import { inUnit } from './in-unit';

	type Props = {
		id: string;
		label: string;
		value: string;
		dimension: Dimension;
		chosen: ChosenUnit;
		errors: readonly FieldError[];
		path?: string;
		hint?: string;
		placeholder?: string;
		class?: string;
	};
	let { id, label, value = $bindable(), dimension, chosen, errors, path = id, hint, placeholder, class: extra = 'w-36' }: Props = $props();
	/** What is in the field says its unit itself. */
	const inText = $derived(chosen.units.find((unit) => new RegExp(`\\d\\s*${unit}\\s*$`).test(value)) ?? chosen.unit);

	/** Degrees are shown as they would be typed; a round mass in another unit would be none. */
	const example = $derived(placeholder && dimension === 'temperature' ? inUnit(placeholder, chosen.unit, dimension) : placeholder);

	function tap(unit: string): void {
		chosen.choose(unit);
		value = inUnit(value, unit, dimension);
	}
</script>

<!-- A number typed without a unit gets the one that was tapped when the field is left, so that nothing is sent that is not seen; one with its unit stays as typed. -->
<div class={extra} onchange={() => (value = withUnit(value, chosen.unit))}>
	<Field {id} {label} bind:value {errors} {path} {hint} placeholder={example} inputmode="decimal" />
	<fieldset class="mt-1 flex gap-1">
		<legend class="sr-only">Unit of {label}</legend>
		{#each chosen.units as unit (unit)}
			<button
				type="button"
				tabindex="-1"
				aria-pressed={unit === inText}
				class="panel px-2 text-[0.85rem] {unit === inText ? 'border-act bg-chosen font-semibold' : ''}"
				onclick={() => tap(unit)}>{unit}</button
			>
		{/each}
	</fieldset>
</div>
