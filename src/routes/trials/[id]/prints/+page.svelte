<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { wantedCondition } from '$lib/core/judging/trial/wanted';
	import { conditionAt } from '$lib/core/record/conditions/condition-at';
	import { stated } from '$lib/core/record/claims/stated';
	import { SET_UP } from '$lib/core/record/evidence/attempt';
	import { askBefore } from '$lib/core/stations/handbook/before-print';
	import { departures } from '$lib/core/stations/prints/ways/departures';
	import { isFlexible } from '$lib/core/stations/prints/success/find-flexible';
	import { PRINT_QUANTITIES, printsStation } from '$lib/core/stations/prints/station';
	import BenchFrame from '$lib/ui/bench/BenchFrame.svelte';
	import EmptyBench from '$lib/ui/bench/EmptyBench.svelte';
	import { Bench } from '$lib/ui/bench/bench.svelte';
	import { Shelf } from '$lib/ui/bench/shelf.svelte';
	import Choice from '$lib/ui/form/Choice.svelte';
	import Field from '$lib/ui/form/Field.svelte';
	import { focusFirst } from '$lib/ui/form/focus-first';
	import FormProblem from '$lib/ui/form/FormProblem.svelte';
	import AddHere from '$lib/ui/workshop/AddHere.svelte';
	import { offered } from '$lib/ui/form/offered';
	import WhenField from '$lib/ui/form/WhenField.svelte';
	import { LOAD_WORDS } from '$lib/core/record/marks/mark-words';
	import AttemptList from '$lib/ui/prints/AttemptList.svelte';
	import CompositeLine from '$lib/ui/prints/CompositeLine.svelte';
	import FindingLines from '$lib/ui/prints/FindingLines.svelte';
	import SlicedFile from '$lib/ui/prints/SlicedFile.svelte';
	import { freshDraft, numberOf, type AttemptDraft } from '$lib/ui/prints/attempt-draft';
	import { AttemptEntry } from '$lib/ui/prints/attempt-entry.svelte';
	import { LOAD_ABOUT } from '$lib/words/print-marks';
	import PrintEnd from '$lib/ui/prints/PrintEnd.svelte';
	import PrintMarks from '$lib/ui/prints/PrintMarks.svelte';
	import { CONDITION_POLICY_WORDS, CONDITION_WORDS } from '$lib/words/closed-lists';
	import { SET_UP_WORDS, SETTING_WORDS } from '$lib/words/settings';
	import type { Missing } from '$lib/core/judging/finding/types';
	import { flagLines, sentence } from '$lib/words/messages';
	import { plural, upTo } from '$lib/words/numbers';
	import { Button, Label, Select } from 'flowbite-svelte';
	import TextArea from '$lib/ui/form/TextArea.svelte';
	import { onDestroy, onMount, untrack } from 'svelte';
	import Later from '$lib/ui/growing/Later.svelte';
	import DamagedRecords from '$lib/ui/spool/DamagedRecords.svelte';
	import type { PageProps } from './$types';
	import Term from '$lib/ui/help/Term.svelte';
	import Problem from '$lib/ui/form/Problem.svelte';

	let { data }: PageProps = $props();
	const missingOf = (i: number) => data.wanted[i] ?? null;
	const pieceOf = (missing: Missing | null) => (missing && 'pieceId' in missing.params ? missing.params.pieceId : null);
	const shelf = new Shelf('prints');
	$effect(() => {
		const { evidence: given, opened } = data;
		untrack(() => void shelf.fill(given, opened));
	});
	onDestroy(() => shelf.stop());
	const bench = new Bench({
		station: 'prints',
		evidence: () => data.evidence.map((e) => shelf.of(e)),
		// As it was when the page was opened: what is saved moves nobody on.
		first: untrack(() => data.first),
		status: (e, i) => {
			const done = e.attempts.filter((a) => a.status === 'counts').length;
			const missing = missingOf(i);
			return missing?.action === 'markPiece' ? 'to mark' : missing ? (done ? `${done}, more to do` : 'to do') : plural(done, 'print');
		},
		onchoose: () => entry.leave()
	});
	const evidence = $derived(bench.evidence);
	const bySpool = $derived(evidence?.spool.id ?? '');
	/** The marks of its prints are here. */
	const isWhole = $derived(bySpool === data.opened || shelf.has(bySpool));
	const findings = $derived(evidence && isWhole ? (data.found[bySpool] ?? printsStation.find(evidence, data.basis)) : []);
	const labelNozzle = $derived.by(() => {
		const low = evidence ? stated(evidence.claims, 'nozzleLowC') : null;
		const high = evidence ? stated(evidence.claims, 'nozzleHighC') : null;
		return low && high ? Math.round((low.value + high.value) / 2) : null;
	});
	/** What was said before of the set-up, to be chosen again in the same words. */
	const setUpSeen = $derived(
		Object.fromEntries(
			SET_UP.map((name) => [name, [...new Set(data.evidence.flatMap((e) => e.attempts.flatMap((a) => a.setUp[name] ?? [])))]])
		)
	);

	/** The piece that wants printing next, else the first of the trial. */
	const wantedPiece = $derived(pieceOf(missingOf(bench.index)) ?? data.basis.pieceIds[0] ?? '');
	const entry = new AttemptEntry(() => ({
		spool: evidence?.spool ?? null,
		trialId: data.head.id,
		settingsPolicy: data.basis.settingsPolicy,
		wantedPiece
	}));
	const draft = $derived(entry.draft);
	const piece = $derived(evidence?.pieces.find((p) => p.id === draft?.pieceId) ?? null);
	const pieceName = (id: string) => {
		const known = evidence?.pieces.find((p) => p.id === id);
		return known ? `${known.name} ${known.version}` : 'piece';
	};
	/** What is asked before it is printed so: what the printer lacks, what it cannot reach. */
	const asked = $derived.by(() => {
		if (!evidence || !draft) return [];
		const printer = data.printers.find((p) => p.id === draft.printerId) ?? null;
		const degrees = (text: string) => (text.trim() === '' || !Number.isFinite(numberOf(text)) ? null : numberOf(text));
		const { nozzleC, bedC } = draft.settings;
		return askBefore(evidence, printer, data.basis.handbook, { nozzleC: degrees(nozzleC), bedC: degrees(bedC) });
	});
	/** In what this spool's prints are unlike those of the others. */
	const unlike = $derived(
		flagLines(
			data.flags.filter((f) => f.spoolIds.includes(bySpool)),
			(id) => data.spools.find((s) => s.id === id)?.code ?? ''
		)
	);
	/** Pieces to choose from: the trial's first, then all others. */
	const pieces = $derived.by(() => {
		const all = evidence?.pieces ?? [];
		const ours = data.basis.pieceIds.flatMap((id) => all.filter((p) => p.id === id));
		return [...ours, ...all.filter((p) => !ours.includes(p) && (!data.putAway.includes(p.id) || p.id === draft?.pieceId))];
	});

	function fresh(): AttemptDraft {
		const others = data.evidence.flatMap((e) => e.attempts).toSorted((a, b) => a.at - b.at);
		return freshDraft({
			last: evidence?.attempts.at(-1) ?? null,
			lastOther: others.at(-1) ?? null,
			labelNozzleC: labelNozzle,
			condition: evidence ? conditionAt(evidence, Date.now()).kind : 'asReceived',
			printerId: data.head.printerId ?? offered(data.printers).at(-1)?.id ?? '',
			pieceId: wantedPiece
		});
	}
	// The first is served with the page.
	untrack(() => bySpool && entry.open(bySpool, fresh));
	$effect.pre(() => {
		const id = bySpool;
		untrack(() => id && entry.open(id, fresh));
	});
	/** The state the spool was in when it was printed, which may have been yesterday. */
	const stateThen = $derived(evidence ? conditionAt(evidence, entry.when.at(), draft?.portionId || null).kind : 'asReceived');
	$effect(() => {
		const then = stateThen;
		untrack(() => {
			if (draft && (!entry.when.isNow || draft.portionId)) draft.condition = then;
		});
	});
	/** The state it is printed in is not one that counts here. */
	const notCounted = $derived(
		draft && draft.condition !== wantedCondition(data.basis) && !(data.basis.conditionPolicy === 'both' && draft.condition === 'dried')
	);
	/** Settings that this spool was calibrated to, and that are not what stands in the form already. */
	const calibrated = $derived(Object.entries(data.calibrated[bySpool] ?? {}) as [keyof typeof SETTING_WORDS, number][]);
	let element = $state<HTMLFormElement>();

	/** Most prints finish, and that is what stands there: the first mark is what one types. */
	const beginAnew = () => focusFirst(element?.querySelector<HTMLElement>('input[inputmode="decimal"]') ?? element?.querySelector('input'));
	onMount(beginAnew);

	/** Arrows lead to another spool from a field of one line, as they do from the field of every bench. */
	function otherSpool(event: KeyboardEvent): void {
		const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : null;
		const isLine = event.target instanceof HTMLInputElement && event.target.inputMode === 'decimal' && element?.contains(event.target);
		if (by === null || !isLine || event.ctrlKey || event.metaKey || event.altKey || event.shiftKey) return;
		event.preventDefault();
		bench.move(by);
		beginAnew();
	}

	async function submit(): Promise<void> {
		// Away from what was typed last; on a phone that closes the keyboard.
		element?.querySelector<HTMLElement>('input')?.focus();
		beginAnew();
		await entry.submit();
	}
