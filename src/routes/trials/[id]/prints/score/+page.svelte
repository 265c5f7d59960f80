<script lang="ts">
	import { Select } from 'flowbite-svelte';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import type { Piece } from '$lib/core/record/evidence/piece';
	import { onRequest, scoringQueue, type Question, type Sitting, type Waiting } from '$lib/core/stations/prints/marks/scoring';
	import { BenchReadings } from '$lib/ui/bench/bench-readings.svelte';
	import { newId } from '$lib/ui/form/send';
	import { isPlainKey } from '$lib/ui/form/keys';
	import AgreementList from '$lib/ui/scoring/AgreementList.svelte';
	import FaultsQuestion from '$lib/ui/scoring/FaultsQuestion.svelte';
	import LadderQuestion from '$lib/ui/scoring/LadderQuestion.svelte';
	import MeasureQuestion from '$lib/ui/scoring/MeasureQuestion.svelte';
	import WindowQuestion from '$lib/ui/scoring/WindowQuestion.svelte';
	import WordsQuestion from '$lib/ui/scoring/WordsQuestion.svelte';
	import { plural } from '$lib/words/numbers';
	import { onMount } from 'svelte';
	import { CONDITION_WORDS } from '$lib/words/closed-lists';
	import { questionWords } from '$lib/words/print-marks';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const SCORER = 'draught-scorer';
	const bench = new BenchReadings('prints');
	/** One order for one sitting: from the day, so that a reload goes on where it was. */
	const seed = Math.floor(Date.now() / 86_400_000);
	let scorer = $state('');
	let which = $state<Sitting['kind']>('unscored');
	const sitting = $derived<Sitting>(which === 'unscored' || !scorer.trim() ? { kind: 'unscored' } : { kind: which, scorer: scorer.trim() });
	/** Ids of questions asked only on request. */
	let alsoAsked = $state<string[]>([]);
	const extraOf = (piece: Piece) => onRequest(piece, data.basis.ownMeasures).filter((q) => alsoAsked.includes(q.id));
	const nameOf = (q: Question) => (q.kind === 'measure' ? q.own?.name : undefined) ?? questionWords(q.id)?.title ?? q.id;
	onMount(() => (scorer = localStorage.getItem(SCORER) ?? ''));
	const live = $derived(data.evidence.map((e) => bench.of({ ...e })));
	const pieces = $derived.by(() => {
		const all = data.evidence[0]?.pieces ?? [];
		const ours = data.basis.pieceIds.flatMap((id) => all.filter((p) => p.id === id));
		const printed = all.filter((p) => !ours.includes(p) && data.evidence.some((e) => e.attempts.some((a) => a.pieceId === p.id)));
		return [...ours, ...printed].map((piece) => ({ piece, left: scoringQueue(live, piece, seed, sitting, extraOf(piece)).length }));
	});
	const chosen = $derived(
		pieces.find((p) => p.piece.id === page.url.searchParams.get('piece')) ?? pieces.find((p) => p.left > 0) ?? pieces[0] ?? null
	);
	/** Questions passed over in this sitting, by print and question. */
	let skipped = $state<string[]>([]);
	const keyOf = (w: Waiting, q: Question) => `${w.attemptId} ${q.id}`;
	/** Questions that are not asked in this sitting at all. */
	let leftOut = $state<string[]>([]);
	const queue = $derived(
		(chosen ? scoringQueue(live, chosen.piece, seed, sitting, extraOf(chosen.piece)) : [])
			.map((w) => ({ ...w, questions: w.questions.filter((q) => !leftOut.includes(q.id) && !skipped.includes(keyOf(w, q))) }))
			.filter((w) => w.questions.length > 0)
	);
	/** As many as there were when the piece was taken up. */
	let total = $state(0);
	let totalOf = '';
	$effect.pre(() => {
		const of = chosen ? `${chosen.piece.id} ${JSON.stringify(sitting)} ${alsoAsked.join(' ')}` : '';
		if (chosen && totalOf !== of) {
			totalOf = of;
			total = queue.length;
		}
	});
	const now = $derived(queue[0] ?? null);
	const requests = $derived(chosen ? onRequest(chosen.piece, data.basis.ownMeasures) : []);
	const question = $derived(now?.questions[0] ?? null);
	const words = $derived(question ? { title: nameOf(question), about: questionWords(question.id)?.about ?? '' } : null);
	/** What was kept in this sitting, last first: Backspace takes it back. */
	let kept = $state<{ ids: string[]; says: string }[]>([]);
	let skippedLast = $state<string[]>([]);

	function keep(w: Waiting, q: Question, answers: [reading: string, typed: string][]): void {
		// The ids are made here, so that one back finds them before they are kept.
		const ids = answers.map(() => newId());
		answers.forEach(([quantity, typed], i) => {
			const by = scorer.trim() ? { scorer: scorer.trim() } : {};
			const own = q.kind === 'measure' && q.own ? { ownMeasureId: q.own.id, ownUnit: q.own.words ?? q.own.unit } : {};
			void bench.keep({ id: ids[i], spoolId: w.spoolId, attemptId: w.attemptId, quantity, typed, ...own, ...by });
		});
		const said =
			q.kind === 'faults'
				? answers
						.filter(([reading, word]) => word !== 'none' && reading !== 'printersFault')
						.map(([, word]) => word)
						.join(', ') || 'clean'
				: answers.map(([, a]) => a).join(' / ');
		kept = [{ ids, says: `${w.code}, ${nameOf(q).toLowerCase()}: ${said}` }, ...kept];
		skippedLast = [];
	}
	function skip(): void {
		if (!now || !question) return;
		skipped = [...skipped, keyOf(now, question)];
		skippedLast = [keyOf(now, question), ...skippedLast];
	}
	function leaveOut(): void {
		if (question) leftOut = [...leftOut, question.id];
	}
	function back(): void {
		const [undo] = skippedLast;
		if (undo) {
			skipped = skipped.filter((key) => key !== undo);
			skippedLast = skippedLast.slice(1);
			return;
		}
		const [last, ...rest] = kept;
		if (!last) return;
		for (const id of last.ids) void bench.takeBack(id);
		kept = rest;
	}
	function keydown(event: KeyboardEvent): void {
		if (!isPlainKey(event)) return;
		if (event.key === 'Backspace') back();
		else if (event.key === 'x') skip();
		else if (event.key === 'X') leaveOut();
		else return;
		event.preventDefault();
	}
