<script lang="ts">
	import { refusalWords } from '$lib/words/refusals';
	import { invalidateAll } from '$app/navigation';
	import type { MaterialFigures } from '$lib/core/judging/handbook/figures';
	import { Button, Select } from 'flowbite-svelte';
	import Field from '../form/Field.svelte';
	import FormShell from '../form/FormShell.svelte';
	import { Form } from '../form/form.svelte';
	import { FIGURES, figureText, figureUnit, readFigure, type FigureKey } from './figures';
	import Problem from '../form/Problem.svelte';

	/** `material` null adds one. `resettable`: Draught came with figures of its own. */
	let { material, resettable, ondone }: { material: MaterialFigures | null; resettable: boolean; ondone: () => void } = $props();
	// svelte-ignore state_referenced_locally
	const start = material;
	let name = $state(start?.material ?? '');
	const textOf = (key: FigureKey) => figureText(key, start?.[key] ?? null);
	let texts = $state(Object.fromEntries(FIGURES.map((f) => [f.key, textOf(f.key)])) as Record<FigureKey, string>);
	let sources = $state(Object.fromEntries(FIGURES.map((f) => [f.key, start?.[f.key]?.source ?? ''])) as Record<FigureKey, string>);
	const three = (value: boolean | null | undefined) => (value === true ? 'yes' : value === false ? 'no' : '');
	let hardened = $state(three(start?.hardenedNozzle));
	let enclosure = $state(three(start?.enclosure));
	let fumes = $state(start?.fumes ?? '');
	let feeder = $state(start?.feeder ?? '');
	const form = new Form({ supersedes: true, fields: ['material', 'figures'] });
	const said = (value: string) => (value === '' ? null : value === 'yes');

	async function keep(figures: object | null): Promise<void> {
		if (!(await form.send('handbook', { material: name.trim(), figures })).ok) return;
		await invalidateAll();
		ondone();
	}
	function own(): void {
		const figures = Object.fromEntries(FIGURES.map((f) => [f.key, readFigure(f.key, texts[f.key], sources[f.key])]));
		void keep({ material: name.trim(), ...figures, hardenedNozzle: said(hardened), enclosure: said(enclosure), fumes, feeder });
	}
	const errorOf = (key: string) => form.errors.find((e) => e.path.startsWith(`figures.${key}.`));
</script>

<FormShell class="space-y-3" problem={form.problem} onsubmit={own}>
	{#if start === null}<Field
			id="material"
			label="Material"
			bind:value={name}
			errors={form.errors}
			placeholder="PETG-CF"
			class="w-40"
		/>{/if}
	<div class="space-y-2">
		{#each FIGURES as f (f.key)}
			{@const error = errorOf(f.key)}
			<div class="grid grid-cols-[9rem_1fr] gap-3">
				<Field id="figure-{f.key}" label="{f.name}, {figureUnit(f)}" bind:value={texts[f.key]} errors={[]} placeholder="45 to 50" />
				<Field id="source-{f.key}" label="Source" bind:value={sources[f.key]} errors={[]} placeholder="maker's data sheet, own test …" />
				{#if error}<Problem live={false} class="col-span-2 text-[0.85rem]">{f.name}: {refusalWords(error)}</Problem>{/if}
			</div>
		{/each}
	</div>
	<div class="flex flex-wrap gap-4">
		{#each [['hardened', 'Hardened nozzle'], ['enclosure', 'Enclosure']] as const as [key, word] (key)}
			<label class="text-[0.85rem] font-medium"
				>{word}
				<Select
					placeholder=""
					size="sm"
					class="block"
					value={key === 'hardened' ? hardened : enclosure}
					onchange={(e) => (key === 'hardened' ? (hardened = e.currentTarget.value) : (enclosure = e.currentTarget.value))}
				>
					<option value="">not known</option><option value="yes">needed</option><option value="no">not needed</option>
				</Select></label
			>
		{/each}
	</div>
	<Field id="fumes" path="figures.fumes" label="Fumes" bind:value={fumes} errors={form.errors} />
	<Field id="feeder" path="figures.feeder" label="Feeder and bed" bind:value={feeder} errors={form.errors} />
	<div class="flex flex-wrap gap-2">
		<Button type="submit" size="sm">Save as your own copy</Button>
		{#if resettable && start?.edited}<Button type="button" size="sm" color="alternative" onclick={() => void keep(null)}
				>Back to the first figures</Button
			>{/if}
	</div>
</FormShell>