</script>

<svelte:head><title>Prints · {data.head.name} · Draught</title></svelte:head>
<svelte:window
	onkeydown={(event) => {
		if (event.key === 'Enter' && (event.ctrlKey || event.metaKey) && !document.querySelector('dialog[open]')) {
			event.preventDefault();
			void submit();
		} else otherSpool(event);
	}}
/>

{#if !evidence || !draft}
	<EmptyBench title="Prints" trialId={data.head.id} />
{:else}
	<BenchFrame
		items={bench.items}
		chosen={evidence.spool.id}
		onchoose={(id) => bench.choose(id)}
		move={(by) => bench.move(by)}
		found={evidence.spool.id in data.found}
	>
		<DamagedRecords damaged={evidence.damaged} kind="print" />
		<div class="flex flex-wrap items-baseline gap-x-3">
			<h1 class="text-[2rem] leading-tight font-bold">{evidence.spool.code}</h1>
			<span class="text-muted"
				><label class="inline-flex items-baseline gap-1"
					><span class="sr-only">Test piece</span>
					<Select placeholder="" size="sm" bind:value={draft.pieceId}>
						{#each pieces as one (one.id)}<option value={one.id}>{one.name} {one.version}</option>{/each}
					</Select></label
				>
				{#if piece?.params}<a
						class="link text-[0.9rem]"
						href="/api/v1/pieces/{piece.id}/file?format=3mf&code={evidence.spool.code}"
						download>its file, marked {evidence.spool.code}</a
					>
				{:else if piece}<a class="link text-[0.9rem]" href="/pieces">no file: make one</a>{/if}
				· label {labelNozzle === null ? 'temperature not noted' : `${upTo(labelNozzle, 0)} °C`}</span
			>
		</div>
		<nav class="flex flex-wrap gap-x-4 text-[0.9rem] leading-[26px]" aria-label="Of all prints of this trial">
			<a class="link" href="/trials/{data.head.id}/prints/score">score prints</a>
			<a class="link" href="/trials/{data.head.id}/prints/photos">photographs</a>
			<a class="link" href="/trials/{data.head.id}/prints/compare">compare</a>
			<a class="link" href="/trials/{data.head.id}/prints/queue">print queue</a>
		</nav>
		<p role="status" class="min-h-5 font-semibold">
			{entry.said}
			{#if entry.said && entry.mayRepeat}
				<button type="button" class="link font-normal" onclick={() => void entry.again()}>Same again</button>
			{/if}
		</p>
		<form
			bind:this={element}
			class="space-y-4"
			novalidate
			onsubmit={(e) => {
				e.preventDefault();
				void submit();
			}}
		>
			<FormProblem title={entry.problem} />
			{#if entry.isRejected}
				<Problem>
					The last print was not saved.
					<button type="button" class="link" onclick={() => entry.putBack()}>Swap it with what is typed here</button>
				</Problem>
			{/if}
			<PrintEnd
				{draft}
				errors={entry.errors}
				failureRule={data.basis.failureRule}
				portions={evidence.events.filter((e) => e.portion !== null && e.status === 'counts')}
			/>
			{#if notCounted}
				<p class="question">
					This trial counts prints <Term of="states">{CONDITION_POLICY_WORDS[data.basis.conditionPolicy]}</Term>. One of a spool that is {CONDITION_WORDS[
						draft.condition
					]} is saved and compared, and does not count in the pick.
				</p>
			{/if}
			<PrintMarks {piece} flexible={isFlexible(evidence.spool.material)} bind:marks={draft.marks} errors={entry.errors} />
			{#if isFlexible(evidence.spool.material)}
				<Choice
					name="loadEffort"
					legend="How it went into the feeder"
					bind:value={() => draft?.marks.loadEffort ?? '', (word) => draft && (draft.marks = { ...draft.marks, loadEffort: word ?? '' })}
					options={LOAD_WORDS.map((value) => ({ value, label: LOAD_ABOUT[value] }))}
				/>
			{/if}
			<p class="small">
				Other marks: <a class="link" href="/trials/{data.head.id}/prints/score">score prints</a>, all spools in one go.
			</p>
			{#each asked as message (message.id)}<p class="question">{sentence(message)}</p>{/each}
			<details class="panel px-3 py-2" bind:open={entry.settingsOpen}>
				<summary class="font-medium">Settings (copied from the last print)</summary>
				{#if entry.settingsOpen}
					{#if calibrated.length}
						<p class="mt-2">
							Calibrated: {calibrated
								.map(([name, value]) => `${SETTING_WORDS[name].name.toLowerCase()} ${value} ${SETTING_WORDS[name].unit}`.trim())
								.join(', ')}.
							<button
								type="button"
								class="link"
								onclick={() =>
									draft &&
									(draft.settings = { ...draft.settings, ...Object.fromEntries(calibrated.map(([name, value]) => [name, String(value)])) })}
								>Print with these</button
							>
						</p>
					{:else}
						<p class="small mt-2">No calibration noted. <a class="link" href="/spools/{evidence.spool.id}#calibrations">Add one</a></p>
					{/if}
					<div class="mt-2 grid gap-3 sm:grid-cols-3">
						{#each Object.entries(SETTING_WORDS) as [name, words] (name)}
							<Field
								id="set-{name}"
								path="settings.{name}"
								label={[words.name, words.unit].filter(Boolean).join(', ')}
								bind:value={draft.settings[name as keyof typeof SETTING_WORDS]}
								errors={entry.errors}
								inputmode="decimal"
							/>
						{/each}
					</div>
					<div class="mt-3 grid gap-3 sm:grid-cols-3">
						{#each SET_UP as name (name)}
							<Field
								id="setup-{name}"
								path="setUp.{name}"
								label={SET_UP_WORDS[name]}
								bind:value={draft.setUp[name]}
								errors={entry.errors}
								list={setUpSeen[name]}
							/>
						{/each}
						<Field id="roomTemperature" label="Room" bind:value={draft.roomTemperature} errors={entry.errors} placeholder="21 C" />
						<Field id="roomHumidityPct" label="Humidity, %" bind:value={draft.roomHumidityPct} errors={entry.errors} inputmode="decimal" />
						<Field id="gramsG" label="Grams it took" bind:value={draft.grams} errors={entry.errors} inputmode="decimal" />
						<Field id="minutes" label="Minutes" bind:value={draft.minutes} errors={entry.errors} inputmode="decimal" />
						<Field
							id="midPrint"
							label="Changed while it printed"
							bind:value={draft.midPrint}
							errors={entry.errors}
							placeholder="fan to 50 % at a third"
						/>
						<SlicedFile id="sliced-file" bind:hash={draft.fileHash} />
					</div>
					<div class="mt-3">
						<Label for="printer">Printer and nozzle</Label>
						<Select placeholder="" size="sm" id="printer" bind:value={draft.printerId}>
							<option value="">not noted</option>
							{#each offered(data.printers, draft.printerId) as printer (printer.id)}<option value={printer.id}
									>{printer.name}, {printer.nozzle}</option
								>{/each}
						</Select>
						<span class="ml-2 text-[0.9rem]"
							><AddHere
								what="printer"
								label="add a printer"
								onadded={(id) => {
									if (draft) draft.printerId = id;
								}}
							/></span
						>
					</div>
				{/if}
			</details>
			<div>
				<Label for="print-note">Note</Label>
				<TextArea id="print-note" bind:value={draft.note} />
			</div>
			<p class="caution">
				Nozzle, bed and dryer burn. Ventilate: ABS, ASA, PC and PA give off fumes and fine particles most. Follow the maker’s data sheet and
				local rules.
			</p>
			<WhenField when={entry.when} errors={entry.errors} what="printed" />
			<Button type="submit">Save print</Button>
		</form>
		{#if evidence.attempts.length && isWhole}
			<h2 class="mt-6 mb-2 font-semibold">{plural(evidence.attempts.length, 'print')} of {evidence.spool.code}</h2>
			<Later>
				<AttemptList
					attempts={evidence.attempts}
					readings={evidence.readings}
					history={evidence}
					notes={data.notes}
					photos={data.photos}
					amendments={data.amendments}
					{pieces}
					printers={data.printers}
					{pieceName}
					departures={(attempt) => departures(evidence, attempt, data.basis)}
					onchange={() => void invalidateAll()}
				/>
			</Later>
		{/if}
		{#snippet results()}
			{#each unlike as line (line)}<p class="question mt-1">≠ {line}</p>{/each}
			{#if !isWhole}<p class="small">Fetching the marks of {evidence.spool.code}.</p>{/if}
			<FindingLines {findings} defs={PRINT_QUANTITIES} {pieceName} />
			<CompositeLine {findings} criteria={data.weighed} basis={data.basis} rules="/trials/{data.head.id}/pick" />
		{/snippet}
	</BenchFrame>
{/if}
