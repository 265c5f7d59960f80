<script lang="ts">
	import RunEnd from './RunEnd.svelte';
	import { running } from './running.svelte';
	import { timerWords } from '../../words/timer';

	const over = $derived(running.runs.filter((run) => run.plannedEndAt <= running.now));
</script>

<div role="alert" data-testid="dryer-notice">
	{#each over as run (run.id)}
		<div class="question m-3 flex flex-wrap items-center gap-x-4 gap-y-2">
			<span
				><strong>{run.dryer}</strong> has dried long enough ({timerWords(run.plannedEndAt, running.now).words}). Switch it off, weigh
				{run.spools.map((s) => s.code).join(', ')} while warm and dry.</span
			>
			<RunEnd {run} />
		</div>
	{/each}
</div>
