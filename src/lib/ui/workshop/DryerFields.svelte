<script lang="ts">
	import type { FieldError } from '$lib/schemas/field-error';
	import { ChosenUnit } from '../form/chosen-unit.svelte';
	import Field from '../form/Field.svelte';
	import UnitField from '../form/UnitField.svelte';

	type Typed = { name: string; setPointLow: string; setPointHigh: string };
	/** `prefix` tells two of them on one page apart. */
	let { typed = $bindable(), errors, prefix = '' }: { typed: Typed; errors: readonly FieldError[]; prefix?: string } = $props();
	const degrees = new ChosenUnit('temperature');
</script>

<Field id="{prefix}dryer-name" path="name" label="Name" bind:value={typed.name} {errors} placeholder="Tall box" />
<div class="grid grid-cols-2 gap-3">
	<UnitField
		id="{prefix}dryer-low"
		path="setPointLow"
		label="Lowest temperature"
		dimension="temperature"
		chosen={degrees}
		bind:value={typed.setPointLow}
		{errors}
		placeholder="40 C"
		class=""
	/>
	<UnitField
		id="{prefix}dryer-high"
		path="setPointHigh"
		label="Highest temperature"
		dimension="temperature"
		chosen={degrees}
		bind:value={typed.setPointHigh}
		{errors}
		placeholder="70 C"
		class=""
	/>
</div>
<p class="caution">Dryers burn; an unattended heater is a fire risk. The appliance’s manual comes first.</p>
