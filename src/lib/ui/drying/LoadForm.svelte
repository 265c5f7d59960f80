<script lang="ts">
	import FormShell from '../form/FormShell.svelte';
	import { invalidateAll } from '$app/navigation';
	import type { SpoolEvidence } from '$lib/core/record/evidence/spool-evidence';
	import type { MaterialFigures } from '$lib/core/judging/handbook/figures';
	import { judgeSetPoint, loadLimit } from '$lib/core/stations/drying/set-point';
	import { weighings } from '$lib/core/stations/moisture/weighings';
	import { readQuantityText } from '$lib/core/kernel/units/quantity-text';
	import { Button, Select } from 'flowbite-svelte';
	import { onMount } from 'svelte';
	import { SvelteSet } from 'svelte/reactivity';
	import { clock } from '../form/clock';
	import AddHere from '../workshop/AddHere.svelte';
	import Field from '../form/Field.svelte';
	import UnitField from '../form/UnitField.svelte';
	import { storedIn } from '../form/in-unit';
	import { ChosenUnit } from '../form/chosen-unit.svelte';
	import { focusFirst } from '../form/focus-first';
	import FormProblem from '../form/FormProblem.svelte';
	import { Form } from '../form/form.svelte';
	import { When } from '../form/when.svelte';
	import WhenField from '../form/WhenField.svelte';
	import Sliver from '../figures/Sliver.svelte';
	import { dayAndTime, upTo } from '../../words/numbers';
	import { temperatureWords } from '../../words/units';
	import Term from '../help/Term.svelte';
	import { offered } from '../form/offered';
	import { running } from './running.svelte';
	import Problem from '../form/Problem.svelte';

	type Dryer = { id: string; name: string; setPointLowC: number | null; setPointHighC: number | null; archived: boolean };
	type Props = { trialId: string; evidence: SpoolEvidence[]; dryers: Dryer[]; handbook: MaterialFigures[]; wanted: string | null };
	let { trialId, evidence, dryers, handbook, wanted }: Props = $props();

	const inDryer = $derived(new Set(running.runs.flatMap((r) => r.spools.map((s) => s.id))));
	// svelte-ignore state_referenced_locally
	const chosen = new SvelteSet<string>(wanted ? [wanted] : []);
	// svelte-ignore state_referenced_locally
	let dryerId = $state(offered(dryers).at(-1)?.id ?? '');
	let typedSetPoint = $state<string | null>(null);
	let typedDuration = $state<string | null>(null);
	let accepted = $state(false);
	const when = new When();
	const form = new Form({ fields: ['setPoint', 'duration'], when });
	let said = $state('');

	const load = $derived(evidence.filter((e) => chosen.has(e.spool.id) && !inDryer.has(e.spool.id)));
	const materials = $derived([...new Set(load.map((e) => e.spool.material))]);
	const limit = $derived(loadLimit(materials, handbook));
	const dryer = $derived(dryers.find((d) => d.id === dryerId));
	/** The lower limit of the load, and no more than the dryer reaches. */
	const proposedC = $derived(limit.dryingHighC === null ? null : Math.min(limit.dryingHighC, dryer?.setPointHighC ?? Infinity));
	const degrees = new ChosenUnit('temperature');
	const setPoint = $derived(typedSetPoint ?? (proposedC === null ? '' : storedIn(proposedC, degrees.unit, 'temperature')));
	const duration = $derived(typedDuration ?? (limit.hours === null ? '' : `${upTo(limit.hours, 1)} h`));
	const judged = $derived.by(() => {
		const read = readQuantityText(setPoint, 'temperature');
		return read.ok && materials.length > 0 ? judgeSetPoint(read.value, materials, handbook) : null;
	});
	/** When a run that was started before ended by its own time; null while it would still run. */
	const over = $derived.by(() => {
		const read = readQuantityText(duration, 'duration', 'h');
		if (when.isNow || when.refusal() || !read.ok) return null;
		const endedAt = when.at() + read.value * 60_000;
		return endedAt <= clock.now() ? endedAt : null;
	});
	const weighedNow = (e: SpoolEvidence) => {
		const last = weighings(e).at(-1);
		return last !== undefined && !e.attempts.some((a) => a.status === 'counts' && a.at > last.at);
	};

	let element = $state<HTMLFormElement>();
	// Which spools is said first.
	onMount(() => focusFirst(element?.querySelector<HTMLElement>('input:not(:disabled)')));

	async function start(): Promise<void> {
		said = '';
		const sent = await form.send<{ setPointC: number }>('drying-runs', {
			dryerId: dryerId || undefined,
			spoolIds: load.map((e) => e.spool.id),
			setPoint,
			duration,
			accepted,
			...(over === null ? {} : { endedAt: new Date(over).toISOString() })
		});
		if (!sent.ok) return;
		const what = `${load.map((e) => e.spool.code).join(', ')} at ${temperatureWords(sent.answer.setPointC)}`;
		said = over === null ? `Started: ${what}. The timer shows on every page.` : `Saved: ${what}, finished ${dayAndTime(over)}.`;
		chosen.clear();
		typedSetPoint = null;
		typedDuration = null;
		accepted = false;
		await running.look();
		await invalidateAll();
	}
