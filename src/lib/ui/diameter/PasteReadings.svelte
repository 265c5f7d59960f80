<script lang="ts">
	import { refusalWords } from '$lib/words/refusals';
	import type { LogLayout } from '$lib/schemas/gauge-log';
	import { rowRefusal } from '$lib/schemas/row-refusal';
	import { Button } from 'flowbite-svelte';
	import { plural } from '../../words/numbers';
	import { guessLayout, type Preview } from './guess-layout';
	import { recallLayout, rememberLayout } from './layout-memory';
	import LayoutFields from './LayoutFields.svelte';
	import { MOST_PASTED, pastedReadings, type PastedReading } from './pasted-readings';
	import HarmIcon from '../form/HarmIcon.svelte';

	/** Keeps the readings; an answer says why one was refused. */
	let { take }: { take: (readings: PastedReading[]) => string | null } = $props();
	let text = $state('');
	let preview = $state.raw<Preview | null>(null);
	let layout = $state<LogLayout | null>(null);
	let stepMm = $state('10');
	let speed = $state('30');
	let problems = $state.raw<string[]>([]);
	let said = $state('');
	const STORE = 'draught-paste-layout';
	const read = $derived(layout && text.trim() ? pastedReadings(text, layout) : null);

	function look(): void {
		problems = [];
		said = '';
		preview = text.trim() ? guessLayout(text) : null;
		layout = preview ? (recallLayout(STORE, preview)?.layout ?? preview.layout) : null;
		// Readings by hand come in order or at positions; a column of times is a gauge's.
		if (layout?.place.kind === 'time') layout.place = { kind: 'step', stepM: 0.01 };
	}
	function keep(): void {
		if (!read || !layout || !preview) return;
		if (!read.ok) {
			problems = read.errors.map((e) => refusalWords(rowRefusal(e)));
			return;
		}
		if (read.readings.length > MOST_PASTED) {
			problems = [`${read.readings.length} readings are a log: save them as a file and import it below.`];
			return;
		}
		const refused = take(read.readings);
		problems = refused ? [refused] : [];
		if (refused) return;
		rememberLayout(STORE, preview, { layout: $state.snapshot(layout), stepMm, speed });
		said = `${plural(read.readings.length, 'reading')} saved.`;
		text = '';
		preview = null;
		layout = null;
	}
</script>

<details class="mt-4">
	<summary class="cursor-pointer font-semibold">Paste readings</summary>
	<label class="small mt-1 block" for="pasted">One row per spot, as a spreadsheet gives it; one column or more.</label>
	<textarea
		id="pasted"
		rows="4"
		class="mt-1 block w-full rounded border bg-panel p-2 text-[0.9rem]"
		placeholder="1.751"
		bind:value={text}
		oninput={look}></textarea>
	{#if preview && layout}
		<div class="panel mt-2 space-y-2 px-3 py-2">
			<LayoutFields {preview} bind:layout bind:stepMm bind:speed single caption="The first rows pasted" />
			<Button size="sm" onclick={keep}>Save {read?.ok ? plural(read.readings.length, 'reading') : 'them'}</Button>
		</div>
	{/if}
	{#if problems.length}
		<div role="alert" class="mt-1 text-harm">
			<p><HarmIcon /> Nothing was stored:</p>
			<ul class="small">
				{#each problems as problem (problem)}<li>{problem}</li>{/each}
			</ul>
		</div>
	{/if}
	<p role="status" class="small">{said}</p>
</details>
