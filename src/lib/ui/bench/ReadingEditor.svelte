<script lang="ts">
	import type { Reading } from '$lib/core/evidence/reading';
	import AmendDialog from '../form/AmendDialog.svelte';
	import { Amending } from '../form/amending.svelte';
	import Field from '../form/Field.svelte';

	/** One dialog for however many readings a page shows. */
	let { onchange }: { onchange: () => void } = $props();
	const amending = new Amending<Reading>('reading', () => onchange(), ['typed']);
	let typed = $state('');

	export function edit(reading: Reading): void {
		typed = reading.typedText;
		amending.edit(reading);
	}
</script>

<AmendDialog
	{amending}
	title="Reading {amending.chosen?.typedText ?? ''}"
	about="The first value stays on record; this one counts instead."
	placeholder="digits swapped"
	correction={() => ({ typed })}
>
	<Field id="amend-typed" path="typed" label="Right value" bind:value={typed} errors={amending.errors} />
</AmendDialog>
