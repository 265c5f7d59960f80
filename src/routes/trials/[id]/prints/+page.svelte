<script lang="ts">
	import { refusalWords } from '$lib/ui/words/refusals';
	import { goto, invalidateAll } from '$app/navigation';
	import { page } from '$app/state';
	import { conditionAt } from '$lib/core/conditions/condition-at';
	import { stated } from '$lib/core/claims/stated';
	import { CONDITIONS, FAILURE_CAUSES, PRINT_OUTCOMES } from '$lib/core/closed-lists';
	import { SET_UP } from '$lib/core/evidence/attempt';
	import { departures } from '$lib/core/prints/departures';
	import { isFlexible } from '$lib/core/prints/find-flexible';
	import { PRINT_QUANTITIES, printsStation } from '$lib/core/prints/station';
	import BenchFrame from '$lib/ui/bench/BenchFrame.svelte';
	import EmptyBench from '$lib/ui/bench/EmptyBench.svelte';
	import { railItem } from '$lib/ui/bench/rail-item';
	import Choice from '$lib/ui/form/Choice.svelte';
	import Field from '$lib/ui/form/Field.svelte';
	import FormProblem from '$lib/ui/form/FormProblem.svelte';
	import { Form } from '$lib/ui/form/form.svelte';
	import { LOAD_WORDS } from '$lib/core/prints/mark-words';
	import AttemptList from '$lib/ui/prints/AttemptList.svelte';
	import CompositeLine from '$lib/ui/prints/CompositeLine.svelte';
	import FindingLines from '$lib/ui/prints/FindingLines.svelte';
	import SlicedFile from '$lib/ui/prints/SlicedFile.svelte';
	import { draftBody, freshDraft, nextDraft, type PrintDraft } from '$lib/ui/prints/print-draft';
	import { LOAD_ABOUT } from '$lib/ui/words/print-marks';
	import PrintMarks from '$lib/ui/prints/PrintMarks.svelte';
	import { SET_UP_WORDS, SETTING_WORDS } from '$lib/ui/words/settings';
	import type { Missing } from '$lib/core/finding/types';
	import { flagLines } from '$lib/ui/words/messages';
	import { plural, upTo } from '$lib/ui/words/numbers';
	import { CAUSE_TELLS, CAUSE_WORDS, choices, CONDITION_WORDS, OUTCOME_WORDS, FAILURE_RULE_WORDS } from '$lib/ui/words/closed-lists';
	import { Button, Label, Textarea } from 'flowbite-svelte';
	import { tick, untrack } from 'svelte';
	import Later from '$lib/ui/shell/Later.svelte';
	import DamagedRecords from '$lib/ui/spool/DamagedRecords.svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const wanted = $derived(page.url.searchParams.get('spool'));
	const missingOf = (i: number) => data.wanted[i] ?? null;
	const pieceOf = (missing: Missing | null) => (missing && 'pieceId' in missing.params ? missing.params.pieceId : null);
	// Chosen by address; without one, the first spool that still wanted prints when the page was opened.
	const fallback = untrack(() => data.spools.find((_, i) => missingOf(i) !== null) ?? data.spools[0])?.id;
	const index = $derived(
		Math.max(
			0,
			data.evidence.findIndex((e) => e.spool.id === (wanted ?? fallback))
		)
	);
	const evidence = $derived(data.evidence[index]);
	const findings = $derived(evidence ? printsStation.find(evidence, data.basis, 0) : []);
	const labelNozzle = $derived.by(() => {
		const low = evidence ? stated(evidence.claims, 'nozzleLowC') : null;
		const high = evidence ? stated(evidence.claims, 'nozzleHighC') : null;
		return low && high ? Math.round((low.value + high.value) / 2) : null;
	});
	const items = $derived(
		data.evidence.map((e, i) => {
			const done = e.attempts.filter((a) => a.status === 'counts').length;
			const missing = missingOf(i);
			const says =
				missing?.action === 'markPiece' ? 'to mark' : missing ? (done ? `${done}, more wanted` : 'to do') : plural(done, 'print');
			return railItem(e.spool, says);
		})
	);
	/** What was said before of the set-up, to be chosen again in the same words. */
	const setUpSeen = $derived(
		Object.fromEntries(
			SET_UP.map((name) => [name, [...new Set(data.evidence.flatMap((e) => e.attempts.flatMap((a) => a.setUp[name] ?? [])))]])
		)
	);
	const bySpool = $derived(evidence?.spool.id ?? '');

	/** The piece that wants printing next, else the first of the trial. */
	const wantedPiece = $derived(pieceOf(missingOf(index)) ?? data.basis.pieceIds[0] ?? '');
	const piece = $derived(evidence?.pieces.find((p) => p.id === draft?.pieceId) ?? null);
	const pieceName = (id: string) => {
		const known = evidence?.pieces.find((p) => p.id === id);
		return known ? `${known.name} ${known.version}` : 'piece';
	};
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
		return [...ours, ...all.filter((p) => !ours.includes(p))];
	});

	function fresh(): PrintDraft {
		const last = evidence?.attempts.at(-1) ?? null;
		const others = data.evidence.flatMap((e) => e.attempts).sort((a, b) => a.at - b.at);
		const condition = evidence ? conditionAt(evidence.events, Date.now()).kind : 'asReceived';
		return freshDraft({
			last,
			lastOther: others.at(-1) ?? null,
			labelNozzleC: labelNozzle,
			condition,
			printerId: data.head.printerId ?? data.printers.at(-1)?.id ?? '',
			pieceId: wantedPiece
		});
	}
	/** One draft a spool, so that looking at another spool loses nothing that was typed; the first is served with the page. */
	let drafts = $state<Record<string, PrintDraft>>(untrack(() => (bySpool ? { [bySpool]: fresh() } : {})));
	$effect.pre(() => {
		const id = bySpool;
		untrack(() => {
			if (id && !drafts[id]) drafts[id] = fresh();
		});
	});
	const draft = $derived(drafts[bySpool]);
	let said = $state('');
	let element = $state<HTMLFormElement>();
	const form = new Form();
	/** A print that was refused after something else had been typed in its place. */
	let rejected = $state<{ spoolId: string; draft: PrintDraft } | null>(null);
	let settingsOpen = $state(false);
	/** Errors of a refused print belong to it, not to what was typed since. */
	const errors = $derived(rejected ? [] : form.errors);
	const problem = $derived.by(() => {
		if (form.problem || form.errors.length === 0) return form.problem;
		const inSight = form.errors.some((e) => e.path.includes('.') || ['percentReached', 'cause', 'condition'].includes(e.path));
		return inSight && !rejected ? '' : form.errors.map(refusalWords).join('; ');
	});

	function choose(id: string): void {
		form.clear();
		said = '';
		void goto(`?spool=${id}`, { keepFocus: true, noScroll: true, replaceState: true });
	}
	function move(by: 1 | -1): void {
		const next = data.evidence[(index + by + data.evidence.length) % data.evidence.length];
		if (next) choose(next.spool.id);
	}

	async function submit(): Promise<void> {
		if (!draft || !evidence) return;
		// Another spool may be chosen while this one is being kept.
		const { id, code } = evidence.spool;
		said = '';
		const pressed = $state.snapshot(draft);
		// The next print can be typed while this one is on its way, so the form is fresh at the press, not at the answer.
		const next = nextDraft(pressed);
		drafts[id] = next;
		element?.querySelector<HTMLElement>('input')?.focus();
		const sent = await form.send<{ condition: string; marks: number }>('attempts', {
			spoolId: id,
			trialId: data.head.id,
			settingsPolicy: data.basis.settingsPolicy,
			...draftBody(pressed)
		});
		const untouched = JSON.stringify(drafts[id]) === JSON.stringify(next);
		if (!sent.ok) {
			if (untouched) drafts[id] = pressed;
			else rejected = { spoolId: id, draft: pressed };
			if (form.errors.some((e) => e.path.startsWith('settings'))) settingsOpen = true;
			await tick();
			document.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus();
			return;
		}
		rejected = null;
		said = `Kept: ${code}, ${pressed.outcome}${sent.answer.marks ? `, ${plural(sent.answer.marks, 'mark')}` : ''}.`;
		await invalidateAll();
		// What wants printing next is known only now; it must not change under a hand that types.
		if (bySpool === id && JSON.stringify(drafts[id]) === JSON.stringify(next))
			drafts[id] = { ...next, pieceId: wantedPiece || next.pieceId };
	}
	/** Puts a refused print back into the form, and what was typed since in its place. */
	function putBack(): void {
		if (!rejected) return;
		const { spoolId, draft: before } = rejected;
		const since = drafts[spoolId];
		drafts[spoolId] = before;
		rejected = since ? { spoolId, draft: since } : null;
	}
