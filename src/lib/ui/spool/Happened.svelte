<script lang="ts">
	import SelectField from '../form/SelectField.svelte';
	import FormShell from '../form/FormShell.svelte';
	import { invalidateAll } from '$app/navigation';
	import { SAID_EVENTS } from '$lib/core/record/lists/closed-lists';
	import type { SpoolEvent } from '$lib/core/record/evidence/event';
	import { Button } from 'flowbite-svelte';
	import { untrack } from 'svelte';
	import Choice from '../form/Choice.svelte';
	import Field from '../form/Field.svelte';
	import FormProblem from '../form/FormProblem.svelte';
	import { Form } from '../form/form.svelte';
	import { When } from '../form/when.svelte';
	import WhenField from '../form/WhenField.svelte';
	import { choices, CONDITION_WORDS, SAID_EVENT_WORDS } from '../../words/closed-lists';
	import { dayAndTime, upTo } from '../../words/numbers';
	import { dryingWords } from '../../words/dryers';

	let { spoolId, events }: { spoolId: string; events: SpoolEvent[] } = $props();
	let kind = $state<(typeof SAID_EVENTS)[number] | null>(null);
	const fresh = () => ({ portionId: '', portion: '', humidityPct: '', hours: '' });
	/** What is asked of some kinds only, as typed. */
	let details = $state(fresh());
	const when = new When();
	const form = new Form({ fields: ['kind', 'portion', 'humidityPct', 'hours'], when });
	/** What is marked invalid is marked invalid now, whenever it was said to happen. */
	const striking = new Form({ fields: [] });
	const counted = $derived(events.filter((e) => e.status === 'counts'));
	const portions = $derived(counted.filter((e) => e.portion !== null));
	const dryings = $derived(counted.filter((e) => e.kind === 'dried'));
	const said = $derived(
		counted.flatMap((e) =>
			SAID_EVENTS.flatMap((k) => (k === e.kind ? [{ id: e.id, text: `${dayAndTime(e.at)}: ${eventWords(e, k)}` }] : []))
		)
	);

	/** Open from the start where something stands in it; after that it is the tester's. */
	let open = $state(untrack(() => said.length > 0));

	function eventWords(e: SpoolEvent, k: (typeof SAID_EVENTS)[number]): string {
		const of = portions.find((p) => p.id === e.portionId)?.portion;
		return [
			e.portion === null ? SAID_EVENT_WORDS[k] : `portion ${e.portion} cut off`,
			of ? `portion ${of}` : null,
			e.hours === null ? null : `${upTo(e.hours, 1)} h`,
			e.humidityPct === null ? null : `${upTo(e.humidityPct, 0)} % RH`
		]
			.filter(Boolean)
			.join(', ');
	}
	/** A number with comma or point; what is none goes on as text, to be refused at its field. */
	const numberOf = (text: string) => {
		const value = Number(text.trim().replace(',', '.'));
		return Number.isFinite(value) ? value : text;
	};

	async function strikeOut(targetId: string): Promise<void> {
		const sent = await striking.send('amendments', { targetKind: 'event', targetId, action: 'exclude', reason: 'did not happen' });
		if (sent.ok) await invalidateAll();
	}
	async function add(): Promise<void> {
		const sent = await form.send('events', {
			spoolId,
			kind,
			...(details.portionId ? { portionId: details.portionId } : {}),
			...(kind === 'cutOff' && details.portion.trim() ? { portion: details.portion } : {}),
			...(kind === 'exposed' && details.humidityPct.trim() ? { humidityPct: numberOf(details.humidityPct) } : {}),
			...(kind === 'soaked' && details.hours.trim() ? { hours: numberOf(details.hours) } : {})
		});
		if (!sent.ok) return;
		kind = null;
		details = fresh();
		await invalidateAll();
	}
</script>

{#snippet line(id: string, text: string, undo: string)}
	<li>{text} <button type="button" class="link text-[0.9rem]" onclick={() => void strikeOut(id)}>{undo}</button></li>
{/snippet}

<FormProblem title={form.problem || striking.problem} />
{#if dryings.length}
	<section aria-label="Dryings">
		<h2 class="mb-1 font-semibold">Dryings</h2>
		<ul>
			{#each dryings as e (e.id)}
				{@render line(e.id, `${dayAndTime(e.at)}: ${dryingWords(e.drying, e.at)}`, 'undo this drying')}
			{/each}
		</ul>
	</section>
{/if}
<details class="panel px-3 py-2" bind:open>
	<summary class="font-semibold">Something else happened to it</summary>
	<ul class="mt-1">
		{#each said as e (e.id)}{@render line(e.id, e.text, 'mark invalid')}{/each}
	</ul>
	<FormShell class="mt-1 space-y-2" onsubmit={add}>
		<Choice name="kind" legend="What happened" bind:value={kind} errors={form.errors} options={choices(SAID_EVENTS, SAID_EVENT_WORDS)} />
		{#if kind === 'exposed'}
			<Field
				id="humidityPct"
				label="Humidity there, % (optional)"
				bind:value={details.humidityPct}
				errors={form.errors}
				inputmode="decimal"
				class="w-44"
			/>
		{:else if kind === 'soaked'}
			<Field
				id="hours"
				label="For how many hours (optional)"
				bind:value={details.hours}
				errors={form.errors}
				inputmode="decimal"
				class="w-44"
			/>
		{:else if kind === 'cutOff'}
			<Field
				id="portion"
				label="Name of the portion, if you print from it"
				bind:value={details.portion}
				errors={form.errors}
				placeholder="A"
				class="w-60"
			/>
		{/if}
		{#if portions.length > 0 && kind !== 'cutOff'}
			<SelectField id="happened-to" label="It happened to" bind:value={details.portionId}>
				<option value="">the spool itself</option>
				{#each portions as portion (portion.id)}<option value={portion.id}>portion {portion.portion}</option>{/each}
			</SelectField>
		{/if}
		<WhenField {when} id="happened" errors={form.errors} />
		<p class="small">
			{#if kind === 'stored'}It stays as dry as it is until it is left in the open.
			{:else if kind === 'exposed' || kind === 'soaked'}Prints from then on count as {CONDITION_WORDS[kind]}.
			{:else}Then the loss between two weighings is not counted as water.{/if}
		</p>
		<Button type="submit" size="xs" color="alternative" disabled={kind === null}>Save</Button>
	</FormShell>
</details>
