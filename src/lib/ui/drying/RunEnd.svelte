<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { Form } from '../form/form.svelte';
	import { running } from './running.svelte';
	import type { DryingRun } from '$lib/server/drying/runs';
	import Problem from '../form/Problem.svelte';

	let { run, ondone }: { run: DryingRun; ondone?: () => void } = $props();
	const form = new Form({ fields: [] });

	async function end(outcome: 'done' | 'void'): Promise<void> {
		const sent = await form.send('drying-ends', { runId: run.id, outcome });
		// Ended on another device meanwhile: then it is ended, which is what was wanted.
		if (!sent.ok && sent.status !== 409) return;
		form.clear();
		await running.look();
		await invalidateAll();
		ondone?.();
	}
</script>

<span class="inline-flex flex-wrap items-center gap-2">
	<button type="button" class="rounded bg-act px-3 py-1 font-semibold text-on-act" onclick={() => void end('done')}>It is done</button>
	<button type="button" class="panel px-3 py-1" onclick={() => void end('void')}>It dried nothing</button>
	{#if form.problem}<Problem>{form.problem}</Problem>{/if}
</span>
