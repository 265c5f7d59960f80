<script lang="ts">
	import { Select } from 'flowbite-svelte';
	import { comparePaired, differencesOf } from '$lib/core/stations/prints/ways/paired-comparison';
	import PairsFigure from '$lib/ui/figures/PairsFigure.svelte';
	import { plural } from '$lib/words/numbers';
	import { quantityName } from '$lib/words/quantities';
	import { differenceName, levelName, pairedWords } from '$lib/words/paired-comparison';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const differences = $derived(differencesOf(data.evidence));
	let id = $state('');
	let typed = $state({ first: '', second: '' });
	/** Whether any two of its levels were printed as pairs. */
	const isPrinted = (d: (typeof differences)[number]) => {
		const [a, b] = d.values;
		return (
			a !== undefined && b !== undefined && comparePaired(data.evidence, { id: d.id, first: a, second: b }, data.basis).results.length > 0
		);
	};
	/** It opens on something that was printed both ways, of one spool before of two. */
	const printed = $derived(
		differences.find((d) => d.id !== 'spool' && isPrinted(d)) ?? differences.find((d) => isPrinted(d)) ?? differences[0] ?? null
	);
	const chosen = $derived(differences.find((d) => d.id === id) ?? printed);
	const first = $derived(chosen?.values.includes(typed.first) ? typed.first : (chosen?.values[0] ?? ''));
	const second = $derived(
		chosen?.values.includes(typed.second) && typed.second !== first ? typed.second : (chosen?.values.find((v) => v !== first) ?? '')
	);
	const contrast = $derived(chosen && { id: chosen.id, first, second });
	const compared = $derived(contrast && comparePaired(data.evidence, contrast, data.basis));
	const codeOf = $derived((spoolId: string) => data.spools.find((s) => s.id === spoolId)?.code ?? '');
</script>

<svelte:head><title>Two ways · {data.head.name} · Draught</title></svelte:head>
<div class="max-w-5xl p-3 md:px-5 md:py-4">
	<p class="small"><a class="link" href="/trials/{data.head.id}/prints">Prints</a></p>
	<h1 class="text-[1.6rem] font-bold">Compare two ways</h1>
	<p class="small mt-1">
		Pairs: the same test piece from the same spool, printed both ways, nearest in time. Different test pieces are never mixed.
	</p>
	{#if chosen && contrast && compared}
		<form class="panel mt-3 flex flex-wrap items-end gap-4 px-4 py-3" onsubmit={(e) => e.preventDefault()}>
			<label>
				<span class="mb-0.5 block text-[0.85rem] font-medium">What differs</span>
				<Select placeholder="" size="sm" value={chosen.id} onchange={(e) => (id = e.currentTarget.value)}>
					{#each differences as one (one.id)}<option value={one.id}>{differenceName(one.id)}</option>{/each}
				</Select>
			</label>
			<label>
				<span class="mb-0.5 block text-[0.85rem] font-medium">From</span>
				<Select placeholder="" size="sm" value={first} onchange={(e) => (typed.first = e.currentTarget.value)}>
					{#each chosen.values as value (value)}<option {value}>{levelName(chosen.id, value)}</option>{/each}
				</Select>
			</label>
			<label>
				<span class="mb-0.5 block text-[0.85rem] font-medium">to</span>
				<Select placeholder="" size="sm" value={second} onchange={(e) => (typed.second = e.currentTarget.value)}>
					{#each chosen.values.filter((v) => v !== first) as value (value)}<option {value}>{levelName(chosen.id, value)}</option>{/each}
				</Select>
			</label>
		</form>
		{#if compared.alsoDiffers.length && compared.results.length}
			<p class="question mt-3">
				≠ Not only this differs within pairs: {compared.alsoDiffers.map((name) => differenceName(name).toLowerCase()).join(', ')} too. What is
				found below may be theirs.
			</p>
		{/if}
		<div class="mt-3 grid gap-3 md:grid-cols-2 lg:grid-cols-3">
			{#each compared.results as result (result.def.id)}
				<figure class="panel px-3 py-2">
					<figcaption class="font-medium">
						{quantityName(result.def)} <span class="small">n {plural(result.pairs.length, 'pair')}, no interval</span>
					</figcaption>
					<PairsFigure
						pairs={result.pairs.map((p) => [p.first, p.second] as const)}
						def={result.def}
						names={[levelName(chosen.id, first), levelName(chosen.id, second)]}
					/>
					<p class="mt-1" data-testid="way-{result.def.id}">{pairedWords(result, contrast)}</p>
					<p class="small">{[...new Set(result.pairs.map((p) => codeOf(p.spoolId)))].join(', ')}</p>
				</figure>
			{:else}
				<p class="md:col-span-2">
					No test piece was printed both ways from one spool and scored. Print one both ways, change nothing else, and score both.
				</p>
			{/each}
		</div>
	{:else}
		<p class="mt-4">All prints of this trial were made the same way, as far as noted: nothing to compare.</p>
	{/if}
</div>
