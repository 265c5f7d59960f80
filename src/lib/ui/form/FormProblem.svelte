<script lang="ts">
	import Problem from './Problem.svelte';

	let { title }: { title: string } = $props();
	let line = $state<HTMLElement>();
	// A page may hold several forms, and the line may be out of sight of the button that was pressed.
	$effect(() => {
		if (title) line?.scrollIntoView({ block: 'nearest' });
	});
</script>

<!-- Errors that belong to no field, and the one-line summary above the fields. -->
<div role="alert" bind:this={line}>
	{#if title}<Problem live={false} class="border-l-[3px] border-harm bg-panel px-3 py-1.5">{title}</Problem>{/if}
</div>
