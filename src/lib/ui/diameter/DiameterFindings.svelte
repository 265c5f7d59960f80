<script lang="ts">
	import type { Finding, QuantityDef } from '$lib/core/judging/finding/types';
	import FindingLines from '../prints/FindingLines.svelte';
	import { sentence } from '../../words/messages';
	import { flowWords } from '../../words/diameter';
	import { plural } from '../../words/numbers';
	import Problem from '../form/Problem.svelte';

	let { findings, defs, onnext }: { findings: Finding[]; defs: QuantityDef[]; onnext: () => void } = $props();
	const mean = $derived(findings[0]);
	const [first, ...others] = $derived(mean?.messages ?? []);
	const jam = $derived(others.find((m) => m.id === 'thickSpotsJam'));
	const rest = $derived(others.filter((m) => m !== jam));
	const worstFlow = $derived(first && 'worstFlowPct' in first.params ? Number(first.params.worstFlowPct) : null);
	const left = $derived(mean?.missing[0]?.count ?? 0);
	// The sentence and the instrument's lines stand above; the share inside says the same sentence once more.
	const figures = $derived(
		findings.map((f) =>
			f.quantity === 'diameterMean' || (f.quantity === 'diameterInside' && !f.subject.variant)
				? { ...f, messages: [] }
				: { ...f, messages: f.messages.filter((m) => m.id !== 'thickSpotsJam') }
		)
	);
</script>

<p class="mt-2 text-[1.1rem] leading-snug font-semibold" aria-live="polite" data-testid="diameter-sentence">
	{first ? sentence(first) : 'No reading yet.'}
</p>
{#if jam}<Problem live={false} class="mt-2 font-semibold">{sentence(jam)}</Problem>{/if}
<p class="mt-2 text-muted">
	{#if left > 0}
		{plural(left, 'more reading')} would complete the quick check.
	{:else if worstFlow !== null}
		{flowWords(worstFlow, mean?.n ?? 0)}
	{/if}
</p>
<button type="button" class="panel mt-3 px-3 py-1 font-semibold" onclick={onnext}>Next spool <kbd>↓</kbd></button>
<hr class="my-4" />
<h2 class="small font-semibold">Method</h2>
{#if rest.length}
	<ul class="small mt-2 space-y-1.5">
		{#each rest as message, i (i)}<li>{sentence(message)}</li>{/each}
	</ul>
{/if}
<FindingLines findings={figures} {defs} />