</script>

<svelte:head><title>Scoring · {data.head.name} · Draught</title></svelte:head>
<svelte:window onkeydown={keydown} />
<div class="max-w-4xl p-3 md:px-5 md:py-4">
	<p class="small"><a class="link" href="/trials/{data.head.id}/prints">Prints</a></p>
	<div class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
		<h1 class="text-[1.6rem] font-bold">Score prints</h1>
		<label>
			<span class="sr-only">Test piece</span>
			<Select
				placeholder=""
				size="sm"
				value={chosen?.piece.id}
				onchange={(e) => {
					kept = [];
					// The keys are for the prints from here on.
					e.currentTarget.blur();
					void goto(`?piece=${e.currentTarget.value}`, { replaceState: true, noScroll: true });
				}}
			>
				{#each pieces as { piece, left } (piece.id)}<option value={piece.id}>{piece.name} {piece.version}: {left} to score</option>{/each}
			</Select>
		</label>
	</div>
	<div class="mt-2 flex flex-wrap items-baseline gap-x-4">
		<label class="text-[0.9rem]"
			>Who scores
			<input
				type="text"
				class="w-40 rounded border bg-panel px-2 py-0.5"
				placeholder="your name"
				maxlength="60"
				bind:value={scorer}
				onchange={() => localStorage.setItem(SCORER, scorer.trim())}
			/></label
		>
		<label class="text-[0.9rem]"
			>scores
			<Select
				placeholder=""
				size="sm"
				classes={{ select: 'w-64' }}
				bind:value={which}
				disabled={!scorer.trim()}
				onchange={(e) => e.currentTarget.blur()}
			>
				<option value="unscored">unscored</option>
				<option value="after">scored by others too</option>
				<option value="again">score again</option>
			</Select></label
		>
		{#each requests as request (request.id)}
			<label class="flex min-h-[26px] items-center gap-1.5 text-[0.9rem]"
				><input type="checkbox" value={request.id} bind:group={alsoAsked} /> also ask: {nameOf(request).toLowerCase()}</label
			>
		{/each}
		<a class="link text-[0.9rem]" href="/workshop/trainer">train the eye</a>
	</div>
	<p class="small mt-1">All spools of one test piece in random order; names and prices are hidden.</p>
	{#if now && question && words}
		<div class="mt-4 flex flex-wrap items-baseline gap-x-4">
			<p class="text-[2rem] leading-tight font-bold" data-testid="scored-print">{now.code}</p>
			<p class="text-muted">{CONDITION_WORDS[now.condition]} · print {total - queue.length + 1} of {total}</p>
		</div>
		<progress class="mt-1 h-2 w-full" max={Math.max(1, total)} value={total - queue.length} aria-label="How much is scored"></progress>
		<section class="panel mt-3 px-4 py-3" aria-label={words.title}>
			<h2 class="text-[1.25rem] font-bold" aria-live="polite">{words.title}</h2>
			<p class="small mb-3">{words.about}</p>
			{#key `${now.attemptId} ${question.id}`}
				{#if question.kind === 'ladder'}
					{@const { lastClean, firstFaulty } = question}
					<LadderQuestion
						{question}
						answer={(clean, faulty) =>
							keep(now, question, [
								[lastClean, String(clean)],
								...(faulty === null ? [] : [[firstFaulty, String(faulty)] as [string, string]])
							])}
					/>
				{:else if question.kind === 'words'}
					{@const { reading } = question}
					<WordsQuestion {question} answer={(word) => keep(now, question, [[reading, word]])} />
				{:else if question.kind === 'window'}
					{@const { from, to } = question}
					<WindowQuestion
						{question}
						answer={(coolest, hottest) =>
							keep(now, question, [
								[from, `${coolest} C`],
								[to, `${hottest} C`]
							])}
					/>
				{:else if question.kind === 'faults'}
					<FaultsQuestion
						{question}
						answer={(of, printers) =>
							keep(now, question, [...Object.entries(of), ...printers.map((fault): [string, string] => ['printersFault', fault])])}
					/>
				{:else}
					{@const { reading } = question}
					<MeasureQuestion
						{question}
						label="{words.title} of {now.code}"
						answer={(typed) => keep(now, question, [[reading, typed]])}
						{skip}
						{back}
					/>
				{/if}
			{/key}
		</section>
		<p class="mt-3 flex flex-wrap gap-x-4 text-[0.9rem] text-muted">
			<button type="button" tabindex="-1" onclick={skip}
				><kbd>x</kbd>{#if question.kind === 'measure'}<kbd>Enter</kbd>{/if} not looked at</button
			>
			<button type="button" tabindex="-1" onclick={leaveOut}
				>{#if question.kind !== 'measure'}<kbd>X</kbd>{/if} skip {words.title} this time</button
			>
			<button type="button" tabindex="-1" onclick={back}><kbd>⌫</kbd> back</button>
		</p>
	{:else if pieces.length === 0}
		<p class="mt-4">No test piece was printed in this trial yet.</p>
	{:else}
		<p class="mt-4 text-[1.15rem] font-semibold" role="status" data-testid="all-scored">
			{total > 0 ? `${plural(total, 'print')} of this test piece scored.` : 'No print of this test piece is left to score.'}
		</p>
		<p class="mt-2">
			{#each pieces.filter((p) => p.left > 0 && p.piece.id !== chosen?.piece.id) as { piece, left } (piece.id)}
				<a class="link mr-4" href="?piece={piece.id}">{piece.name} {piece.version}: {left} to score</a>
			{/each}
			<a class="link" href="/trials/{data.head.id}">Trial sheet</a>
		</p>
	{/if}
	{#if !now}<AgreementList evidence={live} takenOut={data.head.takeOutLeniency} rules="/trials/{data.head.id}/rules" />{/if}
	{#if leftOut.length}
		<p class="small mt-3">
			Not asked: {leftOut.map((id) => (questionWords(id)?.title ?? id).toLowerCase()).join(', ')}.
			<button type="button" class="link" onclick={() => (leftOut = [])}>Ask again</button>
		</p>
	{/if}
	{#if kept.length}
		<h2 class="small mt-5 font-semibold">Saved this time</h2>
		<ol class="small">
			{#each kept.slice(0, 6) as one (one.ids.join())}<li>{one.says}</li>{/each}
		</ol>
	{/if}
</div>
