<script lang="ts">
	import { refusalWords } from '$lib/words/refusals';
	import { invalidateAll } from '$app/navigation';
	import { readPaste } from '$lib/core/stations/intake/read-paste';
	import type { FieldError } from '$lib/schemas/field-error';
	import { Button } from 'flowbite-svelte';
	import TextArea from '$lib/ui/form/TextArea.svelte';
	import { Form } from '../form/form.svelte';
	import { When } from '../form/when.svelte';
	import WhenField from '../form/WhenField.svelte';
	import FormProblem from '../form/FormProblem.svelte';
	import { plural } from '../../words/numbers';
	import { columnName } from './column-name';

	let { trialId, currency, ondone }: { trialId: string; currency: string; ondone: (count: number) => void } = $props();
	let text = $state('');
	/** Said once for all that the list says nothing else of. */
	let allFine = $state(false);
	const when = new When();
	const form = new Form({ fields: ['rows'], when });
	const paste = $derived(readPaste(text));
	const EXAMPLE = 'Material\tPrice\tFilament weight\tLabel temperature\tMaker\tProduct';
	const REASONS = {
		empty: 'Nothing pasted yet.',
		noHeader: 'The first row must name the columns; one of them must be “material”.',
		headerOnly: 'There is a heading but no spool under it.',
		tooLong: 'This is too long for a list of spools.'
	};
	const errorsOf = (row: number) => form.errors.filter((e) => e.path.startsWith(`rows.${row}.`));
	const fieldOf = (e: FieldError) => e.path.split('.').at(-1) ?? '';

	async function take(): Promise<void> {
		if (!paste.ok) return;
		const { rows } = paste;
		const sent = await form.send<unknown[]>(
			'intake/list',
			({ inner, at, zone }) => ({
				trialId,
				rows: rows.map(({ quantity, nothingOdd, ...rest }, i) => ({
					id: inner[i],
					at,
					zone,
					currency,
					...rest,
					...(quantity ? { quantity: Number(quantity) } : {}),
					...(nothingOdd || allFine ? { nothingOdd: true } : {})
				}))
			}),
			rows.length
		);
		if (!sent.ok) return;
		const count = rows.length;
		text = '';
		await invalidateAll();
		ondone(count);
	}
</script>

<section class="space-y-2">
	<label for="paste" class="text-[0.85rem] font-medium">Rows from a spreadsheet, headings first</label>
	<TextArea id="paste" rows={5} class="font-mono text-[0.85rem]" bind:value={text} oninput={() => form.clear()} placeholder={EXAMPLE} />
	<FormProblem title={form.errors.length ? `Nothing was added: ${plural(form.errors.length, 'thing')} to put right.` : form.problem} />
	{#if paste.ok}
		<div class="panel relative max-h-72 overflow-auto">
			<table class="w-full text-left text-[0.9rem]">
				<thead
					><tr class="border-b"
						><th class="px-2 py-1">Row</th>{#each paste.fields as field (field)}<th class="px-2 py-1">{columnName(field)}</th>{/each}<th
							class="px-2 py-1">To put right</th
						></tr
					></thead
				>
				<tbody>
					{#each paste.rows as row, i (i)}
						{@const wrong = errorsOf(i)}
						<tr class="border-b {wrong.length ? 'bg-question' : ''}">
							<td class="px-2 py-0.5">{i + 1}</td>
							{#each paste.fields as field (field)}
								<td class="px-2 py-0.5 {wrong.some((e) => fieldOf(e) === field) ? 'font-bold text-harm' : ''}">{row[field] ?? ''}</td>
							{/each}
							<td class="px-2 py-0.5 text-harm">{wrong.map((e) => `${columnName(fieldOf(e))} ${refusalWords(e)}`).join('; ')}</td>
						</tr>
					{/each}
				</tbody>
			</table>
		</div>
		{#if paste.ignored.length}<p class="small">Ignored columns: {paste.ignored.join(', ')}.</p>{/if}
		<label class="flex min-h-[26px] items-center gap-1.5"
			><input type="checkbox" bind:checked={allFine} /> Nothing wrong with any of them at unboxing</label
		>
		<WhenField {when} errors={form.errors} what="opened" />
		<Button type="button" disabled={form.busy} onclick={() => void take()}>Add {plural(paste.rows.length, 'spool')}</Button>
	{:else}
		<p class="small" role="status">{REASONS[paste.reason]} Known headings: {paste.known.map(columnName).join(', ')}.</p>
	{/if}
</section>
