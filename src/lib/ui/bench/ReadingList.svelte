<script lang="ts">
	import type { Reading } from '$lib/core/evidence/reading';
	import ReadingButton from './ReadingButton.svelte';
	import ReadingEditor from './ReadingEditor.svelte';

	type Props = { readings: Reading[]; waiting: ReadonlySet<string>; onchange: () => void };
	let { readings, waiting, onchange }: Props = $props();
	let editor = $state<ReadingEditor>();

	export function edit(reading: Reading): void {
		editor?.edit(reading);
	}
</script>

<span class="inline-flex flex-wrap gap-x-1.5 gap-y-1">
	{#each readings as reading (reading.id)}<ReadingButton {reading} waiting={waiting.has(reading.id)} {edit} />{/each}
</span>

<ReadingEditor bind:this={editor} {onchange} />
