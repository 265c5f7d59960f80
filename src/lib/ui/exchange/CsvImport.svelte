<script lang="ts">
	import { refusalWords } from '$lib/words/refusals';
	import { invalidateAll } from '$app/navigation';
	import { Button, Select } from 'flowbite-svelte';
	import { Form } from '../form/form.svelte';
	import { zoneHere } from '../form/send';
	import { plural } from '../../words/numbers';
	import Problem from '../form/Problem.svelte';
	import HarmIcon from '../form/HarmIcon.svelte';

	type Column = { name: string; kind: string; required: boolean; of: string | null; words: readonly string[] | null };
	type Table = { name: string; about: string; reveals: boolean; columns: Column[] };
	let { tables }: { tables: Table[] } = $props();
	type Preview = { table: string; rows: number; fresh: number; known: number; applied: boolean };

	let table = $state('readings');
	let text = $state('');
	let file = $state('');
	let looked = $state.raw<Preview | null>(null);
	const form = new Form({ supersedes: true });
	const chosen = $derived(tables.find((t) => t.name === table));
	const KIND_WORDS: Record<string, string> = {
		id: 'id',
		text: 'words',
		number: 'number',
		whole: 'whole number',
		yesNo: 'yes or no',
		moment: 'date and time',
		json: 'JSON'
	};

	/** Which way round dates are written here. */
	const dayFirst = Intl.DateTimeFormat().resolvedOptions().locale !== 'en-US';
	const EXAMPLE = dayFirst ? '27/11/2026 14:30, 27.11.2026 14:30 or 2026-11-27 14:30' : '11/27/2026 2:30 PM or 2026-11-27 14:30';

	function fresh(): void {
		looked = null;
		form.clear();
	}
	async function pickFile(event: Event & { currentTarget: HTMLInputElement }): Promise<void> {
		const [one] = event.currentTarget.files ?? [];
		fresh();
		file = one?.name ?? '';
		text = one ? await one.text() : '';
		// A file of ours says by its name which table it is.
		const named = /^draught-([a-z-]+?)(?: \(\d+\))?\.csv$/.exec(file)?.[1];
		if (named && tables.some((t) => t.name === named)) table = named;
		if (text) await look(false);
	}
	async function look(apply: boolean): Promise<void> {
		const sent = await form.send<Preview>('csv-imports', { table, text, apply, dayFirst });
		// After a lost answer the same button is pressed again.
		if (!form.unknown) looked = sent.ok ? sent.answer : null;
		if (sent.ok && apply) await invalidateAll();
	}
	/** "rows.17.value" as a person says it. */
	const where = (path: string) => {
		const [head, row, column] = path.split('.');
		return head === 'rows' && row ? `Row ${row}${column ? `, ${column}` : ''}` : 'The file';
	};
</script>

<section class="panel space-y-3 px-4 py-3" aria-label="Table in">
	<h2 class="font-semibold">Import a table</h2>
	<p class="small">
		Preview first. All rows or none are stored. What is here already stays as it is. Comma, semicolon or tab; the first row names the
		columns.
	</p>
	<div class="flex flex-wrap items-end gap-4">
		<label class="text-[0.85rem] font-medium"
			>Table
			<Select placeholder="" size="sm" class="block" bind:value={table} onchange={() => (fresh(), text && void look(false))}>
				{#each tables as t (t.name)}<option value={t.name}>{t.name}</option>{/each}
			</Select></label
		>
		<label class="text-[0.85rem] font-medium"
			>File
			<input type="file" accept=".csv,.tsv,.txt,text/csv" class="file-field" onchange={(e) => void pickFile(e)} /></label
		>
	</div>
	<details>
		<summary class="small">or paste the text</summary>
		<textarea
			class="mt-1 w-full rounded border bg-panel p-2 font-mono text-[0.85rem]"
			rows="5"
			aria-label="Text of the table"
			bind:value={text}
			oninput={fresh}></textarea>
		<Button type="button" size="xs" color="alternative" disabled={text.trim() === '' || form.busy} onclick={() => void look(false)}
			>Preview</Button
		>
	</details>
	<div aria-live="polite" class="space-y-2">
		{#if form.busy}<p>Looking …</p>{/if}
		{#if looked && !looked.applied}
			<p>
				<strong>{plural(looked.fresh, 'new row')}</strong>, no errors{looked.known > 0 ? `; ${looked.known} already here` : ''}.
				{#if looked.fresh > 0}<Button type="button" size="sm" class="ml-2 " onclick={() => void look(true)}
						>Import {plural(looked.fresh, 'row')}</Button
					>{/if}
			</p>
		{:else if looked}
			<p class="font-semibold">Saved: {plural(looked.fresh, 'row')} new in {looked.table}.</p>
		{/if}
		{#if form.unknown}
			<Problem>{form.problem}</Problem>
		{:else if form.problem || form.errors.length}
			<div class="border-l-[3px] border-harm px-3 py-1" role="alert">
				<p class="text-harm"><HarmIcon /> {file || 'The file'} was not imported; nothing was stored.</p>
				<ul class="mt-1 max-h-56 overflow-y-auto">
					{#each form.errors as e, i (i)}<li><strong>{where(e.path)}</strong> {refusalWords(e)}</li>{:else}<li>{form.problem}</li>{/each}
				</ul>
			</div>
		{/if}
	</div>
	{#if chosen}
		<p class="small"><strong>{chosen.name}</strong>: {chosen.about}.</p>
		<details>
			<summary class="small">The header of {chosen.name}</summary>
			<table class="mt-1 text-left text-[0.9rem]">
				<thead><tr class="border-b"><th class="pr-4">Column</th><th class="pr-4">Holds</th><th>Must be filled</th></tr></thead>
				<tbody>
					{#each chosen.columns as c (c.name)}
						<tr class="border-b"
							><td class="pr-4 font-mono text-[0.85rem]">{c.name}</td><td class="pr-4"
								>{c.words ? `one of: ${c.words.join(', ')}` : KIND_WORDS[c.kind]}{c.of
									? ` of ${c.of}${['spools', 'makers', 'instruments', 'printers', 'dryers'].includes(c.of) ? ', or its code or name' : ''}`
									: ''}</td
							><td>{c.required ? 'yes' : ''}</td></tr
						>
					{/each}
				</tbody>
			</table>
			<p class="small mt-1">
				Left empty: an id is made, the moment it comes in is noted, a time without its offset is one of this computer’s zone ({zoneHere()})
				and is read as {EXAMPLE}; a date alone counts as noon. Of a reading, value and unit follow from what was typed.
			</p>
		</details>
	{/if}
</section>
