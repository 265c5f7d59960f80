<script lang="ts">
	import { fieldError } from '$lib/schemas/field-error';
	import { refusalWords } from '$lib/ui/words/refusals';
	import type { FieldError } from '$lib/schemas/field-error';
	import { Button } from 'flowbite-svelte';
	import Field from '../form/Field.svelte';

	type Props = { instrumentId: string; name: string; keep: (body: object) => Promise<FieldError[] | null> };
	let { instrumentId, name, keep }: Props = $props();
	const fresh = () => ({ reference: '', referenceLimit: '', readings: '' });
	let open = $state(false);
	let typed = $state(fresh());
	let errors = $state.raw<FieldError[]>([]);
	/** One reading a word; a unit stays with its number. */
	const readings = $derived(typed.readings.match(/\d+(?:[.,]\d+)?\s*[a-z"]*/gi) ?? []);

	async function add(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const refused = await keep({
			instrumentId,
			reference: typed.reference,
			referenceLimit: typed.referenceLimit,
			readings: readings.map((r) => r.trim())
		});
		// Errors of single readings stand at the one field they were typed into, with their place.
		errors = (refused ?? []).map((e) => {
			const place = /^readings\.(\d+)$/.exec(e.path);
			if (!place) return e;
			const at = Number(place[1]);
			return fieldError('readings', 'singleReading', { number: at + 1, typed: readings[at] ?? '', why: refusalWords(e) });
		});
		if (refused) return;
		typed = fresh();
		open = false;
	}
</script>

{#if open}
	<form class="mt-1 space-y-2" novalidate onsubmit={add} aria-label="Check {name}">
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
		<Button type="submit" size="xs">Save check</Button>
		<button type="button" class="link text-[0.9rem]" onclick={() => (open = false)}>not now</button>
	</form>
{:else}
	<button type="button" class="link text-[0.9rem]" onclick={() => (open = true)}>check it against a pin</button>
{/if}
