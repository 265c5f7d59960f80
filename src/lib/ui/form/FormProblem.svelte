<script lang="ts">
	let { title }: { title: string } = $props();
</script>

<!-- Errors that belong to no field, and the one-line summary above the fields. -->
<div role="alert">
	{#if title}<p class="border-l-[3px] border-harm bg-panel px-3 py-1.5 text-harm">{title}</p>{/if}
</div>
