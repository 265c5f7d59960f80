<script lang="ts">
	import FormShell from '../form/FormShell.svelte';
	import { invalidateAll } from '$app/navigation';
	import type { DryingRun } from '$lib/schemas/drying';
	import type { FieldError } from '$lib/schemas/field-error';
	import { Button } from 'flowbite-svelte';
	import { ChosenUnit } from '../form/chosen-unit.svelte';
	import Field from '../form/Field.svelte';
	import FormProblem from '../form/FormProblem.svelte';
	import { Form } from '../form/form.svelte';
	import { storedIn } from '../form/in-unit';
	import Problem from '../form/Problem.svelte';
	import UnitField from '../form/UnitField.svelte';
	import { When } from '../form/when.svelte';
	import WhenField from '../form/WhenField.svelte';
	import { dayAndTime } from '../../words/numbers';
	import { running } from './running.svelte';

	let { run }: { run: DryingRun } = $props();
	let open = $state(false);
	let setPoint = $state('');
	let reason = $state('');
	const [started, ended] = [new When(), new When()];
	const form = new Form({ fields: ['setPoint', 'startedAt', 'endedAt', 'reason'] });
	const undoing = new Form({ fields: [] });
	const name = $derived(`${run.dryer}, ${dayAndTime(run.startedAt)}`);
	const degrees = new ChosenUnit('temperature');
	const asNoted = $derived(storedIn(run.setPointC, degrees.unit, 'temperature'));
	/** Errors of one of the two times, as its field knows them. */
	const of = (path: string): FieldError[] => form.errors.flatMap((e) => (e.path === path ? [{ ...e, path: 'when' }] : []));

	function edit(): void {
		setPoint = asNoted;
		reason = '';
		started.backToNow();
		ended.backToNow();
		form.clear();
		open = true;
	}

	async function keep(): Promise<void> {
		const unread = [started.refusal('startedAt'), ended.refusal('endedAt')].flatMap((e) => e ?? []);
		if (unread.length > 0) return form.refuse(unread);
		const sent = await form.send('drying-facts', {
			runId: run.id,
			...(setPoint.trim() === asNoted ? {} : { setPoint }),
			...(started.isNow ? {} : { startedAt: started.moment().at }),
			...(ended.isNow ? {} : { endedAt: ended.moment().at }),
			reason
		});
		if (!sent.ok) return;
		open = false;
		await seeAnew();
	}

	async function undo(undoesId: string): Promise<void> {
		const sent = await undoing.send('amendments', { targetKind: 'dryingRun', targetId: run.id, action: 'undo', undoesId });
		if (sent.ok) await seeAnew();
	}

	async function seeAnew(): Promise<void> {
		await running.look();
		await invalidateAll();
	}
</script>

{#if open}
	<FormShell class="mt-1 max-w-xl space-y-2" label="Edit the drying {name}" onsubmit={keep}>
		<p class="small">What was noted first stays on record.</p>
		<FormProblem title={form.problem} />
		<UnitField
			id="{run.id}-setPoint"
			path="setPoint"
			label="Temperature"
			dimension="temperature"
			chosen={degrees}
			bind:value={setPoint}
			errors={form.errors}
			class="w-40"
		/>
		<WhenField when={started} id="{run.id}-started" errors={of('startedAt')} what="started" stands={dayAndTime(run.startedAt)} />
		{#if run.end}<WhenField when={ended} id="{run.id}-ended" errors={of('endedAt')} what="ended" stands={dayAndTime(run.end.at)} />{/if}
		<Field id="{run.id}-reason" path="reason" label="Why" bind:value={reason} errors={form.errors} placeholder="read the wrong clock" />
		<p class="flex items-center gap-3">
			<Button type="submit" size="xs">Correct it</Button>
			<button type="button" class="link" onclick={() => (open = false)}>cancel</button>
		</p>
	</FormShell>
{:else}
	<button type="button" class="link min-h-[26px] text-[0.9rem]" aria-label="edit {name}" onclick={edit}>edit</button>
	{#if run.corrected}
		{@const last = run.corrected}
		<span class="small"
			>corrected: {last.reason}
			<button type="button" class="link" aria-label="undo the correction of {name}" onclick={() => void undo(last.id)}>undo</button></span
		>
	{/if}
{/if}
{#if undoing.problem}<Problem>{undoing.problem}</Problem>{/if}
