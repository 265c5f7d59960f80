<script lang="ts">
	import { page } from '$app/state';
	import { Modal } from 'flowbite-svelte';
	import { HELP } from '../../words/help';

	let { open = $bindable() }: { open: boolean } = $props();
	const help = $derived(HELP[page.route.id ?? '']);
	const keys = [
		{
			where: 'Anywhere outside a text field',
			rows: [
				['?', 'this help'],
				['N', 'take the next useful act'],
				['H L', 'the station before, the station after']
			]
		},
		{
			where: 'Bench capture',
			rows: [
				['Enter', 'keep the reading'],
				['=', 'same again (in an empty field)'],
				['Backspace', 'undo last (in an empty field)'],
				['↑ ↓', 'other spool'],
				['J K', 'other spool, outside the field']
			]
		},
		{
			where: 'Strength, at the load field',
			rows: [
				['x', 'behind a load: it broke there'],
				['h', 'behind a load or blows: it held'],
				['A S D F G H', 'in the empty field: how it failed, or what damage it took']
			]
		},
		{
			where: 'Prints',
			rows: [
				['Ctrl Enter', 'keep the print'],
				['← →', 'choose among words'],
				['↑ ↓', 'other spool, from a field with a number'],
				['J K', 'other spool, outside a field']
			]
		},
		{
			where: 'Scoring prints',
			rows: [
				['0-9', 'the step itself, or the word by its number'],
				['← →', 'another step'],
				['Enter', 'keep it'],
				['A S D F G H J K', 'faults of the surface, again for stronger'],
				['x', 'not looked at; X leaves it out of the sitting'],
				['Backspace', 'back']
			]
		},
		{ where: 'Pick', rows: [['V', 'the verdict']] },
		{
			where: 'Intake',
			rows: [
				['Enter', 'add the spool'],
				['Ctrl Enter', 'add it, nothing wrong with it']
			]
		}
	] as const;
</script>

<Modal bind:open title="Help" size="sm">
	{#if help}
		<p class="text-[1.1rem] font-semibold">{help.purpose}</p>
		<p>{help.counts}</p>
		<p class="text-muted">For example: {help.example}</p>
	{/if}
	<h3 class="hidden border-t pt-2 font-semibold md:block">Keys</h3>
	{#each keys as group (group.where)}
		<section class="hidden md:block">
			<h3 class="small font-semibold">{group.where}</h3>
			<dl class="grid grid-cols-[8rem_1fr] gap-y-1">
				{#each group.rows as [key, does] (key)}
					<dt>
						{#each key.split(' ') as part (part)}<kbd class="mr-1">{part}</kbd>{/each}
					</dt>
					<dd>{does}</dd>
				{/each}
			</dl>
		</section>
	{/each}
</Modal>
