<script lang="ts">
	import { Select } from 'flowbite-svelte';
	import { BEFORE } from '$lib/core/record/lists/closed-lists';
	import type { Reading } from '$lib/core/record/evidence/reading';
	import type { Instrument } from '$lib/core/record/evidence/instrument';
	import type { AccountInterval } from '$lib/core/stations/moisture/account';
	import type { Weighing } from '$lib/core/stations/moisture/weighings';
	import ReadingButton from '../bench/ReadingButton.svelte';
	import ReadingEditor from '../bench/ReadingEditor.svelte';
	import { Form } from '../form/form.svelte';
	import { dayAndTime, upTo } from '../../words/numbers';
	import { bareMass, massWords } from '../../words/units';
	import { BEFORE_WORDS } from '../../words/closed-lists';
	import Problem from '../form/Problem.svelte';

	type Props = {
		chain: Weighing[];
		intervals: AccountInterval[];
		readings: Reading[];
		waiting: ReadonlySet<string>;
		since: number;
		onsince: (index: number) => void;
		onchange: () => void;
		/** Scales that a weighing may really have been made on. */
		instruments: Instrument[];
	};
	let { chain, intervals, readings, waiting, since, onsince, onchange, instruments }: Props = $props();
	let editor = $state<ReadingEditor>();
	const form = new Form({ fields: [], supersedes: true });
	const signed = (g: number) => `${g > 0 ? '+' : ''}${massWords(g, 1)}`;
	const struck = $derived(readings.filter((r) => r.quantity === 'grossMass' && r.status === 'excluded'));

	async function sayBefore(id: string, before: string): Promise<void> {
		const sent = await form.send('amendments', {
			targetKind: 'reading',
			targetId: id,
			action: 'correct',
			before,
			reason: 'said at the bench what lay before'
		});
		if (sent.ok) onchange();
	}
</script>

{#snippet weighing(reading: Reading)}
	<ReadingButton {reading} waiting={waiting.has(reading.id)} edit={(chosen) => editor?.edit(chosen)} />
{/snippet}

<ReadingEditor bind:this={editor} {onchange} {instruments} />
<div class="relative overflow-x-auto">
	<table class="w-full text-left text-[0.93rem]">
		<caption class="sr-only">Weighings with what lay before each, and the water that came or went</caption>
		<thead>
			<tr class="border-b text-[0.85rem]">
				<th scope="col" class="py-1 pr-3 font-medium">Weighed</th>
				<th scope="col" class="pr-3 font-medium">Before it</th>
				<th scope="col" class="pr-3 text-right font-medium">Full spool</th>
				<th scope="col" class="pr-3 text-right font-medium">Water</th>
				<th scope="col" class="pr-3 text-right font-medium">Used</th>
				<th scope="col" class="font-medium">Count from</th>
			</tr>
		</thead>
		<tbody>
			{#each chain as w, i (w.id)}
				{@const interval = intervals[i - 1]}
				<tr class="border-b">
					<td class="min-w-[7rem] py-1 pr-3">{dayAndTime(w.at)}</td>
					<td class="pr-3">
						{#if w.before === null}
							{BEFORE_WORDS.first}
						{:else}
							<Select
								placeholder=""
								size="sm"
								classes={{ select: 'h-[26px] py-0 pr-7 pl-1.5 text-[0.9rem]' }}
								aria-label="Before the weighing of {massWords(w.grossG, 1, upTo)}"
								title={w.said ? 'set by you' : 'worked out from the record'}
								value={w.before}
								disabled={waiting.has(w.id)}
								onchange={(e) => void sayBefore(w.id, e.currentTarget.value)}
							>
								{#each BEFORE as before (before)}<option value={before}>{BEFORE_WORDS[before]}</option>{/each}
							</Select>{#if w.said}<span class="small"> set by you</span>{/if}
						{/if}
					</td>
					<td class="pr-3 text-right whitespace-nowrap"
						>{#each readings.filter((r) => r.id === w.id) as reading (reading.id)}{@render weighing(reading)}{/each}</td
					>
					<td class="pr-3 text-right whitespace-nowrap">
						{#if interval?.waterG != null}
							{#if interval.seen}<strong>{signed(interval.waterG)}</strong>{:else}<span class="text-muted"
									>not seen <span class="small">({signed(interval.waterG)})</span></span
								>{/if}
							<span class="small">±{bareMass(2 * interval.uG, 1)}</span>
						{:else if interval}<span class="small">filament used</span>{/if}
					</td>
					<td class="pr-3 text-right whitespace-nowrap">{interval?.usedG != null ? massWords(interval.usedG, 1) : ''}</td>
					<td>
						<label class="flex items-center gap-1"
							><input type="radio" name="since" checked={i === since} onchange={() => onsince(i)} /><span class="sr-only"
								>count from the weighing of {massWords(w.grossG, 1, upTo)}</span
							></label
						>
					</td>
				</tr>
			{/each}
		</tbody>
	</table>
</div>
{#if struck.length}
	<p class="small mt-1">
		Marked invalid: {#each struck as reading (reading.id)}{@render weighing(reading)}{/each}
	</p>
{/if}
{#if form.problem}<Problem>
		{form.problem}
		{#if form.unknown}<button type="button" class="link" onclick={() => void form.again().then((ok) => ok && onchange())}
				>Press again</button
			>{/if}
	</Problem>{/if}
