<script lang="ts">
	import type { Finding, QuantityDef } from '$lib/core/finding/types';
	import { intervalWords } from '../figures/label';
	import { sentence } from '../words/messages';
	import { CONDITION_WORDS, GRADE_WORDS, kindWords, quantityName, valueWords } from '../words/quantities';

	let { findings, defs, currency = '' }: { findings: Finding[]; defs: QuantityDef[]; currency?: string } = $props();
	const known = $derived(findings.filter((f) => f.n > 0));
	/** As received goes without saying. */
	const nameOf = (finding: Finding, def: QuantityDef) =>
		finding.subject.condition && finding.subject.condition !== 'asReceived'
			? `${quantityName(def)}, ${CONDITION_WORDS[finding.subject.condition]}`
			: finding.subject.variant
				? `${quantityName(def)}, ${kindWords(finding.subject.variant)}`
				: quantityName(def);
</script>

<!-- Findings as words: value first, then n, interval and grade, then what there is to say. -->
{#if known.length === 0}
	<p class="small mt-2">Nothing found yet.</p>
{/if}
<dl class="mt-2 space-y-2.5">
	{#each known as finding, i (i)}
		{@const def = defs.find((d) => d.id === finding.quantity)}
		{#if def}
			<div class="grid grid-cols-[1fr_auto] gap-x-3">
				<dt class="text-muted">{nameOf(finding, def)}</dt>
				<dd class="text-right font-semibold">{finding.estimate === null ? 'no value' : valueWords(def, finding.estimate, currency)}</dd>
				<dd class="small col-span-2 text-right">n {finding.n}, {intervalWords(finding, def, currency)} · {GRADE_WORDS[finding.grade]}</dd>
				{#each finding.messages as message, m (m)}<dd class="small col-span-2">{sentence(message)}</dd>{/each}
			</div>
		{/if}
	{/each}
</dl>
