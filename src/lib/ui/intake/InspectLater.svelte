<script lang="ts">
	import { goto, invalidateAll } from '$app/navigation';
	import type { Oddity } from '$lib/core/stations/intake/station';
	import { Button } from 'flowbite-svelte';
	import { Form } from '../form/form.svelte';
	import FormShell from '../form/FormShell.svelte';
	import { When } from '../form/when.svelte';
	import WhenField from '../form/WhenField.svelte';
	import Unboxing from './Unboxing.svelte';

	/** A spool that is inspected after it was added; then the next one that nobody has looked at. */
	let { spoolId, unseen }: { spoolId: string; unseen: readonly string[] } = $props();
	let odd = $state<Partial<Record<Oddity, string>> | null>(null);
	let good = $state('');
	const looked = new When();
	const form = new Form({ fields: [], when: looked });
	const nothing = $derived(odd === null && !good.trim());

	async function keep(): Promise<void> {
		if (nothing) return;
		const sent = await form.send('unboxings', {
			spoolId,
			...(odd === null ? {} : Object.keys(odd).length === 0 ? { nothingOdd: true } : { odd }),
			...(good.trim() ? { good } : {})
		});
		if (!sent.ok) return;
		odd = null;
		good = '';
		await invalidateAll();
		const following = unseen.find((s) => s !== spoolId);
		await goto(`?${following ? `spool=${following}` : ''}`, { keepFocus: true, noScroll: true });
	}
</script>

<FormShell class="mt-2 space-y-2" problem={form.problem} onsubmit={keep}>
	<Unboxing bind:odd bind:good idPrefix="later" />
	<WhenField when={looked} id="looked" errors={form.errors} />
	<Button type="submit" size="xs" disabled={nothing}>Save</Button>
</FormShell>
