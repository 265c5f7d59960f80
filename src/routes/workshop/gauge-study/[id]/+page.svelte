<script lang="ts">
	import FormShell from '$lib/ui/form/FormShell.svelte';
	import { refusalWords } from '$lib/words/refusals';
	import { refusedReading } from '$lib/schemas/refused-reading';
	import { fieldError, type FieldError } from '$lib/schemas/field-error';
	import { browser } from '$app/environment';
	import { invalidateAll } from '$app/navigation';
	import { gaugeStudy } from '$lib/core/stations/diameter/gauge-study';
	import { cellsOf } from '$lib/core/stations/diameter/study-plan';
	import { readReading } from '$lib/core/joins/read-reading';
	import CaptureField from '$lib/ui/bench/CaptureField.svelte';
	import Field from '$lib/ui/form/Field.svelte';
	import FormProblem from '$lib/ui/form/FormProblem.svelte';
	import { Form } from '$lib/ui/form/form.svelte';
	import { When } from '$lib/ui/form/when.svelte';
	import WhenField from '$lib/ui/form/WhenField.svelte';
	import StudyResult from '$lib/ui/gauge-study/StudyResult.svelte';
	import { StudyDraft } from '$lib/ui/gauge-study/study-draft.svelte';
	import { day } from '$lib/words/numbers';
	import { ChosenUnit } from '$lib/ui/form/chosen-unit.svelte';
	import { Button } from 'flowbite-svelte';
	import { onMount, tick } from 'svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	let draft = $state.raw<StudyDraft | null>(null);
	// What was typed lives in this browser; the server's page comes without it.
	onMount(() => (draft = new StudyDraft(data.instrument.id)));
	let setup = $state({ raters: '', places: '5', repeats: '3' });
	let errors = $state.raw<FieldError[]>([]);
	const when = new When();
	const form = new Form({ when });
	const problem = $derived(
		[form.problem, ...form.errors.filter((e) => e.path !== 'when' && e.path !== 'at').map(refusalWords)].filter(Boolean).join(' ')
	);
	let field = $state<CaptureField>();
	const unit = new ChosenUnit('length');
	const names = $derived(
		setup.raters
			.split(/[,;\n]/)
			.map((name) => name.trim())
			.filter(Boolean)
	);
	const kept = $derived(
		data.studies.flatMap((study) => {
			const cells = cellsOf(study.readings);
			return cells ? [{ ...study, found: gaugeStudy(cells) }] : [];
		})
	);

	function begin(): void {
		const between = (text: string, low: number, high: number) => /^\d+$/.test(text.trim()) && +text >= low && +text <= high;
		const found: FieldError[] = [];
		if (names.length < 1 || names.length > 6) found.push(fieldError('raters', 'oneToSixNames'));
		else if (new Set(names).size < names.length) found.push(fieldError('raters', 'mustDiffer'));
		if (!between(setup.places, 2, 20)) found.push(fieldError('places', 'sizeOutOfRange', { low: 2, high: 20 }));
		if (!between(setup.repeats, 2, 5)) found.push(fieldError('repeats', 'sizeOutOfRange', { low: 2, high: 5 }));
		errors = found;
		if (found.length > 0) return;
		draft?.begin(names, { places: +setup.places, repeats: +setup.repeats }, Date.now());
		void tick().then(() => field?.focus());
	}
	function keep(text: string) {
		const typed = unit.meant(text);
		const read = readReading('diameter', typed);
		if (!read.ok) return refusedReading('typed', read);
		draft?.keep(typed);
		return null;
	}
	async function finish(): Promise<void> {
		if (!draft) return;
		const readings = draft.readings.map(({ place, rater, typed }) => ({ place, rater, typed }));
		const sent = await form.send('gauge-studies', {
			instrumentId: data.instrument.id,
			raters: $state.snapshot(draft.raters),
			readings
		});
		if (!sent.ok) return;
		draft.drop();
		await invalidateAll();
	}
</script>

<svelte:head><title>Gauge study · {data.instrument.name} · Draught</title></svelte:head>
<div class="max-w-3xl p-3 md:px-5 md:py-4">
	<p class="small"><a class="link" href="/workshop">Workshop</a></p>
	<h1 class="text-[1.6rem] font-bold">Gauge study of {data.instrument.name}</h1>
	<p class="small mt-1">
		How much of the spread you see is the instrument in your hands? Mark a few spots on a strand; everybody reads every spot several times,
		in mixed order.
	</p>
	<FormProblem title={problem} />
	{#if browser && draft}
		{#if !draft.begun}
			<FormShell class="panel mt-3 space-y-2 px-3 py-2" label="Set up a gauge study" onsubmit={begin}>
				<Field
					id="raters"
					label="Who measures"
					bind:value={setup.raters}
					{errors}
					placeholder="Ada, Ben"
					hint="names, with commas between them"
				/>
				<div class="grid grid-cols-2 gap-3">
					<Field id="places" label="Marked spots" bind:value={setup.places} {errors} inputmode="numeric" hint="thin and thick ones" />
					<Field id="repeats" label="Rounds" bind:value={setup.repeats} {errors} inputmode="numeric" />
				</div>
				<p class="small">
					{names.length ? `${names.length * (+setup.places || 0) * (+setup.repeats || 0)} readings in all. ` : ''}Two or three people, five
					to ten spots and three rounds are usual.
				</p>
				<Button type="submit" size="sm">Begin</Button>
			</FormShell>
		{:else if draft.step}
			<p id="step" class="mt-4 mb-1.5 text-[1.05rem]" role="status" data-testid="study-step">
				<strong>{draft.raters[draft.step.rater]}</strong> at spot <strong>{draft.step.place + 1}</strong>
				<span class="small">· round {draft.step.repeat + 1} · {draft.typed.length} of {draft.plan.length} read</span>
			</p>
			<CaptureField
				bind:this={field}
				label="Reading of spot {draft.step.place + 1}"
				unit={unit.unit}
				units={unit.units}
				onunit={(one) => unit.choose(one)}
				last={draft.typed.at(-1) ?? null}
				{keep}
				takeBack={() => draft?.takeBack()}
				describedBy="step"
			/>
			<progress class="mt-2 h-2 w-full" max={draft.plan.length} value={draft.typed.length} aria-label="How much is read"></progress>
			<button type="button" class="link mt-2 text-[0.9rem]" onclick={() => draft?.drop()}>Cancel this study</button>
		{:else if draft.found}
			<section class="panel mt-4 px-4 py-3" aria-label="What the study says" aria-live="polite">
				<StudyResult study={draft.found} />
				<WhenField {when} errors={form.errors} what="measured" class="mt-3" />
				<p class="mt-3 flex flex-wrap items-center gap-3">
					<Button size="sm" onclick={() => void finish()}>Save study</Button>
					<button type="button" class="link" onclick={() => draft?.takeBack()}>Undo the last reading</button>
					<button type="button" class="link" onclick={() => draft?.drop()}>Cancel</button>
				</p>
			</section>
		{/if}
	{/if}
	{#each kept as study, i (study.id)}
		<section class="mt-5" aria-label="Study of {day(study.at)}">
			<h2 class="mb-1 font-semibold">{day(study.at)}: {study.raters.join(', ')}{i === 0 ? ', in force' : ''}</h2>
			<StudyResult study={study.found} />
		</section>
	{:else}
		<p class="small mt-4">No study saved yet. Until then the scatter comes from the check on a pin, or from the display step.</p>
	{/each}
</div>
