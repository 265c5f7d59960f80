<script lang="ts">
	import FormShell from './FormShell.svelte';
	import { refusalWords } from '$lib/words/refusals';
	import { Button, Label } from 'flowbite-svelte';
	import TextArea from '$lib/ui/form/TextArea.svelte';
	import { Form } from './form.svelte';
	import { When } from './when.svelte';
	import WhenField from './WhenField.svelte';
	import Problem from './Problem.svelte';

	type Props = {
		targetKind: 'attempt' | 'reading' | 'specimen' | 'spool';
		targetId: string;
		notes?: { text: string }[];
		ondone: () => void;
	};
	let { targetKind, targetId, notes = [], ondone }: Props = $props();
	let text = $state('');
	const when = new When();
	const form = new Form({ when });
	const refused = $derived(form.errors.find((e) => e.path === 'text'));
	const problem = $derived(refused ? refusalWords(refused) : form.problem);

	async function keep(): Promise<void> {
		if (!(await form.send('notes', { targetKind, targetId, text })).ok) return;
		text = '';
		ondone();
	}
</script>

<FormShell class="space-y-2" onsubmit={keep}>
	{#each notes as note, i (i)}<p class="border-b pb-1 italic">{note.text}</p>{/each}
	<Label for="note-{targetId}">Note</Label>
	<TextArea
		id="note-{targetId}"
		bind:value={text}
		aria-invalid={problem ? 'true' : undefined}
		aria-describedby={problem ? `note-error-${targetId}` : undefined}
	/>
	{#if problem}<Problem live={false} id="note-error-{targetId}">{problem}</Problem>{/if}
	<WhenField {when} id="note-when-{targetId}" errors={form.errors} />
	<Button type="submit" size="xs" color="alternative">Save note</Button>
</FormShell>
