<script lang="ts">
	import type { Finding, QuantityDef } from '$lib/core/finding/types';
	import { intervalWords } from '../figures/label';
	import { sentence } from '../words/messages';
	import { CONDITION_WORDS, GRADE_WORDS, quantityName, valueWords } from '../words/quantities';

	let { findings, defs, currency = '' }: { findings: Finding[]; defs: QuantityDef[]; currency?: string } = $props();
	const known = $derived(findings.filter((f) => f.n > 0));
	const conditions = $derived(new Set(known.map((f) => f.subject.condition)).size > 2);
</script>

<!-- Findings as words: value first, then n, interval and grade, then what there is to say. -->
{#if known.length === 0}
	<p class="small mt-2">Nothing found yet.</p>
{/if}
<dl class="mt-2 space-y-2.5">
	{#each known as finding, i (i)}
		{@const def = defs.find((d) => d.id === finding.quantity)}
		{#if def}
			<div>
				<div class="flex justify-between gap-3">
					<dt class="text-muted">
						{quantityName(def)}{#if finding.subject.condition && (conditions || finding.subject.condition !== 'asReceived')}, {CONDITION_WORDS[finding.subject.condition]}{/if}
					</dt>
					<dd class="text-right font-semibold">{finding.estimate === null ? 'no value' : valueWords(def, finding.estimate, currency)}</dd>
				</div>
				<dd class="small text-right">n {finding.n}, {intervalWords(finding, def, currency)} · {GRADE_WORDS[finding.grade]}</dd>
				{#each finding.messages as message, m (m)}<dd class="small">{sentence(message)}</dd>{/each}
			</div>
		{/if}
	{/each}
</dl>
