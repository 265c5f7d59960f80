<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { SAID_EVENTS } from '$lib/core/closed-lists';
	import type { SpoolEvent } from '$lib/core/evidence/event';
	import { Button } from 'flowbite-svelte';
	import { untrack } from 'svelte';
	import Choice from '../form/Choice.svelte';
	import FormProblem from '../form/FormProblem.svelte';
	import { Form } from '../form/form.svelte';
	import { When } from '../form/when.svelte';
	import WhenField from '../form/WhenField.svelte';
	import { choices, SAID_EVENT_WORDS } from '../words/closed-lists';
	import { dayAndTime, upTo } from '../words/numbers';

	let { spoolId, events }: { spoolId: string; events: SpoolEvent[] } = $props();
	let kind = $state<(typeof SAID_EVENTS)[number] | null>(null);
	const when = new When();
	const form = new Form({ fields: ['kind'], when });
	/** What is struck out is struck out now, whenever it was said to happen. */
	const striking = new Form({ fields: [] });
	const counted = $derived(events.filter((e) => e.status === 'counts'));
	const dryings = $derived(counted.filter((e) => e.kind === 'dried'));
	const said = $derived(counted.flatMap((e) => SAID_EVENTS.flatMap((k) => (k === e.kind ? [{ id: e.id, at: e.at, kind: k }] : []))));

	/** Open from the start where something stands in it; after that it is the tester's. */
	let open = $state(untrack(() => said.length > 0));

	async function strikeOut(targetId: string): Promise<void> {
		const sent = await striking.send('amendments', { targetKind: 'event', targetId, action: 'exclude', reason: 'did not happen' });
		if (sent.ok) await invalidateAll();
	}
	async function add(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const sent = await form.send('events', { spoolId, kind });
		if (!sent.ok) return;
		kind = null;
		await invalidateAll();
	}
</script>

{#snippet line(id: string, text: string)}
	<li>{text} <button type="button" class="link text-[0.9rem]" onclick={() => void strikeOut(id)}>did not happen</button></li>
{/snippet}

<FormProblem title={form.problem || striking.problem} />
{#if dryings.length}
	<section aria-label="Dryings">
		<h2 class="mb-1 font-semibold">Dryings</h2>
		<ul>
			{#each dryings as e (e.id)}
				{@render line(
					e.id,
					`${dayAndTime(e.at)}${
						e.drying
							? `: ${e.drying.dryer ?? 'dryer'}, ${upTo(e.drying.setPointC, 0)} °C, ${upTo((e.at - e.drying.startedAt) / 3_600_000, 1)} h`
							: ': said with a print'
					}`
				)}
			{/each}
		</ul>
	</section>
{/if}
<details class="panel px-3 py-2" bind:open>
	<summary class="font-semibold">Something else happened to it</summary>
	<ul class="mt-1">
		{#each said as e (e.id)}{@render line(e.id, `${dayAndTime(e.at)}: ${SAID_EVENT_WORDS[e.kind]}`)}{/each}
	</ul>
	<form class="mt-1 space-y-2" onsubmit={add} novalidate>
		<Choice name="kind" legend="What happened" bind:value={kind} errors={form.errors} options={choices(SAID_EVENTS, SAID_EVENT_WORDS)} />
		<WhenField {when} id="happened" errors={form.errors} />
		<p class="small">What it lost between two weighings is then not taken for water.</p>
		<Button type="submit" size="xs" color="alternative" disabled={kind === null}>Save</Button>
	</form>
</details>
