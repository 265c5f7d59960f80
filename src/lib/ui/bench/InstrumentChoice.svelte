<script lang="ts">
	import { Select } from 'flowbite-svelte';
	import { onMount } from 'svelte';
	import { offered } from '../form/offered';
	import AddHere from '../workshop/AddHere.svelte';
	import { massTolerance, toleranceWords } from '../../words/units';

	type Named = { id: string; name: string; errorLimit: number | null; archived?: boolean };
	type Props = {
		instruments: Named[];
		chosen: string;
		trialId: string;
		what: 'caliper' | 'scale';
		none: string;
		onchange: () => void;
	};
	let { instruments, chosen = $bindable(), trialId, what, none, onchange }: Props = $props();

	const accuracy = (limit: number) => (what === 'scale' ? massTolerance(limit) : toleranceWords(limit));

	// What one trial was measured with says nothing of another.
	const store = $derived(`draught-${what}-${trialId}`);

	onMount(() => {
		// The first that was named is the bench's own; borrowed ones came later.
		const kept = localStorage.getItem(store);
		const inUse = offered(instruments);
		chosen = inUse.find((i) => i.id === kept)?.id ?? inUse[0]?.id ?? '';
	});
</script>

{#if offered(instruments).length > 0}
	<label class="sr-only" for="instrument">Instrument</label>
	<Select
		placeholder=""
		size="sm"
		classes={{ select: 'pr-7 pl-1.5 text-[0.9rem]' }}
		id="instrument"
		bind:value={chosen}
		onchange={() => {
			localStorage.setItem(store, chosen);
			onchange();
		}}
	>
		<option value="">not named</option>
		{#each offered(instruments, chosen) as one (one.id)}<option value={one.id}>{one.name}, {accuracy(one.errorLimit ?? 0)}</option>{/each}
	</Select>
{:else}
	<AddHere
		{what}
		label={none}
		onadded={(id) => {
			chosen = id;
			localStorage.setItem(store, id);
			onchange();
		}}
	/>
{/if}
