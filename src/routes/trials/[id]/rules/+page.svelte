<script lang="ts">
	import SelectField from '$lib/ui/form/SelectField.svelte';
	import FormShell from '$lib/ui/form/FormShell.svelte';
	import { refusalWords } from '$lib/words/refusals';
	import { CLAIM_RULES, CONDITION_POLICIES, FAILURE_RULES, SETTINGS_POLICIES } from '$lib/core/record/lists/closed-lists';
	import { invalidateAll } from '$app/navigation';
	import Choice from '$lib/ui/form/Choice.svelte';
	import Field from '$lib/ui/form/Field.svelte';
	import { offered } from '$lib/ui/form/offered';
	import FormProblem from '$lib/ui/form/FormProblem.svelte';
	import EditMeasure from '$lib/ui/trial/EditMeasure.svelte';
	import { Edited } from '$lib/ui/form/edited.svelte';
	import { Form } from '$lib/ui/form/form.svelte';
	import { untrack } from 'svelte';
	import { marksLine } from '$lib/words/pieces';
	import {
		choices,
		CLAIM_RULE_WORDS,
		CONDITION_POLICY_WORDS,
		FAILURE_RULE_WORDS,
		FAMILY_WORDS,
		SETTINGS_POLICY_WORDS
	} from '$lib/words/closed-lists';
	import { Button, Toggle, Select } from 'flowbite-svelte';
	import Term from '$lib/ui/help/Term.svelte';
	import Later from '$lib/ui/growing/Later.svelte';
	import NewMeasure from '$lib/ui/trial/NewMeasure.svelte';
	import { numeric } from '$lib/ui/form/numeric';
	import TrialFacts from '$lib/ui/trial/TrialFacts.svelte';
	import type { PageProps } from './$types';
	import Problem from '$lib/ui/form/Problem.svelte';

	let { data }: PageProps = $props();
	/** The rules as they stand, as their fields show them. */
	const start = () => ({
		settingsPolicy: data.basis.settingsPolicy,
		conditionPolicy: data.basis.conditionPolicy,
		pieceIds: [...data.basis.pieceIds],
		failureRule: data.basis.failureRule,
		diameterDirections: data.basis.diameterDirections,
		printerId: data.head.printerId ?? '',
		repeats: String(data.basis.repeats),
		diameterPlaces: String(data.basis.diameterPlaces),
		strengthHighN: String(data.basis.strengthHighN),
		claimRule: data.basis.claimRule,
		takeOutPrinter: data.head.takeOutPrinter,
		takeOutLeniency: data.head.takeOutLeniency
	});
	const edited = new Edited(untrack(start));
	$effect(() => edited.follow(start()));
	const rules = $derived(edited.typed);
	const versions = new Form({ supersedes: true, fields: ['pieceIds', 'repeats', 'diameterPlaces', 'strengthHighN'] });
	const form = new Form({ fields: [] });
	const problem = $derived(versions.problem || form.problem);
	let said = $state('');
	let add = $state('');
	const facts = $derived({ name: data.head.name, question: data.head.question ?? '', currency: data.head.currency });
	/** Leaving asks twice: the second click takes the spool out. */
	let leaving = $state<string | null>(null);

	const NUMBERS = ['repeats', 'diameterPlaces', 'strengthHighN'];
	/** Fields as they are sent: numbers as such, no printer as none. */
	const WIRE = (fields: Record<string, unknown>): Record<string, unknown> =>
		Object.fromEntries(
			Object.entries(fields).map(([name, value]) => [
				name,
				NUMBERS.includes(name) ? numeric(String(value)) : name === 'printerId' ? value || null : value
			])
		);

	async function post(via: Form, path: string, body: object, words: string): Promise<boolean> {
		said = '';
		const sent = await via.send(path, { trialId: data.head.id, ...body });
		if (!sent.ok) return false;
		said = words;
		await invalidateAll();
		return true;
	}
	async function keepRules(): Promise<void> {
		const said = { ...WIRE(edited.changed), seen: WIRE(edited.seen) };
		const kept = await post(versions, 'protocols', said, 'The rules are saved as a new version; measurements stay.');
		if (!kept && !versions.unknown && versions.errors.some((e) => e.code === 'changedMeanwhile')) await invalidateAll();
		if (kept || versions.errors.some((e) => e.code === 'changedMeanwhile')) edited.settle(start());
	}
	async function tell(words: string): Promise<void> {
		said = words;
		await invalidateAll();
	}
	async function askFor(measureId: string, name: string): Promise<void> {
		const here = data.basis.ownMeasures.filter((m) => m.here).map((m) => m.id);
		await post(versions, 'protocols', { ownMeasureIds: [...here, measureId] }, `${name} is a column of the sheet now.`);
	}
	async function addSpool(): Promise<void> {
		if (!add) return;
		const kept = await post(form, 'trial-spools', { spoolId: add }, 'The spool is in this trial; what is known of it came along.');
		if (kept) add = '';
	}
