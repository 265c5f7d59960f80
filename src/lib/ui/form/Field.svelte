<script lang="ts">
	import { fieldWords } from '$lib/words/refusals';
	import type { FieldError } from '$lib/schemas/field-error';
	import { Input, Label } from 'flowbite-svelte';
	import type { HTMLInputAttributes } from 'svelte/elements';
	import Problem from './Problem.svelte';

	type Props = {
		id: string;
		label: string;
		value: string;
		errors: readonly FieldError[];
		/** Path of this field in the errors; the id if not given. */
		path?: string;
		hint?: string;
		list?: string[];
		required?: boolean;
		/** What is said where nothing was typed; that it is missing if not given. */
		missing?: string;
		inputmode?: HTMLInputAttributes['inputmode'];
		placeholder?: string;
		class?: string;
	};
	let {
		id,
		label,
		value = $bindable(),
		errors,
		path = id,
		hint,
		list,
		required = false,
		missing,
		inputmode,
		placeholder,
		class: extra = ''
	}: Props = $props();
	const error = $derived(errors.find((e) => e.path === path));
</script>

<div class={extra}>
	<Label for={id}>{label}</Label>
	<Input
		{id}
		bind:value
		{inputmode}
		{placeholder}
		size="sm"
		autocomplete="off"
		list={list ? `${id}-list` : undefined}
		aria-required={required}
		aria-invalid={error ? 'true' : undefined}
		aria-describedby={error ? `${id}-error` : hint ? `${id}-hint` : undefined}
		class={error ? 'border-harm dark:border-harm' : ''}
	/>
	{#if list}
		<datalist id="{id}-list">
			{#each list as option (option)}<option value={option}></option>{/each}
		</datalist>
	{/if}
	{#if error}
		<Problem live={false} id="{id}-error" class="mt-0.5 text-[0.85rem]">
			{missing && error.code === 'missing' ? missing : fieldWords(label, error)}
			{#if error.suggestion}
				<button type="button" class="link" onclick={() => (value = error.suggestion ?? value)}>Use {error.suggestion}</button>
			{/if}
		</Problem>
	{:else if hint}
		<p id="{id}-hint" class="small mt-0.5">{hint}</p>
	{/if}
</div>
