<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import type { FieldError } from '$lib/schemas/field-error';
	import { newId, send } from '../form/send';
	import { plural } from '../words/numbers';

	type Taken = { trialId: string; fresh: number; known: number; renamed: { from: string; to: string }[] };
	let taken = $state.raw<Taken | null>(null);
	let errors = $state.raw<FieldError[]>([]);
	let problem = $state('');
	let working = $state(false);

	async function take(event: Event & { currentTarget: HTMLInputElement }): Promise<void> {
		const input = event.currentTarget;
		const [file] = input.files ?? [];
		if (!file) return;
		taken = null;
		errors = [];
		let bundle: unknown;
		try {
			bundle = JSON.parse(await file.text());
		} catch {
			problem = `${file.name} is not JSON.`;
			return;
		}
		working = true;
		const sent = await send<Taken>('bundles', { id: newId(), bundle });
		working = false;
		problem = sent.ok ? '' : sent.title;
		if (!sent.ok) {
			errors = sent.errors;
			return;
		}
		taken = sent.answer;
		input.value = '';
		await invalidateAll();
	}
</script>

<label class="block text-[0.85rem] font-medium"
	>A trial bundle in
	<input type="file" accept=".json,application/json" class="file-field" onchange={(e) => void take(e)} /></label
>
<div aria-live="polite">
	{#if working}<p>Taking it in …</p>{/if}
	{#if taken}
		<p>
			<strong>Taken in:</strong>
			{plural(taken.fresh, 'new record')}, {taken.known} here already. <a class="link" href="/trials/{taken.trialId}">Open the trial</a>.
		</p>
		{#each taken.renamed as r (r.from)}<p>
				{r.from} is another spool here: it came in as <strong>{r.to}</strong>. Write that on it.
			</p>{/each}
	{/if}
	{#if problem}
		<div role="alert" class="border-l-[3px] border-harm px-3 py-1">
			<p class="text-harm">▲ Not taken; nothing was stored.</p>
			<ul>
				{#each errors as e, i (i)}<li><strong>{e.path.replace(/^bundle\.(tables\.)?/, '')}</strong> {e.message}</li>{:else}<li>
						{problem}
					</li>{/each}
			</ul>
		</div>
	{/if}
</div>