</script>

<svelte:head><title>Rules · {data.head.name} · Draught</title></svelte:head>
<div class="max-w-4xl space-y-6 p-3 md:px-5 md:py-4">
	<h1 class="text-[1.6rem] font-bold">Rules of this trial</h1>
	<p role="status" class="font-semibold empty:m-0">{said}</p>
	<FormProblem title={problem} />
	{#each data.head.damaged as what (what)}
		<Problem live={false}>
			The newest {what} are damaged and cannot be read; the last readable version is in force. Saving makes a new one.
		</Problem>
	{/each}
	<FormShell class="panel space-y-4 px-4 py-3" onsubmit={keepRules}>
		<h2 class="font-semibold">What is the same for all</h2>
		<Choice
			name="settingsPolicy"
			legend="Settings"
			bind:value={rules.settingsPolicy}
			options={choices(SETTINGS_POLICIES, SETTINGS_POLICY_WORDS)}
		/>
		<Choice
			name="conditionPolicy"
			legend="Condition that counts"
			bind:value={rules.conditionPolicy}
			options={choices(CONDITION_POLICIES, CONDITION_POLICY_WORDS)}
		/>
		<Choice
			name="claimRule"
			legend="A stated tolerance is met when"
			bind:value={rules.claimRule}
			options={choices(CLAIM_RULES, CLAIM_RULE_WORDS)}
		/>
		<Choice
			name="failureRule"
			legend="Failures that count against a filament"
			bind:value={rules.failureRule}
			options={choices(FAILURE_RULES, FAILURE_RULE_WORDS)}
		/>
		<Toggle bind:checked={rules.takeOutPrinter} size="small">Correct for printer differences (needs a spool printed on both)</Toggle>
		<Toggle bind:checked={rules.takeOutLeniency} size="small">Correct for strict and lenient scorers</Toggle>
		<fieldset>
			<legend class="mb-0.5 text-[0.85rem] font-medium">Test pieces to print</legend>
			<div class="flex flex-wrap gap-x-4 gap-y-1">
				{#each data.pieces.filter((p) => !p.archived || rules.pieceIds.includes(p.id)) as piece (piece.id)}
					<label class="flex min-h-[26px] items-center gap-1.5"
						><input type="checkbox" value={piece.id} bind:group={rules.pieceIds} />
						{piece.name}
						{piece.version}
						<span class="small">{marksLine(piece.marks)}</span></label
					>
				{/each}
			</div>
			{#if versions.errors.some((e) => e.path === 'pieceIds')}
				<Problem live={false} class="mt-0.5 text-[0.85rem]">
					{versions.errors
						.filter((e) => e.path === 'pieceIds')
						.map(refusalWords)
						.join('; ')}
				</Problem>
			{/if}
			<p class="small">Where several show the same mark, the newest counts. <a class="link" href="/pieces">More test pieces</a></p>
		</fieldset>
		<div class="flex flex-wrap gap-4">
			<SelectField id="rules-printer" label="Printer and nozzle" bind:value={rules.printerId}>
				<option value="">not noted</option>
				{#each offered(data.printers, rules.printerId) as printer (printer.id)}<option value={printer.id}
						>{printer.name}, {printer.nozzle}</option
					>{/each}
			</SelectField>
			<Field id="repeats" label="Prints per piece" bind:value={rules.repeats} errors={versions.errors} inputmode="numeric" class="w-28" />
			<Field
				id="diameterPlaces"
				label="Spots in the quick check"
				bind:value={rules.diameterPlaces}
				errors={versions.errors}
				inputmode="numeric"
				class="w-44"
			/>
			<Field
				id="strengthHighN"
				label="Strength scale up to, N"
				bind:value={rules.strengthHighN}
				errors={versions.errors}
				inputmode="decimal"
				class="w-44"
			/>
		</div>
		<Button type="submit" size="sm">Save rules</Button>
	</FormShell>
	<Later>
		{#key JSON.stringify(facts)}
			<TrialFacts
				trialId={data.head.id}
				{facts}
				later={data.later}
				onchange={async (words) => {
					await invalidateAll();
					said = words;
				}}
			/>
		{/key}
		<section class="panel space-y-2 px-4 py-3" aria-label="Blind scoring">
			<h2 class="font-semibold"><Term of="blind">Blind scoring</Term></h2>
			<Toggle
				checked={data.head.blind}
				onchange={() =>
					void post(
						form,
						'blind',
						{ blind: !data.head.blind },
						data.head.blind ? 'Names and prices show again.' : 'Only bench codes show now.'
					)}
				class="text-ink"
			>
				Show bench codes only; hide makers, products and prices
			</Toggle>
			<p class="small">Hidden everywhere, also in the API, until you switch it off. The colour of a spool cannot be hidden from the eye.</p>
		</section>
	</Later>
	<Later>
		<section class="panel space-y-2 px-4 py-3" aria-label="Spools">
			<h2 class="font-semibold">Add a spool that is already on the bench</h2>
			{#if data.others.length}
				<FormShell class="flex flex-wrap items-end gap-2" onsubmit={addSpool}>
					<label class="sr-only" for="add-spool">Spool</label>
					<Select placeholder="" size="sm" id="add-spool" bind:value={add}>
						<option value="">choose …</option>
						{#each data.others as other (other.id)}<option value={other.id}
								>{other.code} · {[other.maker, other.filament, other.material, other.colourName].filter(Boolean).join(' · ')}</option
							>{/each}
					</Select>
					<Button type="submit" size="sm" color="alternative" disabled={!add}>Add it</Button>
				</FormShell>
			{:else}
				<p class="small">Every spool is already here.</p>
			{/if}
			{#if data.spools.length}
				<h3 class="pt-2 font-medium">In this trial</h3>
				<ul class="flex flex-wrap gap-2">
					{#each data.spools as spool (spool.id)}
						<li class="panel px-2.5 py-1">
							<strong>{spool.code}</strong>
							<button
								type="button"
								class="link ml-1 text-[0.9rem]"
								onclick={() => {
									if (leaving !== spool.id) {
										leaving = spool.id;
										return;
									}
									leaving = null;
									void post(form, 'trial-leaves', { spoolId: spool.id }, `${spool.code} removed; its measurements are kept.`);
								}}>{leaving === spool.id ? `yes, remove ${spool.code}` : 'remove'}</button
							>
						</li>
					{/each}
				</ul>
			{/if}
		</section>
	</Later>
	<Later>
		<section class="panel space-y-3 px-4 py-3" aria-label="Measures of your own">
			<h2 class="font-semibold">A measure of your own, for every trial</h2>
			{#if data.basis.ownMeasures.length}
				<ul class="list-disc pl-5">
					{#each data.basis.ownMeasures as m (m.id)}<li>
							{m.name}, {m.words
								? m.words.join(', ')
								: `${m.low} to ${m.high} ${m.unit}, ${m.direction === 'nearest' ? 'best in the middle' : `${m.direction} is better`}`}{m.family
								? `; counts with ${FAMILY_WORDS[m.family].toLowerCase()}`
								: ''}{#if !m.here}
								<button type="button" class="link" onclick={() => void askFor(m.id, m.name)}>ask for it here</button>{/if}
							<EditMeasure measure={m} onchange={tell} />
						</li>{/each}
				</ul>
			{/if}
			<NewMeasure trialId={data.head.id} onadded={tell} />
		</section>
	</Later>
</div>
