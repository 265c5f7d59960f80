<script lang="ts">
	import { VERDICT_KINDS } from '$lib/core/record/lists/closed-lists';
	import { Button, Label } from 'flowbite-svelte';
	import TextArea from '$lib/ui/form/TextArea.svelte';
	import Choice from '../form/Choice.svelte';
	import Field from '../form/Field.svelte';
	import FormShell from '../form/FormShell.svelte';
	import { Form } from '../form/form.svelte';
	import { When } from '../form/when.svelte';
	import WhenField from '../form/WhenField.svelte';
	import { choices, VERDICT_WORDS } from '../../words/closed-lists';

	let { trialId, spools, ondone }: { trialId: string; spools: { id: string; code: string }[]; ondone: () => void } = $props();
	let spoolId = $state<string | null>(null);
	let kind = $state<(typeof VERDICT_KINDS)[number] | null>(null);
	let buyFor = $state('');
	let note = $state('');
	const when = new When();
	const form = new Form({ fields: ['buyFor'], when });

	async function submit(): Promise<void> {
		if (!spoolId || !kind) {
			form.refuse([], spoolId ? 'Choose the verdict first.' : 'Choose the spool first.');
			return;
		}
		const sent = await form.send('verdicts', {
			trialId,
			spoolId,
			kind,
			...(kind === 'buyFor' && buyFor.trim() ? { buyFor } : {}),
			...(note.trim() ? { note } : {})
		});
		if (!sent.ok) return;
		note = '';
		buyFor = '';
		kind = null;
		spoolId = null;
		ondone();
	}
</script>

<FormShell class="space-y-3" problem={form.problem} onsubmit={submit}>
	<Choice name="verdict-spool" legend="Spool" bind:value={spoolId} options={spools.map((s) => ({ value: s.id, label: s.code }))} />
	<Choice name="verdict-kind" legend="Verdict" bind:value={kind} options={choices(VERDICT_KINDS, VERDICT_WORDS)} />
	{#if kind === 'buyFor'}<Field
			id="buyFor"
			label="Buy it for"
			bind:value={buyFor}
			errors={form.errors}
			placeholder="brackets, not for knobs"
		/>{/if}
	<div>
		<Label for="verdict-note">Your reason</Label>
		<TextArea id="verdict-note" bind:value={note} />
	</div>
	<WhenField {when} id="verdict-when" errors={form.errors} what="decided" />
	<Button type="submit" size="sm">Save verdict</Button>
	<p class="small">A verdict keeps the findings of its day; later readings do not change it.</p>
</FormShell>
