<script lang="ts">
	import { nth } from '$lib/core/kernel/lists/nth';
	import type { Question } from '$lib/core/stations/prints/marks/scoring';
	import { isPlainKey } from '../form/keys';
	import { untrack } from 'svelte';
	import { upTo } from '../../words/numbers';
	import ChosenIcon from '../form/ChosenIcon.svelte';

	type Ladder = Question & { kind: 'ladder' };
	/** Steps by their number from 0; -1 for none clean, one beyond the last for none faulty. */
	let { question, answer }: { question: Ladder; answer: (lastClean: number, firstFaulty: number | null) => void } = $props();
	const { steps, unit } = untrack(() => question);
	let stage = $state<'clean' | 'faulty'>('clean');
	let clean = $state(-1);
	let faulty = $state(0);
	let digits = '';
	const at = $derived(stage === 'clean' ? clean : faulty);
	const sign = unit === 'deg' ? '°' : ` ${unit}`;

	function set(step: number): void {
		if (stage === 'clean') clean = Math.max(-1, Math.min(steps.length - 1, step));
		else faulty = Math.max(clean + 1, Math.min(steps.length, step));
	}
	function accept(): void {
		if (stage === 'clean') {
			stage = 'faulty';
			faulty = clean + 1;
			digits = '';
			return;
		}
		answer(clean < 0 ? 0 : nth(steps, clean), faulty < steps.length ? nth(steps, faulty) : null);
	}
	function keydown(event: KeyboardEvent): void {
		if (!isPlainKey(event)) return;
		if (/^[0-9]$/.test(event.key)) {
			// A step may be typed: 6 5 is 65. What leads nowhere begins anew.
			digits = steps.some((s) => String(s).startsWith(digits + event.key)) ? digits + event.key : event.key;
			const step = steps.findIndex((s) => String(s) === digits);
			if (step >= 0) set(step);
		} else if (event.key === 'ArrowRight' || event.key === 'ArrowUp') set(at + 1);
		else if (event.key === 'ArrowLeft' || event.key === 'ArrowDown') set(at - 1);
		else if (event.key === 'Enter' || event.key === ' ') accept();
		else return;
		event.preventDefault();
	}
</script>

<svelte:window onkeydown={keydown} />

<div
	role="group"
	aria-label="{stage === 'clean' ? 'Last clean step' : 'First bad step'}: {at < 0
		? 'none'
		: at >= steps.length
			? 'none'
			: `${upTo(steps[at] ?? 0, 2)}${sign}`}"
>
	<p class="mb-2 text-[1.15rem]">
		{#if stage === 'clean'}<strong>Last clean</strong> step?{:else}<strong>First bad</strong> step?
			<span class="small">last clean {clean < 0 ? 'none' : `${upTo(steps[clean] ?? 0, 2)}${sign}`}</span>{/if}
	</p>
	<div class="flex flex-wrap gap-1.5">
		{#each [null, ...steps, null] as step, i (i)}
			{@const number = i - 1}
			{#if step !== null || (stage === 'clean') === number < 0}
				<button
					type="button"
					tabindex="-1"
					class="panel min-w-12 px-2.5 py-2 text-[1.15rem] {number === at ? 'border-act bg-chosen font-bold' : ''} {stage === 'faulty' &&
					number <= clean
						? 'text-muted'
						: ''}"
					disabled={stage === 'faulty' && number <= clean}
					onclick={() => {
						set(number);
						accept();
					}}
				>
					{#if number === at}<ChosenIcon />
					{/if}{step === null ? 'none' : upTo(step, 2)}
				</button>
			{/if}
		{/each}
	</div>
	<p class="small mt-2"><kbd>←</kbd><kbd>→</kbd> or the number itself, <kbd>Enter</kbd> saves</p>
</div>
