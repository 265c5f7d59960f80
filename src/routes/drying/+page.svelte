<script lang="ts">
	import RunCard from '$lib/ui/drying/RunCard.svelte';
	import { running } from '$lib/ui/drying/running.svelte';
</script>

<svelte:head><title>Drying now · Draught</title></svelte:head>
<div class="max-w-3xl space-y-4 p-3 md:px-5 md:py-4">
	<h1 class="text-[1.6rem] font-bold">Drying now</h1>
	{#each running.runs as run (run.id)}
		<RunCard {run} />
	{:else}
		<p class="panel hatched px-4 py-6">No dryer runs. Start one on a trial’s Drying page.</p>
	{/each}
	<p class="caution">
		Dryers burn, and an unattended heater is a fire risk. A food oven or dehydrator used for filament is not used for food again. Follow the
		appliance’s manual and the maker’s data sheet.
	</p>
</div>
