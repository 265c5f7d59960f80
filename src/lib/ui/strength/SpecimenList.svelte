<script lang="ts">
	import type { Reading } from '$lib/core/evidence/reading';
	import type { Specimen } from '$lib/core/evidence/specimen';
	import { kindOf } from '$lib/core/strength/kinds';
	import ReadingButton from '../bench/ReadingButton.svelte';
	import ReadingEditor from '../bench/ReadingEditor.svelte';
	import AmendDialog from '../form/AmendDialog.svelte';
	import { Amending } from '../form/amending.svelte';
	import { DAMAGE_TELLS, FAILURE_MODE_WORDS, kindWords, wordOf } from '../words/closed-lists';

	type Props = { specimens: Specimen[]; readings: Reading[]; waiting: ReadonlySet<string>; onchange: () => void };
	let { specimens, readings, waiting, onchange }: Props = $props();
	let editor = $state<ReadingEditor>();
	const amending = new Amending<Specimen>('specimen', () => onchange());
	const of = (specimen: Specimen, quantity: string) => readings.filter((r) => r.specimenId === specimen.id && r.quantity === quantity);
	const PARTS = [
		['bucketMass', 'bucket'],
		['loadHeld', 'held'],
		['blowsHeld', 'held, blows'],
		['loadBroke', 'broke at'],
		['blowsBroke', 'broke at blow'],
		['byHand', 'by hand']
	] as const;
	const numbered = $derived(specimens.map((specimen, i) => ({ specimen, number: i + 1 })).reverse());
</script>

<ol class="space-y-1.5">
	{#each numbered as { specimen, number } (specimen.id)}
		{@const last = (quantity: string) =>
			of(specimen, quantity)
				.filter((r) => r.status === 'counts')
				.at(-1)}
		{@const failure = last('failure')}
		{@const damage = last('damage')}
		<li class="flex flex-wrap items-baseline gap-x-3 border-b pb-1 {specimen.status === 'excluded' ? 'text-muted line-through' : ''}">
			<strong>{number}</strong>
			<span class="small">{kindWords(kindOf(specimen))}{specimen.nozzleC === null ? '' : `, ${specimen.nozzleC} °C`}</span>
			{#each PARTS as [quantity, word] (quantity)}
				{@const here = of(specimen, quantity)}
				{#if here.length}
					<span class="inline-flex flex-wrap items-baseline gap-x-1.5"
						><span class="small">{word}</span>
						{#each here as reading (reading.id)}
							<ReadingButton {reading} waiting={waiting.has(reading.id)} edit={(chosen) => editor?.edit(chosen)} />
						{/each}</span
					>
				{/if}
			{/each}
			{#if failure}<span>{wordOf(FAILURE_MODE_WORDS, failure.typedText)}</span>{/if}
			{#if damage}<span>{wordOf(DAMAGE_TELLS, damage.typedText)}</span>{/if}
			<button
				type="button"
				class="link ml-auto min-h-[26px] text-[0.85rem]"
				disabled={waiting.has(specimen.id)}
				aria-label="Edit test part {number}"
				onclick={() => amending.edit(specimen)}>{specimen.status === 'excluded' ? 'marked invalid' : 'edit'}</button
			>
		</li>
	{/each}
</ol>

<ReadingEditor bind:this={editor} {onchange} />

<AmendDialog
	{amending}
	title="Test part"
	about="Marked invalid, it stays on record and counts no more; its loads go with it."
	placeholder="knocked over"
/>
