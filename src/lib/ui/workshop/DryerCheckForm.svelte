<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { ChosenUnit } from '../form/chosen-unit.svelte';
	import FormShell from '../form/FormShell.svelte';
	import { Form } from '../form/form.svelte';
	import UnitField from '../form/UnitField.svelte';
	import { When } from '../form/when.svelte';
	import WhenField from '../form/WhenField.svelte';

	type Props = { dryerId: string; name: string; ondone: () => Promise<void> };
	let { dryerId, name, ondone }: Props = $props();
	const FIELDS = [
		{ path: 'setPoint', label: 'Set to', placeholder: '60 C' },
		{ path: 'probe', label: 'Own probe', placeholder: '54 C' }
	] as const;
	const fresh = () => ({ setPoint: '', probe: '' });
	let open = $state(false);
	let typed = $state(fresh());
	const degrees = new ChosenUnit('temperature');
	const when = new When();
	const form = new Form({ fields: ['setPoint', 'probe'], when });

	async function add(): Promise<void> {
		if (!(await form.send('dryer-checks', { dryerId, ...typed })).ok) return;
		typed = fresh();
		open = false;
		await ondone();
	}
</script>

{#if open}
	<FormShell class="mt-1 space-y-2" label="Check {name}" problem={form.problem} onsubmit={add}>
		<div class="grid grid-cols-2 gap-3">
			{#each FIELDS as { path, label, placeholder } (path)}
				<UnitField
					id="{dryerId}-{path}"
					{path}
					{label}
					dimension="temperature"
					chosen={degrees}
					bind:value={typed[path]}
					errors={form.errors}
					{placeholder}
					class=""
				/>
			{/each}
		</div>
		<p class="caution">Hot inside: you can burn yourself. Read it when it no longer climbs.</p>
		<WhenField {when} id="{dryerId}-when" errors={form.errors} what="read" />
		<Button type="submit" size="xs">Save check</Button>
		<button type="button" class="link text-[0.9rem]" onclick={() => (open = false)}>not now</button>
	</FormShell>
{:else}
	<button
		type="button"
		class="link mr-3 min-h-[26px] text-[0.9rem]"
		aria-label="check {name} with an own probe"
		onclick={() => (open = true)}>check it with an own probe</button
	>
{/if}
