<script lang="ts">
	import type { Finding, QuantityDef } from '$lib/core/judging/finding/types';
	import { intervalWords } from '../figures/label';
	import { sentence } from '../../words/messages';
	import { GRADE_WORDS, quantityName, valueWords } from '../../words/quantities';
	import { CONDITION_WORDS, kindWords } from '../../words/closed-lists';

	type Props = { findings: Finding[]; defs: QuantityDef[]; currency?: string; pieceName?: (id: string) => string };
	let { findings, defs, currency = '', pieceName }: Props = $props();
	const known = $derived(findings.filter((f) => f.n > 0));
	/** The piece is said where the marks of several stand together. */
	const severalPieces = $derived(new Set(known.flatMap((f) => f.subject.pieceId ?? [])).size > 1);
	/** As received goes without saying. */
	const nameOf = (finding: Finding, def: QuantityDef) => {
		const { condition, variant, pieceId } = finding.subject;
		const parts = [
			quantityName(def),
			severalPieces && pieceId && pieceName ? pieceName(pieceId) : null,
			condition && condition !== 'asReceived' ? CONDITION_WORDS[condition] : null,
			variant ? kindWords(variant) : null
		];
		return parts.filter(Boolean).join(', ');
	};
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