</script>

<FormShell bind:element class="panel space-y-3 px-4 py-3" label="Dry spools" onsubmit={start}>
	<h2 class="font-semibold">Dry spools</h2>
	<p role="status" class="font-semibold empty:hidden">{said}</p>
	<FormProblem title={form.problem} />
	<fieldset>
		<legend class="mb-1 text-[0.85rem] font-medium">Spools</legend>
		<ul class="grid gap-x-4 gap-y-1 sm:grid-cols-2">
			{#each evidence as e (e.spool.id)}
				{@const busy = inDryer.has(e.spool.id)}
				<li class="flex min-h-[26px] flex-wrap items-center gap-x-2">
					<label class="flex items-center gap-2">
						<input
							type="checkbox"
							checked={chosen.has(e.spool.id) && !busy}
							disabled={busy}
							onchange={(ev) => (ev.currentTarget.checked ? chosen.add(e.spool.id) : chosen.delete(e.spool.id))}
						/>
						<strong>{e.spool.code}</strong>
						<Sliver hex={e.spool.colourHex} label={e.spool.colourName ?? undefined} class="w-8" />
						{e.spool.material}
					</label>
					{#if busy}<span class="small">in a dryer</span>
					{:else if chosen.has(e.spool.id) && !weighedNow(e)}
						<a class="link text-[0.85rem]" href="/trials/{trialId}/moisture?spool={e.spool.id}">weigh it first</a>
					{/if}
				</li>
			{/each}
		</ul>
	</fieldset>
	{#if materials.length > 0}
		<p class="small">
			{#if limit.dryingHighC !== null}
				{materials.length > 1
					? `${limit.dryingHighOf} limits this run: at most ${temperatureWords(limit.dryingHighC)}`
					: `The handbook dries ${limit.dryingHighOf} at up to ${temperatureWords(limit.dryingHighC)}`}{limit.hours
					? `, from ${upTo(limit.hours, 1)} h on`
					: ''}{#if limit.softeningC !== null}; {limit.softeningOf}
					<Term of="softens">goes soft</Term> at {temperatureWords(limit.softeningC)}{/if}.
			{/if}
			{#if limit.unknown.length}The handbook does not know {limit.unknown.join(', ')}.{/if}
			<a class="link" href="/handbook">handbook</a>
		</p>
	{/if}
	<div class="flex flex-wrap items-start gap-3">
		<div>
			<label for="load-dryer" class="mb-0.5 block text-[0.85rem] font-medium">Dryer</label>
			{#if offered(dryers).length > 0}
				<Select placeholder="" size="sm" id="load-dryer" bind:value={dryerId}>
					{#each offered(dryers, dryerId) as one (one.id)}<option value={one.id}
							>{one.name}{one.setPointHighC === null ? '' : `, up to ${temperatureWords(one.setPointHighC)}`}</option
						>{/each}
				</Select>
			{:else}
				<AddHere what="dryer" label="add your dryer" onadded={(id) => (dryerId = id)} />
			{/if}
		</div>
		<UnitField
			id="setPoint"
			label="Temperature"
			dimension="temperature"
			chosen={degrees}
			bind:value={() => setPoint, (v) => (typedSetPoint = v)}
			errors={form.errors}
			placeholder="50 C"
			class="w-28"
		/>
		<Field
			id="duration"
			label="Time"
			bind:value={() => duration, (v) => (typedDuration = v)}
			errors={form.errors}
			placeholder="4 h"
			class="w-28"
		/>
		<Button type="submit" class="sm:mt-[22px]" disabled={load.length === 0 || !dryerId}
			>{over === null ? 'Start the timer' : 'Save this drying'}</Button
		>
	</div>
	<WhenField {when} id="load-when" errors={form.errors} what="started" />
	{#if over !== null}<p class="small">It was over {dayAndTime(over)}: it is saved as done.</p>{/if}
	{#if judged?.kind === 'softens'}
		<Problem live={false}
			>{judged.of} softens at {temperatureWords(judged.limitC)}{when.isNow
				? ': not started.'
				: '. It is saved as it was; look whether the spool has warped.'}</Problem
		>
	{:else if when.isNow && (judged?.kind === 'aboveRange' || judged?.kind === 'unknownMaterial')}
		<label class="flex items-center gap-2"
			><input type="checkbox" bind:checked={accepted} />
			{judged.kind === 'aboveRange'
				? `Above the handbook’s ${temperatureWords(judged.limitC)} for ${judged.of}: I mean it`
				: `The handbook has no figure for ${judged.of}: I know its limit`}</label
		>
	{/if}
	<p class="caution">
		Dryers burn, and an unattended heater is a fire risk. A food oven or dehydrator used for filament is not used for food again. Displays
		can be some degrees off. Follow the appliance’s manual and the maker’s data sheet.
	</p>
</FormShell>
