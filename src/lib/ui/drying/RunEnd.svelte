<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { Form } from '../form/form.svelte';
	import { When } from '../form/when.svelte';
	import WhenField from '../form/WhenField.svelte';
	import { running } from './running.svelte';
	import type { DryingRun } from '$lib/schemas/drying';
	import Problem from '../form/Problem.svelte';

	let { run, ondone }: { run: DryingRun; ondone?: () => void } = $props();
	const when = new When();
	const form = new Form({ fields: [], when });

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
	<button type="button" class="rounded bg-act px-3 py-1 font-semibold text-on-act" onclick={() => void end('done')}>Finished</button>
	<button type="button" class="panel px-3 py-1" onclick={() => void end('void')}>Cancel, did not dry</button>
	<WhenField {when} id="end-{run.id}" errors={form.errors} what="ended" />
	{#if form.problem}<Problem>{form.problem}</Problem>{/if}
</span>
