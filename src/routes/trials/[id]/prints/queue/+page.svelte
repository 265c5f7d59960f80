<script lang="ts">
	import Sliver from '$lib/ui/figures/Sliver.svelte';
	import { plural } from '$lib/words/numbers';
	import { massWords } from '$lib/words/units';
	import { CONDITION_WORDS } from '$lib/words/closed-lists';
	import type { PageProps } from './$types';
	import HarmIcon from '$lib/ui/form/HarmIcon.svelte';

	let { data }: PageProps = $props();
	/** Minutes to change a filament and purge (common practice, no source). */
	const CHANGE_MIN = 5;
	let grouped = $state(false);
	const prints = $derived(grouped ? data.queue.grouped : data.queue.balanced);
	const spoolOf = $derived((id: string) => data.spools.find((s) => s.id === id));
	const pieceOf = $derived((id: string) => data.pieces.find((p) => p.id === id)?.name ?? 'piece');
	/** "two of Step piece 1, one of Clip ladder 1" */
	const counted = $derived((ids: string[]) =>
		[...new Set(ids)].map((id) => `${ids.filter((i) => i === id).length} × ${pieceOf(id)}`).join(', ')
	);
	const changes = $derived(data.queue.changes);
	/** Pieces of the queue that were made here: their files can be had. */
	const files = $derived(data.pieces.filter((p) => p.hasFile && prints.some((one) => one.pieceId === p.id)));
</script>

<svelte:head><title>Print queue · {data.head.name} · Draught</title></svelte:head>
<div class="grid gap-5 p-3 md:px-5 md:py-4 lg:grid-cols-[1.1fr_1fr]">
	<div class="lg:col-span-2">
		<p class="small"><a class="link" href="/trials/{data.head.id}/prints">Prints</a></p>
		<h1 class="text-[1.6rem] font-bold">Print queue</h1>
		{#if prints.length === 0}
			<p class="mt-2" role="status">
				Nothing left: every test piece is printed as often as the <a class="link" href="/trials/{data.head.id}/rules">rules</a> ask.
			</p>
		{/if}
	</div>
	{#if prints.length}
		<section aria-label="In which order">
			<fieldset class="mb-2 flex flex-wrap gap-x-5 gap-y-1">
				<legend class="sr-only">Order</legend>
				<label class="flex min-h-[26px] items-center gap-1.5"
					><input type="radio" name="order" checked={!grouped} onchange={() => (grouped = false)} /> spools take turns
					<span class="small">{plural(changes.balanced, 'change')}, about {changes.balanced * CHANGE_MIN} min</span></label
				>
				<label class="flex min-h-[26px] items-center gap-1.5"
					><input type="radio" name="order" checked={grouped} onchange={() => (grouped = true)} /> spool by spool
					<span class="small">{plural(changes.grouped, 'change')}, about {changes.grouped * CHANGE_MIN} min</span></label
				>
			</fieldset>
			<ol class="panel divide-y divide-line">
				{#each prints as one, i (i)}
					{@const spool = spoolOf(one.spoolId)}
					<li class="flex items-center gap-3 px-3 py-1">
						<span class="small w-6 text-right tabular-nums">{i + 1}</span>
						<a class="flex w-24 items-center gap-2 font-semibold" href="/trials/{data.head.id}/prints?spool={one.spoolId}"
							>{spool?.code}<Sliver hex={spool?.colourHex ?? null} class="w-8" /></a
						>
						<span>{pieceOf(one.pieceId)}</span>
						<span class="small">{CONDITION_WORDS[one.condition]}</span>
					</li>
				{/each}
			</ol>
			{#if files.length}
				<p class="small mt-1">
					Files:
					{#each files as file (file.id)}<a class="link mr-3" href="/api/v1/pieces/{file.id}/file?format=3mf" download>{file.name}</a
						>{/each}
				</p>
			{/if}
			<p class="small mt-1">
				Taking turns is fairer: no spool is always first, and weather and wear meet them all alike. Spool by spool wastes less filament.
				Print object by object where the printer can.
			</p>
		</section>
		<section aria-label="What is left of each spool">
			<h2 class="font-semibold">What is left of each spool</h2>
			<ul class="mt-2 space-y-1.5">
				{#each data.queue.coverage.filter((c) => c.covered.length + c.short.length > 0) as one (one.spoolId)}
					<li class="panel px-3 py-1.5">
						<strong>{spoolOf(one.spoolId)?.code}</strong>
						<span class="small"
							>{one.leftG === null ? 'filament weight not noted' : `about ${massWords(one.leftG, 0)} by its label, less what was printed`} · needs
							{massWords(one.neededG, 0)}</span
						>
						{#if one.short.length}
							<span class="block text-harm"
								><HarmIcon /> covers {one.covered.length} of {one.covered.length + one.short.length}: {counted(one.covered) || 'none'}; not {counted(
									one.short
								)}.</span
							>
						{/if}
					</li>
				{/each}
			</ul>
			<p class="small mt-1">Grams of a test piece as entered or weighed, else as if printed solid. No range.</p>
		</section>
	{/if}
</div>
