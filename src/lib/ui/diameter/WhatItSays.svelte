<script lang="ts">
	import { diameterOutside } from '$lib/core/diameter/quantities';
	import type { Finding } from '$lib/core/finding/types';
	import { intervalWords } from '../figures/label';
	import { sentence } from '../words/messages';
	import { fixed, percent, plural, upTo } from '../words/numbers';
	import { GRADE_WORDS } from '../words/quantities';

	let { mean, outside, onnext }: { mean: Finding; outside: Finding; onnext: () => void } = $props();
	/** Below this a flow error is hard to see (common practice, no source). */
	const LITTLE_FLOW_PCT = 3;
	const [first, ...rest] = $derived(mean.messages);
	const worstFlow = $derived(first && 'worstFlowPct' in first.params ? Number(first.params.worstFlowPct) : null);
	const left = $derived(mean.missing[0]?.count ?? 0);
	const range = $derived(first && 'low' in first.params ? [Number(first.params.low), Number(first.params.high)] : null);
</script>

<p class="mt-2 text-[1.1rem] leading-snug font-semibold" aria-live="polite" data-testid="diameter-sentence">
	{first ? sentence(first) : 'No reading yet.'}
</p>
<p class="mt-2 text-muted">
	{#if left > 0}
		{plural(left, 'more reading')} would complete the quick check.
	{:else if worstFlow !== null}
		{worstFlow < LITTLE_FLOW_PCT ? 'For most prints it matters little' : 'It can show in walls and corners'}: at worst {upTo(worstFlow, 1)} %
		flow, the farthest of
		{plural(mean.n, 'reading')}.
	{/if}
</p>
<button type="button" class="panel mt-3 px-3 py-1 font-semibold" onclick={onnext}>Next spool <kbd>↓</kbd></button>
<hr class="my-4" />
<h2 class="small font-semibold">Why</h2>
<dl class="mt-2 space-y-2">
	<div class="grid grid-cols-[1fr_auto] gap-x-3">
		<dt class="text-muted">readings</dt>
		<dd class="text-right font-semibold">{mean.n}</dd>
		<dd class="small col-span-2 text-right">
			{plural(mean.nEffective ?? 0, 'place')}{mean.inputs.excluded.length ? `, ${mean.inputs.excluded.length} struck out` : ''} · {GRADE_WORDS[
				mean.grade
			]}
		</dd>
	</div>
	{#if mean.estimate !== null}
		<div class="grid grid-cols-[1fr_auto] gap-x-3">
			<dt class="text-muted">mean</dt>
			<dd class="text-right font-semibold">{fixed(mean.estimate, 3)} mm</dd>
			<dd class="small col-span-2 text-right">
				{intervalWords(mean, { id: mean.quantity, unit: mean.unit, scale: { low: 0, high: 0 } })}, instrument included
			</dd>
		</div>
	{/if}
	{#if range}
		<div class="grid grid-cols-[1fr_auto] gap-x-3">
			<dt class="text-muted">range</dt>
			<dd class="text-right font-semibold">{fixed(range[0] ?? 0, 2)} to {fixed(range[1] ?? 0, 2)} mm</dd>
			<dd class="small col-span-2 text-right">smallest and largest of {mean.n}; no interval</dd>
		</div>
	{/if}
	{#if outside.estimate !== null}
		<div class="grid grid-cols-[1fr_auto] gap-x-3">
			<dt class="text-muted">outside the tolerance</dt>
			<dd class="text-right font-semibold">{percent(outside.estimate)}</dd>
			<dd class="small col-span-2 text-right">n {outside.n}, {intervalWords(outside, diameterOutside)}</dd>
		</div>
	{/if}
</dl>
{#if rest.length}
	<ul class="small mt-3 space-y-2">
		{#each rest as message, i (i)}<li>{sentence(message)}</li>{/each}
	</ul>
{/if}
