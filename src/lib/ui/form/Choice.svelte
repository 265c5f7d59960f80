<script lang="ts" generics="T extends string">
	import { fieldWords } from '$lib/words/refusals';
	import type { FieldError } from '$lib/schemas/field-error';
	import Problem from './Problem.svelte';
	import ChosenIcon from './ChosenIcon.svelte';

	type Props = {
		name: string;
		legend: string;
		options: readonly { value: T; label: string }[];
		value: T | null;
		errors?: readonly FieldError[];
		path?: string;
		onchange?: (value: T) => void;
	};
	let { name, legend, options, value = $bindable(), errors = [], path = name, onchange }: Props = $props();
	const error = $derived(errors.find((e) => e.path === path));
</script>

<!-- Radio buttons drawn as one row: arrow keys move, the chosen one is filled and ticked. -->
<fieldset aria-describedby={error ? `${name}-error` : undefined}>
	<legend class="mb-0.5 text-[0.85rem] font-medium">{legend}</legend>
	<div class="flex flex-wrap gap-1">
		{#each options as option (option.value)}
			<label
				class="choice panel inline-flex cursor-pointer items-center px-2.5 py-1 text-[0.93rem] focus-within:outline-2 focus-within:outline-offset-1 focus-within:outline-act-ink {value ===
				option.value
					? 'border-act bg-chosen font-semibold'
					: ''}"
			>
				<input
					type="radio"
					class="sr-only"
					{name}
					value={option.value}
					checked={value === option.value}
					onchange={() => {
						value = option.value;
						onchange?.(option.value);
					}}
				/>
				{#if value === option.value}<ChosenIcon />
				{/if}{option.label}
			</label>
		{/each}
	</div>
	{#if error}<Problem live={false} id="{name}-error" class="mt-0.5 text-[0.85rem]">
			{fieldWords(legend, error)}
		</Problem>{/if}
</fieldset>
