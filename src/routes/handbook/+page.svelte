<script lang="ts">
	import type { MaterialFigures } from '$lib/core/judging/handbook/figures';
	import { FIGURES, demandWords, figureText, figureUnit } from '$lib/ui/handbook/figures';
	import MaterialForm from '$lib/ui/handbook/MaterialForm.svelte';
	import { focusFirst } from '$lib/ui/form/focus-first';
	import { plural } from '$lib/words/numbers';
	import { Input, Label, Modal } from 'flowbite-svelte';
	import { onMount } from 'svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	let editing = $state.raw<MaterialFigures | null>(null);
	let open = $state(false);
	/** A form of its own for each opening: nothing of the last material stays in it. */
	let opening = $state(0);
	/** A long list, longer on a phone: one types the material one has in hand. */
	let wanted = $state('');
	const found = $derived(data.materials.filter((m) => m.material.toLowerCase().includes(wanted.trim().toLowerCase())));
	onMount(() => focusFirst('find'));

	function edit(material: MaterialFigures | null): void {
		editing = material;
		opening += 1;
		open = true;
	}
</script>

<svelte:head><title>Handbook · Draught</title></svelte:head>
<div class="p-3 md:px-5 md:py-4">
	<div class="flex flex-wrap items-baseline justify-between gap-3">
		<h1 class="text-[1.6rem] font-bold">Handbook</h1>
		<button type="button" class="panel px-3 py-1 font-semibold" onclick={() => edit(null)}>Add a material</button>
	</div>
	<p class="mt-1 max-w-3xl text-muted">
		Typical figures and where they come from; nothing here was measured on your spools. The dryer’s warnings and the pick’s limits use them.
		The maker’s data sheet comes first: enter your own figures.
	</p>
	<p class="caution mt-3 max-w-3xl">
		Ventilate: ABS, ASA, PC and PA give off fumes and fine particles most. Dust of fibre-filled prints needs gloves, extraction and a mask.
		Follow the maker’s safety data sheet and local rules.
	</p>
	<div class="mt-3 flex flex-wrap items-baseline gap-x-3">
		<Label for="find" class="sr-only">Find a material</Label>
		<div class="w-44">
			<Input id="find" type="search" size="sm" placeholder="PETG" autocomplete="off" maxlength={60} bind:value={wanted} />
		</div>
		<p class="small" role="status">{plural(found.length, 'material')}</p>
	</div>
	<div class="panel relative mt-2 overflow-x-auto">
		<table class="cards w-full text-left md:min-w-[60rem]">
			<caption class="sr-only">Materials with drying, softening, density and what they ask of a printer</caption>
			<thead>
				<tr class="border-b">
					<th scope="col" class="sticky left-0 bg-panel px-3 py-1.5 font-semibold">Material</th>
					{#each FIGURES as f (f.key)}<th scope="col" class="px-2 py-1.5 font-semibold"
							>{f.name} <span class="small font-normal">{figureUnit(f)}</span></th
						>{/each}
					<th scope="col" class="px-2 py-1.5 font-semibold">Asks for</th>
					<th scope="col" class="px-2 py-1.5 font-semibold">Fumes</th>
					<th scope="col"><span class="sr-only">Edit</span></th>
				</tr>
			</thead>
			<tbody>
				{#each found as m (m.material)}
					<tr class="border-b align-top">
						<th scope="row" class="sticky left-0 bg-panel px-3 py-1.5"
							><span class="wide text-[1.05rem] font-bold whitespace-nowrap">{m.material}</span>{#if m.edited}<span
									class="small block font-normal">own copy</span
								>{/if}</th
						>
						{#each FIGURES as f (f.key)}
							<td class="px-2 py-1.5" data-name="{f.name}, {figureUnit(f)}">
								{#if m[f.key]}
									<span class="whitespace-nowrap">{figureText(f.key, m[f.key])}</span>
									<span class="small block max-w-[9rem] text-[0.75rem] leading-tight">{m[f.key]?.source}</span>
								{:else}<span class="small">not known</span>{/if}
							</td>
						{/each}
						<td class="whole max-w-[14rem] px-2 py-1.5 text-[0.9rem]" data-name="Asks for"
							>{demandWords(m).join('; ') || 'nothing special'}</td
						>
						<td class="whole max-w-[13rem] px-2 py-1.5 text-[0.9rem]" data-name="Fumes">{m.fumes}</td>
						<td class="px-2 py-1.5"
							><button type="button" class="link" aria-label="Edit {m.material}" onclick={() => edit(m)}>edit</button></td
						>
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
</div>

<Modal bind:open title={editing ? editing.material : 'Another material'} size="sm">
	{#key opening}
		<MaterialForm material={editing} resettable={editing !== null && data.first.includes(editing.material)} ondone={() => (open = false)} />
	{/key}
</Modal>
