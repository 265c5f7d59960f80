<script lang="ts">
	import { refusalWords } from '$lib/words/refusals';
	import { invalidateAll } from '$app/navigation';
	import { Form } from '../form/form.svelte';
	import { plural } from '../../words/numbers';
	import Problem from '../form/Problem.svelte';
	import HarmIcon from '../form/HarmIcon.svelte';

	type Taken = { trialId: string; fresh: number; known: number; renamed: { from: string; to: string }[] };
	let taken = $state.raw<Taken | null>(null);
	const form = new Form();
	let notJson = $state('');

	async function take(event: Event & { currentTarget: HTMLInputElement }): Promise<void> {
		const input = event.currentTarget;
		const [file] = input.files ?? [];
		if (!file) return;
		taken = null;
		notJson = '';
		form.clear();
		let bundle: unknown;
		try {
			bundle = JSON.parse(await file.text());
		} catch {
			notJson = `${file.name} is not JSON.`;
			return;
		}
		const sent = await form.send<Taken>('bundles', { bundle });
		// The same file can be chosen again, which a browser takes for no change.
		input.value = '';
		if (!sent.ok) return;
		taken = sent.answer;
		await invalidateAll();
	}
</script>

<label class="block text-[0.85rem] font-medium"
	>A trial bundle in
	<input type="file" accept=".json,application/json" class="file-field" onchange={(e) => void take(e)} /></label
>
<div aria-live="polite">
	{#if form.busy}<p>Taking it in …</p>{/if}
	{#if taken}
		<p>
			<strong>Imported:</strong>
			{plural(taken.fresh, 'new record')}, {taken.known} here already. <a class="link" href="/trials/{taken.trialId}">Open the trial</a>.
		</p>
		{#each taken.renamed as r (r.from)}<p>
				{r.from} is another spool here: it came in as <strong>{r.to}</strong>. Write that on it.
			</p>{/each}
	{/if}
	{#if form.unknown}
		<Problem>It is not known whether it was saved. Choose the file again; nothing doubles.</Problem>
	{:else if notJson || form.problem || form.errors.length}
		<div role="alert" class="border-l-[3px] border-harm px-3 py-1">
			<p class="text-harm"><HarmIcon /> Not imported; nothing was stored.</p>
			<ul>
				{#each form.errors as e, i (i)}<li><strong>{e.path.replace(/^bundle\.(tables\.)?/, '')}</strong> {refusalWords(e)}</li>{:else}<li>
						{notJson || form.problem}
					</li>{/each}
			</ul>
		</div>
	{/if}
</div>
