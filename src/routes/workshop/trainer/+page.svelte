<script lang="ts">
	import FormShell from '$lib/ui/form/FormShell.svelte';
	import { invalidateAll } from '$app/navigation';
	import { drawSample } from '$lib/core/stations/prints/trainer/sample';
	import { TRAINER_ANSWERS, TRAINER_SUBJECTS, type TrainerSubject } from '$lib/core/stations/prints/trainer/subjects';
	import { trainingPlan, trainingResult, type TrainingResult } from '$lib/core/stations/prints/trainer/training';
	import Choice from '$lib/ui/form/Choice.svelte';
	import { isPlainKey } from '$lib/ui/form/keys';
	import { Form } from '$lib/ui/form/form.svelte';
	import SampleDrawing from '$lib/ui/trainer/SampleDrawing.svelte';
	import { day } from '$lib/words/numbers';
	import { agreesWords, answerWord, gradeWords, resultWords, SUBJECT_WORDS } from '$lib/words/trainer';
	import { Button } from 'flowbite-svelte';
	import { onMount } from 'svelte';
	import type { PageProps } from './$types';
	import Problem from '$lib/ui/form/Problem.svelte';
	import ChosenIcon from '$lib/ui/form/ChosenIcon.svelte';
	import MissedIcon from '$lib/ui/form/MissedIcon.svelte';

	let { data }: PageProps = $props();
	const SCORER = 'draught-scorer';
	let scorer = $state('');
	onMount(() => (scorer = localStorage.getItem(SCORER) ?? ''));
	let subject = $state<TrainerSubject>('strings');
	/** A run in hand: its seed and what was answered. */
	let run = $state<{ seed: number; subject: TrainerSubject; answers: number[] } | null>(null);
	/** The answer just given, while what it was is shown. */
	let shown = $state<number | null>(null);
	let done = $state.raw<{ subject: TrainerSubject; result: TrainingResult } | null>(null);
	let problem = $state('');
	const form = new Form({ fields: [] });
	const plan = $derived(run ? trainingPlan(run.subject, run.seed) : []);
	const sample = $derived(run ? (plan[run.answers.length - (shown === null ? 0 : 1)] ?? null) : null);

	function begin(): void {
		problem = scorer.trim() ? '' : 'Enter who scores: a run belongs to somebody.';
		if (problem) return;
		localStorage.setItem(SCORER, scorer.trim());
		done = null;
		shown = null;
		run = { seed: Math.floor(Math.random() * 0x7fffffff), subject, answers: [] };
		(document.activeElement as HTMLElement | null)?.blur();
	}
	function answer(grade: number): void {
		if (!run || shown !== null) return;
		run.answers.push(grade);
		shown = grade;
	}
	async function next(): Promise<void> {
		if (!run) return;
		if (run.answers.length < plan.length) {
			shown = null;
			return;
		}
		const { seed, subject: of, answers } = $state.snapshot(run);
		const sent = await form.send('trainings', { scorer: scorer.trim(), subject: of, seed, answers });
		if (!sent.ok) {
			problem = sent.status === 0 ? sent.title : `${sent.title} Press Enter to send the run again.`;
			return;
		}
		problem = '';
		const pairs = plan.map(({ grade }, i) => [grade, answers[i] ?? 0] as const);
		done = { subject: of, result: trainingResult(pairs, TRAINER_ANSWERS[of].length) };
		run = null;
		shown = null;
		await invalidateAll();
	}
	function keydown(event: KeyboardEvent): void {
		if (!run || !isPlainKey(event)) return;
		const grade = Number(event.key) - 1;
		if (shown !== null && (event.key === 'Enter' || event.key === ' ')) void next();
		else if (shown === null && /^[1-9]$/.test(event.key) && TRAINER_ANSWERS[run.subject][grade] !== undefined) answer(grade);
		else return;
		event.preventDefault();
	}
</script>

