<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { Edited } from '../form/edited.svelte';
	import EditHere from '../form/EditHere.svelte';
	import { Form } from '../form/form.svelte';
	import DryerFields from './DryerFields.svelte';

	type Props = { one: { id: string; name: string; setPointLowC: number | null; setPointHighC: number | null } };
	let { one }: Props = $props();
	const celsius = (of: number | null) => (of === null ? '' : `${of} C`);
	const textsOf = () => ({ name: one.name, setPointLow: celsius(one.setPointLowC), setPointHigh: celsius(one.setPointHighC) });
	let edited = $state.raw(new Edited(textsOf()));
	const form = new Form({ fields: ['name', 'setPointLow', 'setPointHigh'], supersedes: true });

	function begin(): void {
		edited = new Edited(textsOf());
		form.clear();
	}
	async function save(): Promise<boolean> {
		if (edited.names.length > 0) {
			if (!(await form.send('dryer-facts', { dryerId: one.id, ...edited.changed })).ok) return false;
			await invalidateAll();
		}
		return true;
	}
</script>

<EditHere name={one.name} problem={form.problem} {begin} {save}>
	<DryerFields bind:typed={edited.typed} errors={form.errors} prefix="{one.id}-" />
</EditHere>
