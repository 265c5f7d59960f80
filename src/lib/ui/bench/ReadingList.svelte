<script lang="ts">
	import type { Instrument } from '$lib/core/record/evidence/instrument';
	import type { Reading } from '$lib/core/record/evidence/reading';
	import { growing } from '../growing/growing.svelte';
	import ReadingButton from './ReadingButton.svelte';
	import ReadingEditor from './ReadingEditor.svelte';

	type Props = { readings: Reading[]; waiting: ReadonlySet<string>; onchange: () => void; instruments?: Instrument[] };
	let { readings, waiting, onchange, instruments = [] }: Props = $props();
	/** The newest first: hundreds at once would keep the field waiting. */
	const row = growing(() => readings.length, 10, 40);
	let editor = $state<ReadingEditor>();

	export function edit(reading: Reading): void {
		editor?.edit(reading);
	}
</script>

<span class="inline-flex flex-wrap gap-x-1.5 gap-y-1">
	{#each readings.slice(-row.shown) as reading (reading.id)}<ReadingButton {reading} waiting={waiting.has(reading.id)} {edit} />{/each}
</span>

<ReadingEditor bind:this={editor} {onchange} {instruments} />
