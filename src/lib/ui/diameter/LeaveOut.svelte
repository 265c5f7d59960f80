<script lang="ts">
	import FormShell from '../form/FormShell.svelte';
	import { errorAt, fieldError } from '$lib/schemas/field-error';
	import type { LoggedStrand } from '$lib/core/record/evidence/log';
	import { Button } from 'flowbite-svelte';
	import Field from '../form/Field.svelte';
	import { Form } from '../form/form.svelte';
	import { upTo } from '../../words/numbers';
	import Problem from '../form/Problem.svelte';

	type Props = { log: LoggedStrand; looked: { fromM: number; toM: number } | null; onchange: () => void };
	let { log, looked, onchange }: Props = $props();
	let open = $state(false);
	let typed = $state({ from: '', to: '', reason: '' });
	const form = new Form();
	const errors = $derived(form.errors.map((e) => errorAt(FIELDS[e.path] ?? 'reason', e)));
	/** Where the server's words for a field stand here. */
	const FIELDS: Record<string, string> = {
		'range.fromM': 'from',
		'range.toM': 'to',
		range: 'to',
		to: 'to',
		from: 'from',
		reason: 'reason'
	};
	const metres = (text: string) => (/^\d+([.,]\d+)?$/.test(text.trim()) ? Number(text.replace(',', '.')) : null);

	function begin(): void {
		const part = looked ?? { fromM: log.summary.fromM, toM: Math.min(log.summary.toM, log.summary.fromM + 1) };
		typed = { from: upTo(part.fromM, 2), to: upTo(part.toM, 2), reason: '' };
		form.clear();
		open = true;
	}
	async function amend(body: object): Promise<boolean> {
		const sent = await form.send('amendments', { targetKind: 'log', targetId: log.id, ...body });
		if (sent.ok) onchange();
		return sent.ok;
	}
	async function leaveOut(): Promise<void> {
		const [fromM, toM] = [metres(typed.from), metres(typed.to)];
		if (fromM === null || toM === null) {
			form.refuse([fieldError(fromM === null ? 'from' : 'to', 'notANumber')]);
			return;
		}
		if (await amend({ action: 'exclude', range: { fromM, toM }, reason: typed.reason })) open = false;
	}
</script>

{#if form.problem}<Problem class="mt-1">{form.problem}</Problem>{/if}
{#each log.leftOut as part (part.amendmentId)}
	<p class="small mt-1">
		Left out: {upTo(part.fromM, 2)} to {upTo(part.toM, 2)} m, {part.reason}.
		<button type="button" class="link" onclick={() => void amend({ action: 'undo', undoesId: part.amendmentId })}>Restore</button>
	</p>
{/each}
{#if open}
	<FormShell class="panel mt-2 space-y-2 px-3 py-2" label="Exclude a part of the log" onsubmit={leaveOut}>
		<div class="grid grid-cols-[7rem_7rem_1fr] gap-3">
			<Field id="leave-from" path="from" label="From metre" bind:value={typed.from} {errors} inputmode="decimal" />
			<Field id="leave-to" path="to" label="to metre" bind:value={typed.to} {errors} inputmode="decimal" />
			<Field id="leave-reason" path="reason" label="Why" bind:value={typed.reason} {errors} placeholder="the gauge was touched" />
		</div>
		<Button type="submit" size="xs">Exclude it</Button>
		<button type="button" class="link text-[0.9rem]" onclick={() => (open = false)}>not now</button>
	</FormShell>
{:else}
	<button type="button" class="link text-[0.9rem]" onclick={begin}>Exclude a part{looked ? ' (what is shown)' : ''}</button>
{/if}
