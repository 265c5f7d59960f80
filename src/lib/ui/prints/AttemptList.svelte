<script lang="ts">
	import { conditionOf, type History } from '$lib/core/record/conditions/condition-at';
	import type { Departure } from '$lib/core/stations/prints/ways/departures';
	import type { Attempt } from '$lib/core/record/evidence/attempt';
	import type { Piece } from '$lib/core/record/evidence/piece';
	import type { Reading } from '$lib/core/record/evidence/reading';
	import AmendDialog from '../form/AmendDialog.svelte';
	import { Amending } from '../form/amending.svelte';
	import { When } from '../form/when.svelte';
	import PhotosOfPrint from '../photos/PhotosOfPrint.svelte';
	import ReadingButton from '../bench/ReadingButton.svelte';
	import ReadingEditor from '../bench/ReadingEditor.svelte';
	import { growing } from '../growing/growing.svelte';
	import { departureWords } from '../../words/departures';
	import { marksByScorer } from '../../words/marks';
	import { markName } from '../../words/print-marks';
	import { dayAndTime, upTo } from '../../words/numbers';
	import { stateWords } from '../../words/messages';
	import { CAUSE_WORDS, FAILURE_KIND_WORDS, WATER_SIGN_WORDS } from '../../words/closed-lists';
	import { settingsLine } from './attempt-draft';
	import EditPrint from './EditPrint.svelte';
	import { correctedIn, editOf, type AttemptEdit } from './attempt-edit';
	import Problem from '../form/Problem.svelte';
	import { SvelteMap } from 'svelte/reactivity';

	type AmendmentRow = { id: string; targetId: string; action: string; reason: string; at: number; undoesId: string | null };
	type Props = {
		attempts: Attempt[];
		readings: Reading[];
		/** The spool's history, which tells the state of each print. */
		history: History;
		notes: { targetId: string; text: string }[];
		photos: { id: string; attemptId: string; width: number; height: number }[];
		amendments: AmendmentRow[];
		/** All that could have been printed. */
		pieces: readonly Pick<Piece, 'id' | 'name' | 'version'>[];
		/** All that it could have been printed on. */
		printers: readonly { id: string; name: string }[];
		pieceName: (id: string) => string;
		/** What an attempt departs in from the trial it is looked at in. */
		departures?: (attempt: Attempt) => Departure[];
		onchange: () => void;
	};
	let {
		attempts,
		readings,
		history,
		notes,
		photos,
		amendments,
		pieces,
		printers,
		pieceName,
		departures = () => [],
		onchange
	}: Props = $props();
	const newestFirst = $derived([...attempts].reverse());
	/** Prints that are looked at; the newest is, until it is folded. */
	const opened = new SvelteMap<string, boolean>();
	const isOpen = (a: Attempt) => opened.get(a.id) ?? a === newestFirst[0];
	/** What its marks say, in one line. */
	const marksLine = (a: Attempt) =>
		marksOf(a)
			.filter((r) => r.status === 'counts')
			.map((r) => `${markName(r.quantity)} ${r.typedText}`)
			.join(', ');
	const rows = growing(() => attempts.length, 2, 2);
	const portionOf = (a: Attempt) => history.events.find((e) => e.id === a.portionId)?.portion ?? null;
	const stateOf = (a: Attempt) => {
		const { kind, since } = conditionOf(history, a);
		const state = stateWords(kind, since === null ? null : (a.at - since) / 86_400_000);
		const portion = a.portionId === null ? '' : `portion ${portionOf(a) ?? ''}, `;
		return `${portion}${state}`;
	};
	const portions = $derived(history.events.filter((e) => e.portion !== null && e.status === 'counts'));
	const marksOf = (a: Attempt) => readings.filter((r) => r.attemptId === a.id);
	const endWords = (a: Attempt) => {
		if (a.outcome === 'finished') return 'Finished';
		const how = a.failure === null ? '' : `, ${FAILURE_KIND_WORDS[a.failure]}`;
		const end = a.outcome === 'ofNoUse' ? 'Finished, of no use' : `Failed at ${upTo(a.percentReached, 1)} %`;
		return `${end}${how}, cause: ${CAUSE_WORDS[a.cause ?? 'unknown']}`;
	};
	/** The last amendment in force of an attempt: what an undo would take back. */
	const lastOf = (a: Attempt) => {
		const own = amendments.filter((x) => x.targetId === a.id);
		const undone = new Set(own.flatMap((x) => (x.action === 'undo' && x.undoesId ? [x.undoesId] : [])));
		return own.filter((x) => x.action !== 'undo' && !undone.has(x.id)).at(-1) ?? null;
	};

	let editor = $state<ReadingEditor>();
	/** When it was really printed, if that was noted wrongly. */
	const printed = new When();
	const FIELDS = [
		'percentReached',
		'cause',
		'failure',
		'outcome',
		'pieceId',
		'settings',
		'condition',
		'printerId',
		'portionId',
		'gramsG',
		'setUp',
		'midPrint',
		'signs'
	].map((name) => `replacement.${name}`);
	const amending = new Amending<Attempt>('attempt', () => onchange(), [...FIELDS, 'replacement', 'when'], printed);
	let draft = $state<AttemptEdit | null>(null);

	const stateBefore = (attempt: Attempt) => conditionOf(history, attempt).kind;

	function edit(attempt: Attempt): void {
		draft = editOf(attempt, stateBefore(attempt), printers);
		printed.backToNow();
		amending.edit(attempt);
	}
