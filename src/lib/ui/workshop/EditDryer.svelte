<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { Button } from 'flowbite-svelte';
	import { Edited } from '../form/edited.svelte';
	import FormProblem from '../form/FormProblem.svelte';
	import { Form } from '../form/form.svelte';
	import DryerFields from './DryerFields.svelte';

	type Props = { one: { id: string; name: string; setPointLowC: number | null; setPointHighC: number | null } };
	let { one }: Props = $props();
	const celsius = (of: number | null) => (of === null ? '' : `${of} C`);
	const textsOf = () => ({ name: one.name, setPointLow: celsius(one.setPointLowC), setPointHigh: celsius(one.setPointHighC) });
	let open = $state(false);
	let edited = $state.raw(new Edited(textsOf()));
	const form = new Form({ fields: ['name', 'setPointLow', 'setPointHigh'], supersedes: true });

	async function save(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		if (edited.names.length > 0) {
			if (!(await form.send('dryer-facts', { dryerId: one.id, ...edited.changed })).ok) return;
			await invalidateAll();
		}
		open = false;
	}
</script>

{#if open}
	<form class="mt-1 space-y-2" novalidate onsubmit={save} aria-label="Edit {one.name}">
		<FormProblem title={form.problem} />
		<DryerFields bind:typed={edited.typed} errors={form.errors} prefix="{one.id}-" />
		<p class="flex items-center gap-3">
			<Button type="submit" size="xs">Save</Button>
			<button type="button" class="link" onclick={() => (open = false)}>Cancel</button>
		</p>
	</form>
{:else}
	<button
		type="button"
		class="link ml-3 min-h-[26px] text-[0.9rem]"
		aria-label="edit {one.name}"
		onclick={() => {
			edited = new Edited(textsOf());
			form.clear();
			open = true;
		}}>edit</button
	>
{/if}
