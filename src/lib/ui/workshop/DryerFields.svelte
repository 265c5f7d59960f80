<script lang="ts">
	import type { FieldError } from '$lib/schemas/field-error';
	import Field from '../form/Field.svelte';

	type Typed = { name: string; setPointLow: string; setPointHigh: string };
	let { typed = $bindable(), errors }: { typed: Typed; errors: readonly FieldError[] } = $props();
</script>

<Field id="dryer-name" path="name" label="Name" bind:value={typed.name} {errors} placeholder="Tall box" />
<div class="grid grid-cols-2 gap-3">
	<Field id="dryer-low" path="setPointLow" label="Lowest temperature" bind:value={typed.setPointLow} {errors} placeholder="40 C" />
	<Field id="dryer-high" path="setPointHigh" label="Highest temperature" bind:value={typed.setPointHigh} {errors} placeholder="70 C" />
</div>
<p class="caution">Dryers burn; an unattended heater is a fire risk. The appliance’s manual comes first.</p>
