<script lang="ts">
	import { page } from '$app/state';
	import { conditionOf } from '$lib/core/record/conditions/condition-at';
	import CompareSlider from '$lib/ui/photos/CompareSlider.svelte';
	import { day } from '$lib/words/numbers';
	import { CONDITION_WORDS } from '$lib/words/closed-lists';
	import type { PageProps } from './$types';
	import ChosenIcon from '$lib/ui/form/ChosenIcon.svelte';

	let { data }: PageProps = $props();
	/** Photographs with what they show, in the order of the trial. */
	const shown = $derived(
		data.evidence.flatMap((e) =>
			e.attempts.flatMap((a) =>
				data.photos
					.filter((p) => p.attemptId === a.id)
					.map((p) => ({
						id: p.id,
						pieceId: a.pieceId,
						label: `${e.spool.code}, ${CONDITION_WORDS[conditionOf(e, a).kind]}`,
						day: day(a.at)
					}))
			)
		)
	);
	const pieces = $derived((data.evidence[0]?.pieces ?? []).filter((p) => shown.some((s) => s.pieceId === p.id)));
	const piece = $derived(pieces.find((p) => p.id === page.url.searchParams.get('piece')) ?? pieces[0] ?? null);
	const strip = $derived(shown.filter((s) => s.pieceId === piece?.id));
	const measurable = $derived(piece?.marks.some((m) => m.mark === 'strings') ?? false);
	let chosen = $state<string[]>([]);
	const together = $derived(chosen.flatMap((id) => strip.find((s) => s.id === id) ?? []));

	function choose(id: string): void {
		chosen = chosen.includes(id) ? chosen.filter((c) => c !== id) : [...chosen, id];
	}
</script>

<svelte:head><title>Photographs · {data.head.name} · Draught</title></svelte:head>
<div class="p-3 md:px-5 md:py-4">
	<p class="small"><a class="link" href="/trials/{data.head.id}/prints">Prints</a></p>
	<h1 class="text-[1.6rem] font-bold">Photographs</h1>
	{#if piece}
		<nav aria-label="Pieces" class="mt-1 flex flex-wrap gap-x-4">
			{#each pieces as one (one.id)}
				<a
					class={one.id === piece.id ? 'font-semibold' : 'link'}
					href="?piece={one.id}"
					aria-current={one.id === piece.id ? 'page' : undefined}>{one.name} {one.version}</a
				>
			{/each}
		</nav>
		<p class="small mt-1">Choose two to compare with a slider, or more to see them side by side.</p>
		<ul class="mt-2 grid grid-cols-[repeat(auto-fill,minmax(9.5rem,1fr))] gap-2">
			{#each strip as one (one.id)}
				<li>
					<button
						type="button"
						aria-pressed={chosen.includes(one.id)}
						class="panel block w-full p-1 text-left {chosen.includes(one.id) ? 'border-act bg-chosen' : ''}"
						onclick={() => choose(one.id)}
					>
						<img
							src="/api/v1/photos/{one.id}?size=small"
							alt="Photograph of {one.label}"
							class="aspect-square w-full object-cover"
							loading="lazy"
						/>
						<span class="block px-1 text-[0.9rem]"
							>{#if chosen.includes(one.id)}<ChosenIcon />
							{/if}{one.label}<span class="small block">{one.day}</span></span
						>
					</button>
					{#if measurable}<a class="link text-[0.9rem] leading-[26px]" href="/trials/{data.head.id}/prints/strings/{one.id}"
							>measure its strings</a
						>{/if}
				</li>
			{/each}
		</ul>
		{#if together.length === 2 && together[0] && together[1]}
			<div class="mt-3"><CompareSlider left={together[0]} right={together[1]} /></div>
		{:else if together.length > 2}
			<ul class="mt-3 grid gap-3 sm:grid-cols-2 xl:grid-cols-3" aria-label="Side by side">
				{#each together as one (one.id)}
					<li>
						<figure>
							<img src="/api/v1/photos/{one.id}" alt="Photograph of {one.label}, {one.day}" class="w-full rounded border" />
							<figcaption class="mt-1"><strong>{one.label}</strong> <span class="small">{one.day}</span></figcaption>
						</figure>
					</li>
				{/each}
			</ul>
		{/if}
	{:else}
		<p class="mt-3">No print of this trial has a photograph yet. Add one to a print on the Prints page.</p>
	{/if}
</div>