<svelte:head><title>Train the eye · Draught</title></svelte:head>
<svelte:window onkeydown={keydown} />
<div class="max-w-6xl p-3 md:px-5 md:py-4">
	<p class="small"><a class="link" href="/workshop">Workshop</a></p>
	<h1 class="text-[1.6rem] font-bold">Train the eye</h1>
	{#if problem}<Problem class="mt-2">{problem}</Problem>{/if}
	{#if run && sample}
		<div class="mt-2 flex flex-wrap items-baseline gap-x-4">
			<h2 class="text-[1.25rem] font-bold" aria-live="polite">{SUBJECT_WORDS[run.subject].asks}</h2>
			<p class="text-muted" data-testid="trained-drawing">
				drawing {run.answers.length + (shown === null ? 1 : 0)} of {plan.length}
			</p>
		</div>
		<progress class="mt-1 h-2 w-full" max={plan.length} value={run.answers.length} aria-label="How much of the run is done"></progress>
		<div class="panel mt-3 max-w-xl px-4 py-3">
			<SampleDrawing drawing={drawSample(run.subject, sample.grade, sample.seed)} label="Drawing to be scored" />
		</div>
		<div class="mt-3 flex flex-wrap gap-2" role="group" aria-label="Choose an answer by its number">
			{#each TRAINER_ANSWERS[run.subject] as word, grade (word)}
				<button
					type="button"
					tabindex="-1"
					class="panel min-w-20 px-4 py-2 text-[1.15rem] {shown !== null && grade === sample.grade ? 'border-act bg-chosen font-bold' : ''}"
					disabled={shown !== null}
					onclick={() => {
						answer(grade);
					}}><kbd>{grade + 1}</kbd> {answerWord(run.subject, grade)}</button
				>
			{/each}
		</div>
		<p class="mt-3 min-h-7 text-[1.15rem]" role="status">
			{#if shown !== null}
				{#if shown === sample.grade}<strong><ChosenIcon /> Right.</strong>{:else}<strong
						><MissedIcon /> Not {answerWord(run.subject, shown)}.</strong
					> It was{/if}
				{gradeWords(run.subject, sample.grade)}.
				<button type="button" class="link ml-2" onclick={() => void next()}
					><kbd>Enter</kbd> {run.answers.length < plan.length ? 'next' : 'how it went'}</button
				>
			{/if}
		</p>
	{:else}
		<p class="small mt-1">
			Twelve example drawings, about two minutes. Words mean the same to two people only if both have seen what each looks like.
		</p>
		{#if done}
			<div class="panel mt-3 px-4 py-3">
				<p class="text-[1.15rem]" role="status" data-testid="training-result">
					<strong>{SUBJECT_WORDS[done.subject].title}.</strong>
					{resultWords(done.subject, done.result)}
				</p>
				<details class="small mt-1"><summary>method</summary>{agreesWords(done.result)}</details>
			</div>
		{/if}
		<div class="mt-3 grid gap-5 lg:grid-cols-2">
			<FormShell class="panel space-y-3 px-4 py-3" onsubmit={begin}>
				<label class="block text-[0.9rem]"
					>Who scores
					<input type="text" class="w-48 rounded border bg-panel px-2 py-1" maxlength="60" bind:value={scorer} /></label
				>
				<Choice
					name="subject"
					legend="What is trained"
					bind:value={subject}
					options={TRAINER_SUBJECTS.map((value) => ({ value, label: SUBJECT_WORDS[value].title }))}
				/>
				<Button type="submit">{done ? 'Once more' : 'Begin'}</Button>
			</FormShell>
			{#if data.trainings.length}
				<section aria-label="Runs on record">
					<h2 class="font-semibold">Runs on record</h2>
					<ul class="mt-1 space-y-1">
						{#each data.trainings.slice(0, 12) as one (one.id)}
							<li>
								<strong>{one.scorer}</strong>, {SUBJECT_WORDS[one.subject].title.toLowerCase()}, {day(one.at)}: {resultWords(
									one.subject,
									one.result
								)}
							</li>
						{/each}
					</ul>
				</section>
			{/if}
		</div>
	{/if}
</div>
