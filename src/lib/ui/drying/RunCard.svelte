<script lang="ts">
	import { dayAndTime } from '../../words/numbers';
	import { temperatureWords } from '../../words/units';
	import CorrectRun from './CorrectRun.svelte';
	import RunEnd from './RunEnd.svelte';
	import { running } from './running.svelte';
	import { timerWords } from '../../words/timer';
	import type { DryingRun } from '$lib/schemas/drying';

	let { run }: { run: DryingRun } = $props();
	const timer = $derived(timerWords(run.plannedEndAt, running.now));
	const share = $derived(Math.min(1, Math.max(0, (running.now - run.startedAt) / (run.plannedEndAt - run.startedAt))));
</script>

<article class="panel px-4 py-3" aria-label="{run.dryer}, running">
	<div class="flex flex-wrap items-baseline justify-between gap-x-4">
		<p class="wide text-[1.6rem] leading-tight font-bold" data-testid="run-timer">{timer.words}</p>
		<p>{run.dryer} at {temperatureWords(run.setPointC)}</p>
	</div>
	<!-- Like a strand drawn off: what is dry is filled. -->
	<div class="mt-2 h-[9px] rounded-[5px] border border-ink/60 bg-panel" aria-hidden="true">
		<div class="h-full rounded-[4px] bg-heat" style:width="{share * 100}%"></div>
	</div>
	<p class="small mt-1">
		{run.spools.map((s) => `${s.code} (${s.material})`).join(', ')} · since {dayAndTime(run.startedAt)}, to {dayAndTime(run.plannedEndAt)}
	</p>
	<div class="mt-2 flex flex-wrap items-center gap-x-3"><RunEnd {run} /> <CorrectRun {run} /></div>
</article>
