<script lang="ts">
	import { pricePerKgOf } from '$lib/core/stations/cost/price-per-kg';
	import type { Quote } from '$lib/core/record/evidence/quote';
	import { Button } from 'flowbite-svelte';
	import Field from '../form/Field.svelte';
	import FormShell from '../form/FormShell.svelte';
	import { Form } from '../form/form.svelte';
	import { QUOTE_KIND_WORDS } from '../../words/closed-lists';
	import { day, fixed, plural } from '../../words/numbers';

	/** `counts`: the id of the one that does. */
	let { quotes, counts, onchange }: { quotes: readonly Quote[]; counts: string | null; onchange: () => void } = $props();
	let chosen = $state<string | null>(null);
	let reason = $state('');
	const form = new Form({ fields: ['reason'] });

	async function strike(): Promise<void> {
		const sent = await form.send('amendments', { targetKind: 'quote', targetId: chosen, action: 'exclude', reason });
		if (!sent.ok) return;
		chosen = null;
		reason = '';
		onchange();
	}
</script>

<details class="small">
	<summary>{plural(quotes.length, 'price')} seen</summary>
	<ul>
		{#each quotes as seen (seen.id)}
			<li class={seen.id === counts ? 'font-semibold' : ''}>
				{fixed(pricePerKgOf(seen), 2)}
				{seen.currency} per kg, {QUOTE_KIND_WORDS[seen.kind]}, {day(seen.seenAt)}{seen.id === counts ? ': this one counts' : ''}
				<button type="button" class="link font-normal" onclick={() => ((chosen = seen.id), form.clear())}>wrong?</button>
				{#if chosen === seen.id}
					<FormShell class="space-y-1 py-1 font-normal" problem={form.problem} onsubmit={strike}>
						<Field
							id="quote-reason"
							path="reason"
							label="Why"
							bind:value={reason}
							errors={form.errors}
							placeholder="price of another spool"
						/>
						<Button type="submit" size="xs" color="alternative">Mark invalid</Button>
						<button type="button" class="link" onclick={() => (chosen = null)}>leave it</button>
					</FormShell>
				{/if}
			</li>
		{/each}
	</ul>
</details>