</script>

<svelte:head><title>Prints · {data.head.name} · Draught</title></svelte:head>
<svelte:window
	onkeydown={(event) => {
		if (event.key === 'Enter' && (event.ctrlKey || event.metaKey) && !document.querySelector('dialog[open]')) {
			event.preventDefault();
			void submit();
		}
	}}
/>

{#if !evidence || !draft}
	<EmptyBench title="Prints" trialId={data.head.id} />
{:else}
	<BenchFrame {items} chosen={evidence.spool.id} onchoose={choose} {move}>
		<DamagedRecords damaged={evidence.damaged} kind="print" />
		<div class="flex flex-wrap items-baseline gap-x-3">
			<h1 class="text-[2rem] leading-tight font-bold">{evidence.spool.code}</h1>
			<span class="text-muted"
				><label class="inline-flex items-baseline gap-1"
					><span class="sr-only">Piece</span>
					<select class="rounded border bg-panel py-0.5 pr-8 pl-2 text-ink" bind:value={draft.pieceId}>
						{#each pieces as one (one.id)}<option value={one.id}>{one.name} {one.version}</option>{/each}
					</select></label
				>
				· label {labelNozzle === null ? 'temperature not noted' : `${upTo(labelNozzle, 0)} °C`}</span
			>
		</div>
		<nav class="flex flex-wrap gap-x-4 text-[0.9rem] leading-[26px]" aria-label="Of all prints of this trial">
			<a class="link" href="/trials/{data.head.id}/prints/score">score by keys</a>
			<a class="link" href="/trials/{data.head.id}/prints/photos">photographs</a>
			<a class="link" href="/trials/{data.head.id}/prints/compare">two ways</a>
			<a class="link" href="/trials/{data.head.id}/prints/queue">left to print</a>
		</nav>
		<p role="status" class="min-h-5 font-semibold">{said}</p>
		<form
			bind:this={element}
			class="space-y-4"
			novalidate
			onsubmit={(e) => {
				e.preventDefault();
				void submit();
			}}
		>
			<FormProblem title={problem} />
			{#if rejected?.spoolId === bySpool}
				<p role="alert">
					<span class="text-harm">▲ The last print was not saved.</span>
					<button type="button" class="link" onclick={putBack}>Swap it with what is typed here</button>
				</p>
			{/if}
			<div class="flex flex-wrap gap-x-8 gap-y-3">
				<Choice name="outcome" legend="How did it end?" bind:value={draft.outcome} options={choices(PRINT_OUTCOMES, OUTCOME_WORDS)} />
				<Choice
					name="condition"
					legend="Condition of the spool"
					bind:value={draft.condition}
					{errors}
					options={choices(CONDITIONS, CONDITION_WORDS)}
				/>
			</div>
			{#if draft.outcome === 'failed'}
				<div class="flex flex-wrap gap-x-8 gap-y-3">
					<Field id="percentReached" label="Got to, %" bind:value={draft.percentReached} {errors} inputmode="decimal" class="w-28" />
					<Choice name="cause" legend="Charged to" bind:value={draft.cause} {errors} options={choices(FAILURE_CAUSES, CAUSE_WORDS)} />
				</div>
				<dl class="small grid grid-cols-[6.5rem_1fr] gap-x-3">
					{#each FAILURE_CAUSES as cause (cause)}
						<dt class={draft.cause === cause ? 'font-semibold text-ink' : ''}>{CAUSE_WORDS[cause]}</dt>
						<dd class={draft.cause === cause ? 'text-ink' : ''}>{CAUSE_TELLS[cause]}</dd>
					{/each}
				</dl>
				<p class="small">Counting against the filament here: {FAILURE_RULE_WORDS[data.basis.failureRule]}.</p>
			{/if}
			<PrintMarks {piece} bind:marks={draft.marks} {errors} />
			{#if isFlexible(evidence.spool.material)}
				<Choice
					name="loadEffort"
					legend="How it went into the feeder"
					bind:value={() => draft?.marks.loadEffort ?? '', (word) => draft && (draft.marks = { ...draft.marks, loadEffort: word ?? '' })}
					options={LOAD_WORDS.map((value) => ({ value, label: LOAD_ABOUT[value] }))}
				/>
			{/if}
			<p class="small">
				Other marks of this piece are <a class="link" href="/trials/{data.head.id}/prints/score">scored by keys</a>, all spools in one go.
			</p>
			<details class="panel px-3 py-2" bind:open={settingsOpen}>
				<summary class="font-medium">Settings, copied forward: type only what differs</summary>
				{#if settingsOpen}
					<div class="mt-2 grid gap-3 sm:grid-cols-3">
						{#each Object.entries(SETTING_WORDS) as [name, words] (name)}
							<Field
								id="set-{name}"
								path="settings.{name}"
								label={[words.name, words.unit].filter(Boolean).join(', ')}
								bind:value={draft.settings[name as keyof typeof SETTING_WORDS]}
								{errors}
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
								{errors}
								list={setUpSeen[name]}
							/>
						{/each}
						<Field id="roomTemperature" label="Room" bind:value={draft.roomTemperature} {errors} placeholder="21 C" />
						<Field id="roomHumidityPct" label="Humidity, %" bind:value={draft.roomHumidityPct} {errors} inputmode="decimal" />
						<Field id="gramsG" label="Grams it took" bind:value={draft.grams} {errors} inputmode="decimal" />
						<Field id="minutes" label="Minutes" bind:value={draft.minutes} {errors} inputmode="decimal" />
						<Field
							id="midPrint"
							label="Changed while it printed"
							bind:value={draft.midPrint}
							{errors}
							placeholder="fan to 50 % at a third"
						/>
						<SlicedFile id="sliced-file" bind:hash={draft.fileHash} />
					</div>
					<div class="mt-3">
						<Label for="printer" class="mb-0.5 text-[0.85rem] font-medium text-ink!">Printer and nozzle</Label>
						<select id="printer" class="rounded border bg-panel py-1 pr-8 pl-2" bind:value={draft.printerId}>
							<option value="">not noted</option>
							{#each data.printers as printer (printer.id)}<option value={printer.id}>{printer.name}, {printer.nozzle}</option>{/each}
						</select>
						<a class="link ml-2 text-[0.9rem]" href="/workshop">add a printer</a>
					</div>
				{/if}
			</details>
			<div>
				<Label for="print-note" class="mb-0.5 text-[0.85rem] font-medium text-ink!">Note</Label>
				<Textarea id="print-note" rows={2} class="w-full bg-panel!" bind:value={draft.note} />
			</div>
			<p class="caution">
				Nozzle, bed and dryer burn. Ventilate: ABS, ASA, PC and PA give off fumes and fine particles most. Follow the maker’s data sheet and
				local rules.
			</p>
			<Button type="submit" class="bg-act! text-on-act!">Keep the print</Button>
		</form>
		{#if evidence.attempts.length}
			<h2 class="mt-6 mb-2 font-semibold">{plural(evidence.attempts.length, 'print')} of {evidence.spool.code}</h2>
			<Later>
				<AttemptList
					attempts={evidence.attempts}
					readings={evidence.readings}
					events={evidence.events}
					notes={data.notes}
					photos={data.photos}
					amendments={data.amendments}
					{pieceName}
					departures={(attempt) => departures(evidence, attempt, data.basis)}
					onchange={() => void invalidateAll()}
				/>
			</Later>
		{/if}
		{#snippet says()}
			{#each unlike as line (line)}<p class="question mt-1">≠ {line}</p>{/each}
			<FindingLines {findings} defs={PRINT_QUANTITIES} {pieceName} />
			<CompositeLine {findings} criteria={data.criteria} basis={data.basis} rules="/trials/{data.head.id}/pick" />
		{/snippet}
	</BenchFrame>
{/if}
