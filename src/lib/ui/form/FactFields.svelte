<script lang="ts">
	import type { FactEntries, FactEntry } from '$lib/core/record/facts/fact-entry';
	import type { FieldError } from '$lib/schemas/field-error';
	import type { FactWord } from '$lib/words/facts';
	import { Label } from 'flowbite-svelte';
	import { ChosenUnit } from './chosen-unit.svelte';
	import Choice from './Choice.svelte';
	import { type TypedFacts } from '$lib/core/record/facts/typed-facts';
	import Field from './Field.svelte';
	import UnitField from './UnitField.svelte';

	type Props = {
		entries: FactEntries;
		words: Readonly<Record<string, FactWord>>;
		typed: TypedFacts;
		errors: readonly FieldError[];
		/** Keeps ids apart where a page asks twice. */
		prefix?: string;
		/** What stands, told beside a choice that is made anew. */
		stands?: Readonly<Record<string, unknown>>;
		/** Only some of them, where a page has the others elsewhere. */
		only?: readonly FactEntry['kind'][];
		/** Temperatures with units to tap. */
		units?: boolean;
		fieldClass?: string;
	};
	let { entries, words, typed = $bindable(), errors, prefix = '', stands, only, units = false, fieldClass = '' }: Props = $props();
	const degrees = new ChosenUnit('temperature');
	const shown = $derived(
		Object.entries(entries).flatMap(([name, entry]) => {
			const word = words[name];
			if (!word || (only && !only.includes(entry.kind))) return [];
			return [{ name, entry, word, path: entry.kind === 'measure' ? entry.typedAs : name }];
		})
	);
	const text = (path: string): string => String(typed[path] ?? '');
	function say(path: string, value: string | boolean | null): void {
		typed[path] = value;
	}
	const told = (name: string): string => {
		const value = stands?.[name];
		return typeof value === 'string' ? value : '';
	};
	const now = (name: string, word: FactWord): string => {
		const value = told(name);
		return value ? ` (now ${word.words?.[value] ?? value})` : '';
	};
</script>

{#each shown as { name, entry, word, path } (name)}
	{@const id = `${prefix}${path}`}
	{#if entry.kind === 'choice'}
		<Choice
			name={id}
			{path}
			legend="{word.label}{now(name, word)}"
			{errors}
			bind:value={() => (text(path) === '' ? null : text(path)), (value) => say(path, value)}
			options={entry.of.map((value) => ({ value, label: word.words?.[value] ?? value }))}
		/>
	{:else if entry.kind === 'yesNo'}
		<label class="flex min-h-[26px] items-center gap-1.5">
			<input type="checkbox" bind:checked={() => typed[path] === true, (value) => say(path, value)} />
			{word.label}
		</label>
	{:else if entry.kind === 'colour'}
		<div>
			<Label for={id}>{word.label}</Label>
			<input
				{id}
				type="color"
				class="h-[34px] w-11 rounded border bg-panel"
				value={text(path) || told(name) || '#888888'}
				oninput={(e) => say(path, e.currentTarget.value)}
			/>
		</div>
	{:else if entry.kind === 'measure' && units && entry.dimension === 'temperature'}
		<UnitField
			{id}
			{path}
			label={word.label}
			dimension="temperature"
			chosen={degrees}
			bind:value={() => text(path), (value) => say(path, value)}
			{errors}
			placeholder={word.example}
			class={fieldClass}
		/>
	{:else}
		<Field
			{id}
			{path}
			label={word.label}
			bind:value={() => text(path), (value) => say(path, value)}
			{errors}
			placeholder={word.example}
			class={fieldClass}
		/>
	{/if}
{/each}
