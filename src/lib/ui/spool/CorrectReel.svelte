<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { untrack } from 'svelte';
	import { Button } from 'flowbite-svelte';
	import { ChosenUnit } from '../form/chosen-unit.svelte';
	import Field from '../form/Field.svelte';
	import FormShell from '../form/FormShell.svelte';
	import { Edited } from '../form/edited.svelte';
	import { Form } from '../form/form.svelte';
	import { storedIn } from '../form/in-unit';
	import UnitField from '../form/UnitField.svelte';

	type Props = {
		spool: { id: string; code: string; maker: string | null; filament: string | null; material: string };
		/** As the label states it, g. */
		netMassG: number | null;
		/** Maker and product are withheld. */
		hidden: boolean;
		/** Materials to choose from. */
		materials: string[];
		/** How many reels there are of this product. */
		reels: number;
		onchange: () => void;
	};
	let { spool, netMassG, hidden, materials, reels, onchange }: Props = $props();
	const unit = new ChosenUnit('label-mass');
	const stands = () => ({
		maker: spool.maker ?? '',
		filament: spool.filament ?? '',
		material: spool.material,
		benchCode: spool.code,
		netMass: netMassG === null ? '' : storedIn(netMassG, unit.unit, 'mass')
	});
	const edited = new Edited(untrack(stands));
	$effect(() => edited.follow(stands()));
	let reason = $state('');
	const form = new Form({ fields: [...Object.keys(untrack(stands)), 'reason'] });

	async function save(): Promise<void> {
		const sent = await form.send('product-facts', { spoolId: spool.id, reason, ...edited.changed, seen: edited.seen });
		if (!sent.ok && sent.status === 409) {
			await invalidateAll();
			edited.settle(stands());
		}
		if (!sent.ok) return;
		edited.settle(edited.typed);
		reason = '';
		onchange();
	}
</script>

<details class="panel px-3 py-2" ontoggle={(e) => e.currentTarget.open && form.clear()}>
	<summary class="font-semibold">Correct maker, product, material or code</summary>
	<FormShell class="mt-2 space-y-2" problem={form.problem} onsubmit={save}>
		{#if !hidden}
			<Field id="right-maker" path="maker" label="Maker" bind:value={edited.typed.maker} errors={form.errors} />
			<Field id="right-filament" path="filament" label="Product" bind:value={edited.typed.filament} errors={form.errors} />
		{/if}
		<Field id="right-material" path="material" label="Material" bind:value={edited.typed.material} errors={form.errors} list={materials} />
		<UnitField
			id="right-mass"
			path="netMass"
			label="Filament on a full spool"
			dimension="mass"
			chosen={unit}
			bind:value={edited.typed.netMass}
			errors={form.errors}
		/>
		<Field id="right-code" path="benchCode" label="Bench code" bind:value={edited.typed.benchCode} errors={form.errors} />
		<Field id="right-reason" path="reason" label="Why" bind:value={reason} errors={form.errors} placeholder="typed the wrong material" />
		{#if reels > 1}<p class="small">All {reels} spools of this product change with it; the bench code is this spool’s own.</p>{/if}
		<Button type="submit" size="xs" color="alternative">Correct it</Button>
	</FormShell>
</details>
