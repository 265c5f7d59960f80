<script lang="ts">
	import { ODDITIES, type Oddity } from '$lib/core/stations/intake/station';
	import { Input } from 'flowbite-svelte';
	import { ODDITY_WORDS } from '../../words/oddities';

	/** Null: nothing said. An empty record: nothing odd. */
	let {
		odd = $bindable(),
		good = $bindable(),
		idPrefix
	}: { odd: Partial<Record<Oddity, string>> | null; good: string; idPrefix: string } = $props();

	function toggle(oddity: Oddity, on: boolean): void {
		const next = { ...(odd ?? {}) };
		if (on) next[oddity] = '';
		else delete next[oddity];
		odd = Object.keys(next).length === 0 ? null : next;
	}
</script>

<fieldset>
	<legend class="mb-1 text-[0.85rem] font-medium">Unboxing: anything wrong?</legend>
	<label
		class="panel mb-1.5 inline-flex items-center gap-2 px-2.5 py-1 font-semibold {odd && Object.keys(odd).length === 0
			? 'border-act bg-chosen'
			: ''}"
	>
		<input
			type="checkbox"
			class="size-4 rounded-sm"
			checked={odd !== null && Object.keys(odd).length === 0}
			onchange={(e) => (odd = e.currentTarget.checked ? {} : null)}
		/> Nothing wrong
	</label>
	<div class="grid gap-x-3 gap-y-1 sm:grid-cols-2">
		{#each ODDITIES as oddity (oddity)}
			{@const on = odd?.[oddity] !== undefined}
			<div class="flex min-h-8 items-center gap-2">
				<label class="flex w-28 shrink-0 items-center gap-2">
					<input
						type="checkbox"
						id="{idPrefix}-{oddity}"
						class="size-4 rounded-sm"
						checked={on}
						onchange={(e) => toggle(oddity, e.currentTarget.checked)}
					/>
					{ODDITY_WORDS[oddity].name}
				</label>
				{#if on && odd}
					<Input
						size="sm"
						class="py-1"
						aria-label="What is wrong with the {ODDITY_WORDS[oddity].name.toLowerCase()}"
						placeholder={ODDITY_WORDS[oddity].example}
						value={odd[oddity] ?? ''}
						oninput={(e) => (odd = { ...odd, [oddity]: (e.currentTarget as HTMLInputElement).value })}
					/>
				{/if}
			</div>
		{/each}
	</div>
	<label class="mt-1.5 flex flex-wrap items-center gap-2" for="{idPrefix}-good">
		<span class="w-28 shrink-0">Good points</span>
		<Input size="sm" id="{idPrefix}-good" class="max-w-md grow py-1" placeholder="wound neatly, bag closes again" bind:value={good} />
	</label>
</fieldset>
