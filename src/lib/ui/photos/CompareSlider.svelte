<script lang="ts">
	import { Range } from 'flowbite-svelte';

	type Shown = { id: string; label: string };
	let { left, right }: { left: Shown; right: Shown } = $props();
	let at = $state(50);
</script>

<!-- One picture over the other, the upper one cut where the slider stands. -->
<figure>
	<div class="relative w-full max-w-3xl overflow-hidden rounded border bg-panel" style:aspect-ratio="4 / 3">
		<img src="/api/v1/photos/{left.id}" alt={left.label} class="absolute inset-0 size-full object-contain" />
		<img
			src="/api/v1/photos/{right.id}"
			alt={right.label}
			class="absolute inset-0 size-full object-contain"
			style:clip-path="inset(0 0 0 {at}%)"
		/>
		<span class="absolute top-0 bottom-0 w-0.5 bg-act" style:left="{at}%" aria-hidden="true"></span>
	</div>
	<figcaption class="mt-1 flex max-w-3xl items-center gap-3">
		<span class="font-semibold">{left.label}</span>
		<Range min="0" max="100" bind:value={at} appearance="auto" class="flex-1" aria-label="How much of {left.label} is shown" />
		<span class="font-semibold">{right.label}</span>
	</figcaption>
</figure>
