<script lang="ts">
	import type { FieldError } from '$lib/schemas/field-error';
	import { sentenceOf } from '../../words/refusals';
	import { onMount, tick } from 'svelte';
	import type { When } from '../form/when.svelte';
	import WhenField from '../form/WhenField.svelte';
	import HarmIcon from '../form/HarmIcon.svelte';

	type Props = {
		label: string;
		unit: string;
		last: string | null;
		/** Keeps what was typed; a refusal leaves it in the field. */
		keep: (typed: string) => FieldError | null;
		takeBack: () => void;
		/** To another spool; left out where there is only one thing to measure. */
		move?: (by: 1 | -1) => void;
		describedBy?: string;
		/** Where what is typed may be of another time than now. */
		when?: When;
		/** A second way to keep what is typed, for touch: the suffix says which. */
		also?: { label: string; suffix: string };
		/** What the first way is called. */
		save?: string;
		/** Units to tap, where there is more than one to choose from. */
		units?: readonly string[];
		onunit?: (unit: string) => void;
		/** A letter typed into the empty field; true where it was meant for something else than the field. */
		onletter?: (letter: string) => boolean;
	};
	let { label, unit, last, keep, takeBack, move, describedBy, when, also, save = 'Save', units = [], onunit, onletter }: Props = $props();
	let frame = $state<HTMLElement>();
	let typed = $state('');
	let refusal = $state.raw<FieldError | null>(null);
	let input = $state<HTMLInputElement>();

	export function focus(): void {
		input?.focus();
	}

	/** What was kept last was the same again: an Enter after it is a habit, not an entry. */
	let repeated = false;

	function submit(text: string): void {
		refusal = keep(text);
		if (!refusal) typed = '';
		repeated = false;
	}

	function again(): void {
		if (last === null) return;
		submit(last);
		repeated = true;
	}

	function enter(): void {
		if (typed === '' && repeated) return;
		// A second Enter takes what was proposed.
		submit(refusal?.suggestion ?? typed);
	}

	/** On a phone the keyboard covers half of the page: the field and what saves it stay in sight. */
	function bringIntoSight(): void {
		if (document.activeElement === input && window.innerWidth < 1024) frame?.scrollIntoView({ block: 'nearest' });
	}
	onMount(() => {
		bringIntoSight();
		window.visualViewport?.addEventListener('resize', bringIntoSight);
		return () => window.visualViewport?.removeEventListener('resize', bringIntoSight);
	});

	function keydown(event: KeyboardEvent): void {
		if (event.ctrlKey || event.metaKey || event.altKey || event.isComposing) return;
		if (event.key === 'Enter') {
			event.preventDefault();
			enter();
		} else if (event.key === '=' && typed === '') {
			event.preventDefault();
			again();
		} else if (event.key === 'Backspace' && typed === '' && !event.repeat) {
			event.preventDefault();
			takeBack();
		} else if (typed === '' && /^[a-z]$/i.test(event.key) && onletter?.(event.key.toLowerCase())) {
			event.preventDefault();
		} else if (move && (event.key === 'ArrowDown' || event.key === 'ArrowUp')) {
			event.preventDefault();
			move(event.key === 'ArrowDown' ? 1 : -1);
		}
	}

	async function take(suggestion: string): Promise<void> {
		typed = suggestion;
		refusal = null;
		await tick();
		input?.focus();
	}
</script>

<!-- The second way to keep it: beside the first on a phone, among the keys at a desk. -->
{#snippet other(look: string)}
	{#if also}
		<button type="button" class={look} disabled={typed.trim() === ''} onclick={() => submit(`${typed}${also.suffix}`)}>{also.label}</button>
	{/if}
{/snippet}

<div bind:this={frame} class="scroll-mt-2 scroll-mb-[84px]">
	<div
		class="rounded-lg border-2 border-act bg-panel px-5 py-2 focus-within:outline-2 focus-within:outline-offset-2 focus-within:outline-act-ink"
	>
		<label for="capture" class="sr-only">{label}</label>
		<div class="flex items-baseline gap-3">
			<!-- the bench begins with a number: one hand is at the caliper -->
			<!-- svelte-ignore a11y_autofocus -->
			<input
				bind:this={input}
				bind:value={typed}
				id="capture"
				type="text"
				inputmode="decimal"
				autocomplete="off"
				autofocus
				spellcheck="false"
				maxlength="40"
				aria-describedby={[refusal ? 'capture-error' : '', describedBy ?? ''].filter(Boolean).join(' ') || undefined}
				aria-invalid={refusal ? 'true' : undefined}
				class="wide w-full min-w-0 border-0 bg-transparent p-0 text-[clamp(3rem,9vw,6.6rem)] leading-tight font-bold outline-none focus:ring-0 max-lg:text-right"
				onkeydown={keydown}
				onfocus={bringIntoSight}
				oninput={() => (refusal = null)}
			/>
			<span class="text-2xl text-muted">{unit}</span>
		</div>
	</div>
	{#if units.length > 1}
		<fieldset class="mt-2">
			<legend class="sr-only">Unit</legend>
			<div class="flex gap-2 lg:gap-1">
				{#each units as one (one)}
					<button
						type="button"
						aria-pressed={one === unit}
						class="panel grow px-3 py-0.5 lg:grow-0 {one === unit ? 'border-act bg-chosen font-semibold' : ''}"
						onclick={() => {
							onunit?.(one);
							input?.focus();
						}}>{one}</button
					>
				{/each}
			</div>
		</fieldset>
	{/if}
	<div class="min-h-7 max-lg:min-h-2" aria-live="polite">
		{#if refusal}
			<p id="capture-error" class="mt-1 text-harm">
				<HarmIcon />
				{sentenceOf(refusal, typed)}
				{#if refusal.suggestion}
					<button type="button" class="link ml-1" onclick={() => void take(refusal?.suggestion ?? '')}>Use {refusal.suggestion}</button>
				{/if}
			</p>
		{/if}
	</div>
	<div class="flex gap-2 max-lg:mb-2 lg:hidden">
		<button type="button" class="grow basis-0 rounded-lg bg-act px-4 py-3 font-semibold text-on-act" onclick={enter}>{save}</button>
		{@render other('panel grow basis-0 px-4 py-3 font-semibold text-ink')}
	</div>
</div>
<div class="flex flex-wrap items-center gap-x-4 gap-y-2 text-[0.9rem] text-muted">
	{@render other('panel hidden px-3 py-1 font-semibold text-ink lg:block')}
	{#if when}<WhenField {when} />{/if}
	<span class="hidden lg:inline"><kbd>Enter</kbd> save</span>
	{#if last !== null}<button type="button" onclick={again}><kbd>=</kbd> same again</button>{/if}
	<button type="button" onclick={takeBack}><kbd>⌫</kbd> undo last</button>
	{#if move}<span class="hidden lg:inline"><kbd>↑</kbd><kbd>↓</kbd> other spool</span>{/if}
	<span class="hidden lg:inline"><kbd>?</kbd> all keys</span>
</div>
