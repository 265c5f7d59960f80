<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { departures } from '$lib/core/stations/prints/ways/departures';
	import { isFlexible } from '$lib/core/stations/prints/success/find-flexible';
	import { PRINT_QUANTITIES, printsStation } from '$lib/core/stations/prints/station';
	import BenchFrame from '$lib/ui/bench/BenchFrame.svelte';
	import EmptyBench from '$lib/ui/bench/EmptyBench.svelte';
	import { Bench } from '$lib/ui/bench/bench.svelte';
	import { Shelf } from '$lib/ui/bench/shelf.svelte';
	import { arrowIn } from '$lib/ui/form/keys';
	import { focusFirst } from '$lib/ui/form/focus-first';
	import FormShell from '$lib/ui/form/FormShell.svelte';
	import { offered } from '$lib/ui/form/offered';
	import WhenField from '$lib/ui/form/WhenField.svelte';
	import AskedBefore from '$lib/ui/prints/AskedBefore.svelte';
	import AttemptList from '$lib/ui/prints/AttemptList.svelte';
	import CompositeLine from '$lib/ui/prints/CompositeLine.svelte';
	import FindingLines from '$lib/ui/prints/FindingLines.svelte';
	import { draftFor, labelNozzleC, piecesToPrint, printsToDo, type AttemptDraft } from '$lib/ui/prints/attempt-draft';
	import { AttemptEntry } from '$lib/ui/prints/attempt-entry.svelte';
	import LoadEffort from '$lib/ui/prints/LoadEffort.svelte';
	import PieceChoice from '$lib/ui/prints/PieceChoice.svelte';
	import StateNotCounted from '$lib/ui/prints/StateNotCounted.svelte';
	import PrintEnd from '$lib/ui/prints/PrintEnd.svelte';
	import PrintSettings from '$lib/ui/prints/PrintSettings.svelte';
	import PrintMarks from '$lib/ui/prints/PrintMarks.svelte';
	import type { Missing } from '$lib/core/judging/finding/types';
	import { flagLines } from '$lib/words/messages';
	import { plural } from '$lib/words/numbers';
	import { Button, Label } from 'flowbite-svelte';
	import TextArea from '$lib/ui/form/TextArea.svelte';
	import { onDestroy, onMount, untrack } from 'svelte';
	import Later from '$lib/ui/growing/Later.svelte';
	import DamagedRecords from '$lib/ui/spool/DamagedRecords.svelte';
	import type { PageProps } from './$types';
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
		status: (e, i) => printsToDo(e, missingOf(i)),
		onchoose: () => entry.leave()
	});
	const evidence = $derived(bench.evidence);
	const bySpool = $derived(evidence?.spool.id ?? '');
	/** The marks of its prints are here. */
	const isWhole = $derived(bySpool === data.opened || shelf.has(bySpool));
	const findings = $derived(evidence && isWhole ? (data.found[bySpool] ?? printsStation.find(evidence, data.basis)) : []);
	const labelNozzle = $derived(evidence ? labelNozzleC(evidence) : null);
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
	/** In what this spool's prints are unlike those of the others. */
	const unlike = $derived(
		flagLines(
			data.flags.filter((f) => f.spoolIds.includes(bySpool)),
			(id) => data.spools.find((s) => s.id === id)?.code ?? ''
		)
	);
	const pieces = $derived(
		piecesToPrint(evidence?.pieces ?? [], { first: data.basis.pieceIds, putAway: data.putAway, chosen: draft?.pieceId })
	);

	const fresh = (): AttemptDraft =>
		draftFor(evidence, {
			prints: data.evidence.flatMap((e) => e.attempts),
			printerId: data.head.printerId ?? offered(data.printers).at(-1)?.id ?? '',
			pieceId: wantedPiece,
			at: Date.now()
		});
	// The first is served with the page.
	untrack(() => bySpool && entry.open(bySpool, fresh));
	$effect.pre(() => {
		const id = bySpool;
		untrack(() => id && entry.open(id, fresh));
	});
	entry.followState(() => evidence);
	let element = $state<HTMLFormElement>();

	/** Most prints finish, and that is what stands there: the first mark is what one types. */
	const beginAnew = () => focusFirst(element?.querySelector<HTMLElement>('input[inputmode="decimal"]') ?? element?.querySelector('input'));
	onMount(beginAnew);

	/** Arrows lead to another spool from a field of one line, as they do from the field of every bench. */
	function otherSpool(event: KeyboardEvent): void {
		const by = arrowIn(element, event);
		if (by === null) return;
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
			<PieceChoice bind:pieceId={draft.pieceId} {pieces} code={evidence.spool.code} labelNozzleC={labelNozzle} />
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
		<FormShell bind:element class="space-y-4" problem={entry.problem} onsubmit={submit}>
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
			<StateNotCounted basis={data.basis} condition={draft.condition} />
			<PrintMarks {piece} flexible={isFlexible(evidence.spool.material)} bind:marks={draft.marks} errors={entry.errors} />
			{#if isFlexible(evidence.spool.material)}<LoadEffort bind:marks={draft.marks} />{/if}
			<p class="small">
				Other marks: <a class="link" href="/trials/{data.head.id}/prints/score">score prints</a>, all spools in one go.
			</p>
			<AskedBefore {evidence} {draft} printers={data.printers} handbook={data.basis.handbook} />
			<PrintSettings
				{draft}
				bind:open={entry.settingsOpen}
				errors={entry.errors}
				spoolId={bySpool}
				calibrated={data.calibrated[bySpool] ?? {}}
				attempts={data.evidence.flatMap((e) => e.attempts)}
				printers={data.printers}
			/>
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
		</FormShell>
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
