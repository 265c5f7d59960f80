<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { day, dayAndTime } from '$lib/words/numbers';
	import type { VERDICT_KINDS } from '$lib/core/record/lists/closed-lists';
	import { verdictWords } from '$lib/words/one-page';
	import { tick, untrack } from 'svelte';
	import Archive from '../form/Archive.svelte';
	import { isShortcut } from '../form/keys';
	import VerdictForm from './VerdictForm.svelte';

	type Verdict = {
		id: string;
		spoolId: string;
		kind: (typeof VERDICT_KINDS)[number];
		buyFor: string | null;
		note: string | null;
		at: number;
		coreVersion: string;
	};
	type Props = {
		trialId: string;
		verdicts: readonly Verdict[];
		withdrawn: readonly Pick<Verdict, 'id' | 'spoolId' | 'at'>[];
		/** In the order of the pick. */
		spools: { id: string; code: string }[];
		codeOf: (spoolId: string) => string;
	};
	let { trialId, verdicts, withdrawn, spools, codeOf }: Props = $props();

	let open = $state(untrack(() => verdicts.length > 0));

	async function begin(): Promise<void> {
		open = true;
		await tick();
		const first = document.querySelector<HTMLElement>('input[name="verdict-spool"]');
		first?.focus();
		first?.scrollIntoView({ block: 'center' });
	}
</script>

<svelte:window
	onkeydown={(event) => {
		if (!isShortcut(event, 'v')) return;
		event.preventDefault();
		void begin();
	}}
/>

<section aria-label="Verdict" class="panel px-3 py-2">
	<details bind:open>
		<summary class="font-semibold">Verdict</summary>
		<div class="mt-2 space-y-3">
			{#if open}
				<VerdictForm {trialId} {spools} ondone={() => void invalidateAll()} />
			{/if}
			<ul class="space-y-1.5">
				{#each verdicts as verdict (verdict.id)}
					<li>
						<strong>{codeOf(verdict.spoolId)}</strong>: {verdictWords(verdict)}
						{#if verdict.note}<span class="block italic">{verdict.note}</span>{/if}
						<span class="small block">{dayAndTime(verdict.at)} · with the figures of that day (calculations {verdict.coreVersion})</span>
						<Archive kind="verdict" id={verdict.id} name="the verdict on {codeOf(verdict.spoolId)}" archived={false} does="withdraw" />
					</li>
				{/each}
				{#each withdrawn as verdict (verdict.id)}
					<li class="text-muted">
						<span class="line-through">{codeOf(verdict.spoolId)}</span>, {day(verdict.at)}: withdrawn
						<Archive kind="verdict" id={verdict.id} name="the verdict on {codeOf(verdict.spoolId)}" archived={true} />
					</li>
				{/each}
			</ul>
		</div>
	</details>
</section>
