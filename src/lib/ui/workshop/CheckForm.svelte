<script lang="ts">
	import { fieldError, type FieldError } from '$lib/schemas/field-error';
	import { refusalWords } from '$lib/words/refusals';
	import { Button } from 'flowbite-svelte';
	import Field from '../form/Field.svelte';
	import FormShell from '../form/FormShell.svelte';
	import { Form } from '../form/form.svelte';
	import { When } from '../form/when.svelte';
	import WhenField from '../form/WhenField.svelte';

	type Props = { instrumentId: string; name: string; ondone: () => Promise<void> };
	let { instrumentId, name, ondone }: Props = $props();
	const fresh = () => ({ reference: '', referenceLimit: '', readings: '' });
	let open = $state(false);
	let typed = $state(fresh());
	const when = new When();
	const form = new Form({ fields: ['reference', 'referenceLimit', 'readings'], when });
	/** Errors of single readings stand at the one field they were typed into, with their place. */
	const errors = $derived(
		form.errors.map((e): FieldError => {
			const place = /^readings\.(\d+)$/.exec(e.path);
			if (!place) return e;
			const at = Number(place[1]);
			return fieldError('readings', 'singleReading', { number: at + 1, typed: readings[at] ?? '', why: refusalWords(e) });
		})
	);
	/** One reading a word; a unit stays with its number. */
	const readings = $derived(typed.readings.match(/\d+(?:[.,]\d+)?\s*[a-z"]*/gi) ?? []);

	async function add(): Promise<void> {
		const sent = await form.send('instrument-checks', {
			instrumentId,
			reference: typed.reference,
			referenceLimit: typed.referenceLimit,
			readings: readings.map((r) => r.trim())
		});
		if (!sent.ok) return;
		typed = fresh();
		open = false;
		await ondone();
	}
</script>

{#if open}
	<FormShell class="mt-1 space-y-2" label="Check {name}" problem={form.problem} onsubmit={add}>
		<div class="grid grid-cols-2 gap-3">
			<Field
				id="{instrumentId}-reference"
				path="reference"
				label="Size of the pin"
				bind:value={typed.reference}
				{errors}
				placeholder="1.700 mm"
			/>
			<Field
				id="{instrumentId}-limit"
				path="referenceLimit"
				label="Pin good to"
				bind:value={typed.referenceLimit}
				{errors}
				placeholder="0.002 mm"
				hint="empty: exactly that"
			/>
		</div>
		<Field
			id="{instrumentId}-readings"
			path="readings"
			label="Readings of it"
			bind:value={typed.readings}
			{errors}
			placeholder="1.71 1.70 1.71 1.71 …"
			hint="{readings.length} read, ten are a good number; put it down between them"
		/>
		<WhenField {when} id="{instrumentId}-when" errors={form.errors} what="checked" />
		<Button type="submit" size="xs">Save check</Button>
		<button type="button" class="link text-[0.9rem]" onclick={() => (open = false)}>not now</button>
	</FormShell>
{:else}
	<button type="button" class="link text-[0.9rem]" onclick={() => (open = true)}>check it against a pin</button>
{/if}
