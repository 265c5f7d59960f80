<script lang="ts">
	import { shownReading } from '$lib/core/record/readings/shown-reading';
	import type { Reading } from '$lib/core/record/evidence/reading';

	let { reading, waiting = false, edit }: { reading: Reading; waiting?: boolean; edit: (reading: Reading) => void } = $props();
</script>

<button
	type="button"
	class="min-h-[26px] min-w-[26px] rounded px-1 hover:bg-chosen {reading.status === 'excluded'
		? 'text-muted line-through'
		: ''} {reading.corrected ? 'underline decoration-dotted' : ''}"
	title="{reading.corrected ? 'corrected; ' : ''}{reading.status === 'excluded' ? 'marked invalid; ' : ''}{waiting
		? 'waiting to be saved'
		: 'edit or mark invalid'}"
	disabled={waiting}
	onclick={() => edit(reading)}
	>{shownReading(reading)}{#if waiting}<span class="small"> …</span>{/if}<span class="sr-only">
		{reading.status === 'excluded' ? 'marked invalid' : ''}{reading.corrected ? ' corrected' : ''}</span
	></button
>
