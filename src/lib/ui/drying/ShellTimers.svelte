<script lang="ts">
	import { onMount } from 'svelte';
	import { running } from './running.svelte';
	import { timerWords } from '../../words/timer';
	import { BellSolid } from 'flowbite-svelte-icons';

	onMount(() => running.start());
</script>

<!-- In the shell of every page: nobody has to remember when the dryer was started. -->
{#if running.runs.length > 0}
	<section aria-label="Dryers running" class="mt-4 px-[18px]" data-testid="dryers">
		<h2 class="small font-semibold">Drying</h2>
		<ul class="space-y-1">
			{#each running.runs as run (run.id)}
				{@const timer = timerWords(run.plannedEndAt, running.now)}
				<li>
					<a href="/drying" class="block leading-tight {timer.over ? 'font-bold' : ''}">
						{#if timer.over}<BellSolid width="1em" height="1em" class="icon" />
						{/if}{timer.words}
						<span class="small block">{run.dryer} · {run.spools.map((s) => s.code).join(', ')}</span>
					</a>
				</li>
			{/each}
		</ul>
	</section>
{/if}
