<script lang="ts" generics="T extends string | number">
	import { fieldWords } from '$lib/words/refusals';
	import type { FieldError } from '$lib/schemas/field-error';
	import { Label, Select } from 'flowbite-svelte';
	import type { Snippet } from 'svelte';
	import Problem from './Problem.svelte';

	type Props = {
		id: string;
		label: string;
		value: T;
		errors?: readonly FieldError[];
		/** Path of this field in the errors; the id if not given. */
		path?: string;
		onchange?: () => void;
		class?: string;
		/** The options. */
		children: Snippet;
	};
	/** One of a list, with its label above and what is wrong with it below. */
	let { id, label, value = $bindable(), errors = [], path = id, onchange, class: extra = '', children }: Props = $props();
	const error = $derived(errors.find((e) => e.path === path));
</script>

<div class={extra}>
	<Label for={id}>{label}</Label>
	<Select
		{id}
		placeholder=""
		size="sm"
		bind:value
		{onchange}
		aria-invalid={error ? 'true' : undefined}
		aria-describedby={error ? `${id}-error` : undefined}
	>
		{@render children()}
	</Select>
	{#if error}<Problem live={false} id="{id}-error" class="mt-0.5 text-[0.85rem]">{fieldWords(label, error)}</Problem>{/if}
</div>
