<script lang="ts">
	import type { FieldError } from '$lib/schemas/field-error';
	import { Input } from 'flowbite-svelte';
	import { CalendarMonthOutline } from 'flowbite-svelte-icons';
	import { tick } from 'svelte';
	import { refusalWords } from '../../words/refusals';
	import { dayAndTime } from '../../words/numbers';
	import Problem from './Problem.svelte';
	import type { When } from './when.svelte';

	type Props = {
		when: When;
		/** Distinguishes two of them on one page. */ id?: string;
		errors?: readonly FieldError[];
		what?: string;
		/** What holds while nothing is typed. */
		stands?: string;
		class?: string;
	};
	let { when, id = 'when', errors = [], what = 'when', stands = 'now', class: extra = '' }: Props = $props();
	let element = $state<HTMLElement>();
	let picker = $state<HTMLInputElement>();
	const read = $derived(when.read());
	const refused = $derived(errors.find((e) => e.path === 'when' || e.path === 'at' || e.path === 'takenAt'));

	async function unfold(): Promise<void> {
		await when.unfold();
		await tick();
		element?.querySelector('input')?.focus();
	}

	/** The picker's own text has no zone: it is read like what is typed. */
	const pick = (text: string) => (when.typed = text.replace('T', ' '));
</script>

<div class="text-[0.93rem] {extra}" bind:this={element}>
	{#if !when.open}
		<button type="button" class="link min-h-[26px]" aria-expanded="false" onclick={() => void unfold()}>{what}: {stands}</button>
	{:else}
		<div class="flex flex-wrap items-center gap-x-2 gap-y-1 {when.isNow ? '' : 'question w-fit max-w-full'}">
			<label for={id}>{what}</label>
			<div class="w-44">
				<Input
					{id}
					size="sm"
					autocomplete="off"
					placeholder="yesterday 9:00, -2 h"
					bind:value={when.typed}
					aria-invalid={(read && !read.ok) || refused ? 'true' : undefined}
					aria-describedby="{id}-read"
				/>
			</div>
			<div class="relative">
				<button type="button" class="panel px-2 py-1.5" aria-label="From a calendar" onclick={() => picker?.showPicker()}
					><CalendarMonthOutline width="1em" height="1em" class="icon" /></button
				>
				<input
					bind:this={picker}
					type="datetime-local"
					class="pointer-events-none absolute bottom-0 left-0 h-0 w-full border-0 p-0 opacity-0"
					tabindex="-1"
					aria-hidden="true"
					onchange={(event) => pick(event.currentTarget.value)}
				/>
			</div>
			<button type="button" class="link" onclick={() => when.backToNow()}>back to {stands}</button>
			<p id="{id}-read" class="basis-full font-semibold" aria-live="polite">
				{#if read?.ok}{dayAndTime(read.at)}, until you put it back{/if}
			</p>
			{#if read && !read.ok}<Problem live={false}>This {refusalWords({ path: 'when', code: read.code, params: {} } as FieldError)}.</Problem
				>
			{:else if refused}<Problem live={false}>This {refusalWords(refused)}.</Problem>{/if}
		</div>
	{/if}
</div>
