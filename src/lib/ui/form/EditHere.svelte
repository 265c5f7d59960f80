<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import type { Snippet } from 'svelte';
	import FormShell from './FormShell.svelte';

	type Props = {
		/** What is put right here, by its name. */
		name: string;
		problem: string;
		/** Called as it unfolds: the form shows what stands now. */
		begin: () => void;
		/** Sends what was changed; whether it is kept. */
		save: () => Promise<boolean>;
		/** The fields. */
		children: Snippet;
	};
	let { name, problem, begin, save, children }: Props = $props();
	let open = $state(false);
</script>

<!-- Something of a list that is put right in its place: a word that unfolds a form, and folds it when it is saved. -->
{#if open}
	<FormShell
		class="my-1 space-y-2"
		label="Edit {name}"
		{problem}
		onsubmit={async () => {
			if (await save()) open = false;
		}}
	>
		{@render children()}
		<p class="flex items-center gap-3">
			<Button type="submit" size="xs">Save</Button>
			<button type="button" class="link" onclick={() => (open = false)}>Cancel</button>
		</p>
	</FormShell>
{:else}
	<button
		type="button"
		class="link mr-3 min-h-[26px] text-[0.9rem]"
		aria-label="edit {name}"
		onclick={() => {
			begin();
			open = true;
		}}>edit</button
	>
{/if}
