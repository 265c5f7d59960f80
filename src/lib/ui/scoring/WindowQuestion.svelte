<script lang="ts">
	import { nth } from '$lib/core/kernel/lists/nth';
	import type { Question } from '$lib/core/stations/prints/marks/scoring';
	import { untrack } from 'svelte';
	import { isPlainKey } from '../form/keys';
	import { upTo } from '../../words/numbers';
	import ChosenIcon from '../form/ChosenIcon.svelte';

	type Window = Question & { kind: 'window' };
	/** The coolest and the hottest clean floor, degrees Celsius. */
	let { question, answer }: { question: Window; answer: (from: number, to: number) => void } = $props();
	const { steps } = untrack(() => question);
	let stage = $state<'from' | 'to'>('from');
	let from = $state(0);
	let to = $state(0);
	const at = $derived(stage === 'from' ? from : to);

	function set(floor: number): void {
		if (stage === 'from') from = Math.max(0, Math.min(steps.length - 1, floor));
		else to = Math.max(from, Math.min(steps.length - 1, floor));
	}
	function accept(): void {
		if (stage === 'from') {
			stage = 'to';
			to = from;
			return;
		}
		answer(nth(steps, from), nth(steps, to));
	}
	function keydown(event: KeyboardEvent): void {
		if (!isPlainKey(event)) return;
		if (event.key === 'ArrowUp' || event.key === 'ArrowRight') set(at + 1);
		else if (event.key === 'ArrowDown' || event.key === 'ArrowLeft') set(at - 1);
		else if (event.key === 'Enter' || event.key === ' ') accept();
		else return;
		event.preventDefault();
	}
</script>

<svelte:window onkeydown={keydown} />

<div role="group" aria-label="{stage === 'from' ? 'Coolest clean floor' : 'Hottest clean floor'}: {upTo(steps[at] ?? 0, 0)} °C">
	<p class="mb-2 text-[1.15rem]">
		{#if stage === 'from'}<strong>Coolest</strong> clean floor?{:else}<strong>Hottest</strong> clean floor?
			<span class="small">clean from {upTo(steps[from] ?? 0, 0)} °C</span>{/if}
	</p>
	<div class="flex flex-wrap gap-1.5">
		{#each steps as step, i (step)}
			<button
				type="button"
				tabindex="-1"
				class="panel min-w-12 px-2.5 py-2 text-[1.15rem] {i === at ? 'border-act bg-chosen font-bold' : ''}"
				disabled={stage === 'to' && i < from}
				onclick={() => {
					set(i);
					accept();
				}}
			>
				{#if i === at}<ChosenIcon />
				{/if}{upTo(step, 0)}
			</button>
		{/each}
	</div>
	<p class="small mt-2"><kbd>←</kbd><kbd>→</kbd> a floor cooler or hotter, <kbd>Enter</kbd> saves; no clean floor at all: <kbd>x</kbd></p>
</div>
