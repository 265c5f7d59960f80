<script lang="ts" generics="T extends string">
	import ChosenIcon from './ChosenIcon.svelte';

	type Props = { name: string; legend: string; options: readonly { value: T; label: string }[]; chosen: T[] };
	let { name, legend, options, chosen = $bindable() }: Props = $props();
	const toggle = (value: T, on: boolean) => (chosen = options.map((o) => o.value).filter((v) => (v === value ? on : chosen.includes(v))));
</script>

<!-- Any of these, or none: checkboxes drawn as one row. -->
<fieldset>
	<legend class="mb-0.5 text-[0.85rem] font-medium">{legend}</legend>
	<div class="flex flex-wrap gap-1">
		{#each options as option (option.value)}
			<label
				class="panel inline-flex cursor-pointer items-center px-2.5 py-1 text-[0.93rem] focus-within:outline-2 focus-within:outline-offset-1 focus-within:outline-act-ink {chosen.includes(
					option.value
				)
					? 'border-act bg-chosen font-semibold'
					: ''}"
			>
				<input
					type="checkbox"
					class="sr-only"
					{name}
					checked={chosen.includes(option.value)}
					onchange={(e) => toggle(option.value, e.currentTarget.checked)}
				/>
				{#if chosen.includes(option.value)}<ChosenIcon />
				{/if}{option.label}
			</label>
		{/each}
	</div>
</fieldset>
