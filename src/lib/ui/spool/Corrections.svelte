<script lang="ts">
	import { SPOOL_FACTS } from '$lib/core/record/facts/spool-facts';
	import { Form } from '../form/form.svelte';
	import FormProblem from '../form/FormProblem.svelte';
	import { AMENDMENT_WORDS, BEFORE_WORDS, wordOf } from '../../words/closed-lists';
	import { factName, factsTold, SPOOL_FACT_WORDS, type FactWord } from '../../words/facts';
	import { dayAndTime } from '../../words/numbers';
	import { labelMassWords } from '../../words/units';
	import type { AMENDMENT_ACTIONS } from '$lib/core/record/lists/closed-lists';

	type Amended = {
		id: string;
		targetKind: string;
		targetId: string;
		action: (typeof AMENDMENT_ACTIONS)[number];
		undoesId: string | null;
		replacement: Record<string, unknown> | null;
		reason: string;
		at: number;
	};
	type Props = {
		amendments: Amended[];
		/** What a record is called in this list: a reading as it was typed first, a drying, a price. */
		nameOf: (targetId: string) => string;
		onchange: () => void;
	};
	let { amendments, nameOf, onchange }: Props = $props();
	const form = new Form({ fields: [] });
	const undone = $derived(new Set(amendments.flatMap((a) => (a.action === 'undo' && a.undoesId ? [a.undoesId] : []))));

	const SPOOL_WORDS: Readonly<Record<string, FactWord>> = SPOOL_FACT_WORDS;
	/** Facts by their name on the spool's page. */
	const FACT_WORDS: Record<string, string> = {
		maker: 'maker',
		name: 'product',
		material: 'material',
		benchCode: 'bench code',
		...Object.fromEntries(Object.entries(SPOOL_WORDS).map(([name, word]) => [name, factName(word)]))
	};
	function factsOf({ replacement }: Amended): string {
		const { was, codeWas, ...is } = (replacement ?? {}) as Record<string, unknown> & { was?: Record<string, unknown> };
		const before: Record<string, unknown> = { ...was, ...(codeWas ? { benchCode: codeWas } : {}) };
		return Object.entries(is)
			.filter(([name, value]) => FACT_WORDS[name] && before[name] !== value)
			.map(([name, value]) => {
				if (typeof value === 'number') return factsTold(SPOOL_FACTS, SPOOL_WORDS, { [name]: value }).join('');
				const words = SPOOL_WORDS[name]?.words;
				const to = words ? wordOf(words, String(value)) : String(value) || 'not noted';
				const stood = before[name];
				const from = typeof stood === 'string' ? `${stood || 'not noted'}, now ` : '';
				return `${FACT_WORDS[name]} ${from}${to}`;
			})
			.join('; ');
	}
	function wordsOf(a: Amended): string {
		if (a.action === 'undo') return AMENDMENT_WORDS.undo;
		if (a.targetKind === 'spool' || a.targetKind === 'filament') return factsOf(a);
		const { typedText, before, netMassG, instrumentId } = a.replacement ?? {};
		const to =
			typeof typedText === 'string'
				? typedText
				: typeof before === 'string'
					? `${wordOf(BEFORE_WORDS, before)} before it`
					: typeof netMassG === 'number'
						? `for ${labelMassWords(netMassG)}`
						: instrumentId
							? 'another instrument'
							: '';
		return `${nameOf(a.targetId)}${a.action === 'correct' ? `, now ${to}` : ''}: ${AMENDMENT_WORDS[a.action]}`;
	}
</script>

{#if amendments.length}
	<section class="panel px-3 py-2" aria-label="Corrections">
		<h2 class="font-semibold">Corrections</h2>
		<FormProblem title={form.problem} />
		<ul class="space-y-1.5">
			{#each amendments as a (a.id)}
				<li>
					{wordsOf(a)}{a.reason ? `, ${a.reason}` : ''}
					<span class="small">{dayAndTime(a.at)}</span>
					{#if undone.has(a.id)}
						<span class="small">(undone)</span>
					{:else if a.action !== 'undo'}
						<button
							type="button"
							class="link"
							onclick={async () => {
								const { targetKind, targetId } = a;
								if ((await form.send('amendments', { targetKind, targetId, action: 'undo', undoesId: a.id })).ok) onchange();
							}}>undo</button
						>
					{/if}
				</li>
			{/each}
		</ul>
	</section>
{/if}