</script>

{#if amending.problem && !amending.open}<Problem>{amending.problem}</Problem>{/if}
<ol class="space-y-1">
	{#each newestFirst.slice(0, rows.shown) as attempt (attempt.id)}
		{@const last = lastOf(attempt)}
		<li class="panel {attempt.status === 'excluded' ? 'opacity-75' : ''}">
			<details class="px-3 py-1" open={isOpen(attempt)}>
				<summary
					class="py-1 {isOpen(attempt) ? '' : 'truncate'}"
					onclick={(e) => {
						// The page says which are open: one that was opened by being the newest folds when a newer one comes.
						e.preventDefault();
						opened.set(attempt.id, !isOpen(attempt));
					}}
				>
					<strong class={attempt.status === 'excluded' ? 'line-through' : ''}>
						{endWords(attempt)}
					</strong>
					<span class="small ml-1"
						>{pieceName(attempt.pieceId)} · {stateOf(attempt)} · {dayAndTime(attempt.at)}{isOpen(attempt)
							? ''
							: marksLine(attempt) && ` · ${marksLine(attempt)}`}</span
					>
				</summary>
				{#if isOpen(attempt)}
					<button type="button" class="link float-right min-h-[26px] text-[0.9rem]" onclick={() => edit(attempt)}>edit</button>
					{#each marksByScorer(marksOf(attempt)) as by (by.scorer)}
						<p class="flex flex-wrap gap-x-3">
							<span class="small self-center">{by.scorer ?? 'scorer not named'}:</span>
							{#each by.marks as mark (mark.id)}
								<span
									><span class="text-muted">{markName(mark.quantity)}</span>
									<ReadingButton reading={mark} edit={(reading) => editor?.edit(reading)} /></span
								>
							{/each}
							{#if by.cleanSurface}<span><span class="text-muted">surface</span> clean</span>{/if}
						</p>
					{/each}
					<p class="small">
						{[
							settingsLine(attempt.settings),
							attempt.printer ? `${attempt.printer}, ${attempt.nozzle}` : null,
							attempt.fileHash ? `file ${attempt.fileHash.slice(0, 8)}` : null
						]
							.filter(Boolean)
							.join(' · ')}
					</p>
					{#each departures(attempt) as departure (departure.kind)}<p class="small">≠ {departureWords(departure)}</p>{/each}
					{#if attempt.tuning || attempt.signs.length}
						<p class="small">
							{[
								attempt.tuning ? 'finding the settings: kept apart' : null,
								attempt.signs.length ? `signs of water: ${attempt.signs.map((sign) => WATER_SIGN_WORDS[sign]).join(', ')}` : null
							]
								.filter(Boolean)
								.join(' · ')}
						</p>
					{/if}
					{#if attempt.midPrint}<p class="question mt-1">≠ changed while printing: {attempt.midPrint}</p>{/if}
					{#each notes.filter((n) => n.targetId === attempt.id) as note, i (i)}<p class="italic">{note.text}</p>{/each}
					<PhotosOfPrint
						attemptId={attempt.id}
						label="{pieceName(attempt.pieceId)}, {dayAndTime(attempt.at)}"
						photos={photos.filter((p) => p.attemptId === attempt.id)}
						{onchange}
					/>
					{#if last}
						<p class="small">
							{last.action === 'correct' ? 'Corrected' : last.action === 'exclude' ? 'Marked invalid' : 'Counts again'}: {last.reason}
							<button type="button" class="link" onclick={() => void amending.amend('undo', { undoesId: last.id }, attempt)}>undo</button>
						</p>
					{/if}
				{/if}
			</details>
		</li>
	{/each}
	{#if rows.shown < attempts.length}<li data-later aria-hidden="true"></li>{/if}
</ol>

<ReadingEditor bind:this={editor} {onchange} />

<AmendDialog
	{amending}
	title="Edit this print"
	about="What was noted first stays on record."
	placeholder="belt was loose"
	correction={() => {
		const at = printed.isNow ? {} : { at: printed.moment().at };
		const { chosen } = amending;
		return { replacement: chosen && draft ? { ...correctedIn(chosen, stateBefore(chosen), draft, printers), ...at } : {} };
	}}
>
	{#if draft && amending.chosen}
		{@const { at } = amending.chosen}
		<EditPrint {at} condition={stateBefore(amending.chosen)} {draft} {pieces} {printers} {portions} {printed} errors={amending.errors} />
	{/if}
</AmendDialog>
