<script lang="ts">
	import { fieldError } from '$lib/schemas/field-error';
	import { refusedReading } from '$lib/schemas/refused-reading';
	import { LOAD_METHODS, ORIENTATIONS } from '$lib/core/closed-lists';
	import { goto, invalidateAll } from '$app/navigation';
	import { page } from '$app/state';
	import type { LoadMethod, Orientation, Specimen } from '$lib/core/evidence/specimen';
	import type { SpoolEvidence } from '$lib/core/evidence/spool-evidence';
	import { BY_HAND_WORDS, FAILURE_WORDS } from '$lib/core/strength/words';
	import { readReading } from '$lib/core/readings/read-reading';
	import { specimenKinds } from '$lib/core/strength/kinds';
	import { strengthStation } from '$lib/core/strength/station';
	import BenchFrame from '$lib/ui/bench/BenchFrame.svelte';
	import { BenchReadings } from '$lib/ui/bench/bench-readings.svelte';
	import CaptureField from '$lib/ui/bench/CaptureField.svelte';
	import EmptyBench from '$lib/ui/bench/EmptyBench.svelte';
	import { outbox } from '$lib/ui/bench/outbox-state.svelte';
	import { railItem } from '$lib/ui/bench/rail-item';
	import Choice from '$lib/ui/form/Choice.svelte';
	import Field from '$lib/ui/form/Field.svelte';
	import { hereAndNow, newId } from '$lib/ui/form/send';
	import FindingLines from '$lib/ui/prints/FindingLines.svelte';
	import { readLoad, unitTyped, withUnit } from '$lib/ui/strength/read-load';
	import { specimenOfItem } from '$lib/ui/strength/specimen-of-item';
	import SpecimenList from '$lib/ui/strength/SpecimenList.svelte';
	import { plural } from '$lib/ui/words/numbers';
	import { choices, FAILURE_MODE_WORDS, METHOD_WORDS, ORIENTATION_WORDS } from '$lib/ui/words/closed-lists';
	import { refusalWords } from '$lib/ui/words/refusals';
	import { SvelteMap } from 'svelte/reactivity';
	import Later from '$lib/ui/shell/Later.svelte';
	import { onMount, untrack } from 'svelte';
	import DamagedRecords from '$lib/ui/spool/DamagedRecords.svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const bench = new BenchReadings('strength');
	let field = $state<CaptureField>();
	/** How specimens are made and loaded: copied forward from the last one of the trial. */
	const last = untrack(() =>
		data.evidence
			.flatMap((e) => e.specimens)
			.sort((a, b) => a.at - b.at)
			.at(-1)
	);
	let shape = $state(last?.shape ?? '');
	let orientation = $state<Orientation>(last?.orientation ?? 'upright');
	let method = $state<LoadMethod>(last?.method ?? 'steps');
	let bucket = $state('');
	let unit = $state('');
	const local = new SvelteMap<string, Specimen & { spoolId: string }>();
	/** The specimen that is being loaded, for each spool; none between two. */
	const open = new SvelteMap<string, string>();
	/** Last load of each specimen of this page, known at the key press and not only when it is stored. */
	const lastStep = new Map<string, number>();
	/** The one that broke last and can still be told how. */
	let broken = $state<{ id: string; number: number } | null>(null);

	onMount(() => {
		// What this device was told last, else what the trial's last specimen had.
		const latest = (...quantities: string[]) =>
			data.evidence
				.flatMap((e) => e.readings)
				.filter((r) => quantities.includes(r.quantity) && r.status === 'counts')
				.sort((a, b) => a.takenAt - b.takenAt)
				.at(-1);
		bucket = localStorage.getItem('draught-bucket') ?? latest('bucketMass')?.typedText ?? '';
		unit = localStorage.getItem('draught-load-unit') ?? latest('loadHeld', 'loadBroke')?.typedUnit ?? '';
	});

	const withSpecimens = (e: SpoolEvidence): SpoolEvidence => {
		const waiting = outbox.items.flatMap((item) => specimenOfItem(item) ?? []);
		const known = new Set(e.specimens.map((s) => s.id));
		const mine = [...local.values(), ...waiting.filter((w) => !local.has(w.id))].filter(
			(s) => s.spoolId === e.spool.id && !known.has(s.id)
		);
		return { ...bench.of(e), specimens: [...e.specimens, ...mine] };
	};
	const live = $derived(data.evidence.map(withSpecimens));
	const fallback = untrack(() => data.spools[0]?.id ?? null);
	const index = $derived(
		Math.max(
			0,
			live.findIndex((e) => e.spool.id === (page.url.searchParams.get('spool') ?? fallback))
		)
	);
	const evidence = $derived(live[index]);
	// What was captured a moment ago may be the first of its kind: then it is the one compared.
	const basis = $derived({ ...data.basis, specimenKinds: specimenKinds(live) });
	const defs = $derived(strengthStation.quantities(basis));
	const findings = $derived(evidence ? strengthStation.find(evidence, basis, 0) : []);
	const current = $derived(evidence ? (open.get(evidence.spool.id) ?? null) : null);
	const count = $derived(evidence?.specimens.filter((s) => s.status === 'counts').length ?? 0);
	const steps = $derived(
		(evidence?.readings ?? []).filter((r) => r.specimenId === current && r.status === 'counts' && r.quantity !== 'bucketMass')
	);
	const waiting = $derived(new Set([...bench.waiting, ...outbox.items.map((i) => i.id)]));
	const items = $derived(
		live.map((e) => {
			const n = e.specimens.filter((s) => s.status === 'counts').length;
			return railItem(e.spool, n ? plural(n, 'specimen') : 'to do');
		})
	);

	function choose(id: string): void {
		broken = null;
		void goto(`?spool=${id}`, { keepFocus: true, noScroll: true, replaceState: true });
		field?.focus();
	}
	function move(by: 1 | -1): void {
		const next = live[(index + by + live.length) % live.length];
		if (next) choose(next.spool.id);
	}

	/** The specimen a load belongs to, opened at once: the next key must find it there. */
	function specimen(spoolId: string): { id: string; store: () => Promise<void> } {
		const known = open.get(spoolId);
		if (known) return { id: known, store: () => Promise.resolve() };
		const id = newId();
		const body = { id, spoolId, shape: shape.trim(), orientation, method, ...hereAndNow() };
		open.set(spoolId, id);
		local.set(id, { ...body, at: Date.parse(body.at), status: 'counts', corrected: false, confirmed: false });
		const mass = method === 'steps' ? bucket.trim() : '';
		return {
			id,
			async store() {
				await outbox.put('specimens', body);
				if (mass) await bench.keep({ spoolId, quantity: 'bucketMass', typed: mass, specimenId: id });
			}
		};
	}

	// One after the other, so that the specimen reaches the outbox before its loads.
	let queue = Promise.resolve();
	function store(spoolId: string, row: { quantity: string; typed: string }, value: number | null, ends: boolean): void {
		const number = open.has(spoolId) ? count : count + 1;
		const of = specimen(spoolId);
		if (value !== null) lastStep.set(of.id, value);
		if (ends) {
			open.delete(spoolId);
			broken = row.quantity.endsWith('Broke') ? { id: of.id, number } : null;
		}
		queue = queue.then(async () => {
			await of.store();
			await bench.keep({ spoolId, ...row, specimenId: of.id });
		});
	}

	function keep(text: string) {
		if (!evidence) return fieldError('typed', 'nothingToLoad');
		if (!shape.trim()) return fieldError('typed', 'loadedShapeMissing');
		const read = readLoad(text, method);
		const blows = method === 'blows';
		const typed = blows ? read.typed : withUnit(read.typed, unit);
		const value = readReading(read.quantity, typed);
		if (!value.ok) return refusedReading('typed', value);
		const before = current === null ? undefined : lastStep.get(current);
		if (method === 'steps' && before !== undefined && value.value <= before) return fieldError('typed', 'notMoreThanLast');
		if (method === 'steps' && bucket.trim()) {
			const mass = readReading('bucketMass', bucket);
			if (!mass.ok) return fieldError('typed', 'bucketRefused', { why: refusalWords(refusedReading('bucket', mass)) });
		}
		const said = blows ? null : unitTyped(typed);
		if (said) {
			unit = said;
			localStorage.setItem('draught-load-unit', said);
		}
		store(evidence.spool.id, { quantity: read.quantity, typed }, value.value, method !== 'steps' || read.quantity.endsWith('Broke'));
		return null;
	}
	function neverBroke(): void {
		if (evidence) open.delete(evidence.spool.id);
		broken = null;
		field?.focus();
	}
	function byHand(word: string): void {
		if (evidence && shape.trim()) store(evidence.spool.id, { quantity: 'byHand', typed: word }, null, true);
	}
	function failed(word: string): void {
		if (!evidence || !broken) return;
		void bench.keep({ spoolId: evidence.spool.id, quantity: 'failure', typed: word, specimenId: broken.id });
		broken = null;
		field?.focus();
	}
	function takeBack(): void {
		const latest = (evidence?.readings ?? []).filter((r) => r.status === 'counts').at(-1);
		if (!latest || !evidence) return;
		void bench.takeBack(latest.id);
		// A break taken back: the specimen still hangs there.
		if (latest.specimenId && latest.quantity.endsWith('Broke') && method === 'steps') open.set(evidence.spool.id, latest.specimenId);
		if (latest.specimenId) lastStep.delete(latest.specimenId);
		broken = null;
	}
	async function reload(): Promise<void> {
		await invalidateAll();
		bench.settle();
	}
</script>

<svelte:head><title>Strength · {data.head.name} · Draught</title></svelte:head>
{#if !evidence}
	<EmptyBench title="Strength" trialId={data.head.id} />
{:else}
	<BenchFrame {items} chosen={evidence.spool.id} onchoose={choose} {move}>
		<DamagedRecords damaged={evidence.damaged} kind="specimen" />
		<div class="flex flex-wrap items-baseline gap-x-3">
			<h1 class="text-[2rem] leading-tight font-bold">{evidence.spool.code}</h1>
			<span class="text-muted">{evidence.spool.material} · {plural(count, 'specimen')}</span>
		</div>
		<p class="caution my-2">
			Eye protection and a shield: breaking things throws fragments. Stand clear of hung weights, nothing under them. Never hang a person,
			or anything overhead, on a printed part.
		</p>
		<div class="mb-2 flex flex-wrap items-start gap-x-5 gap-y-2">
			<Field
				id="shape"
				label="What is loaded"
				bind:value={shape}
				errors={[]}
				placeholder="hook"
				list={['hook', 'bar', 'bracket', 'strip']}
				class="w-44"
			/>
			<Choice
				name="orientation"
				legend="Printed"
				bind:value={orientation}
				options={choices(ORIENTATIONS, ORIENTATION_WORDS)}
				onchange={() => open.clear()}
			/>
			{#if method === 'steps'}
				<Field
					id="bucket"
					label="Bucket, added to every load"
					bind:value={() => bucket, (v) => ((bucket = v), localStorage.setItem('draught-bucket', v))}
					errors={[]}
					placeholder="0.4 kg"
					class="w-44"
				/>
			{/if}
			<Choice name="method" legend="How" bind:value={method} options={choices(LOAD_METHODS, METHOD_WORDS)} onchange={() => open.clear()} />
		</div>
		{#if method === 'byHand'}
			<fieldset>
				<legend class="mb-1 font-medium">How does it give way in the hands?</legend>
				<div class="flex flex-wrap gap-2">
					{#each BY_HAND_WORDS as word (word)}
						<button type="button" class="panel px-4 py-2 text-[1.05rem] font-semibold" disabled={!shape.trim()} onclick={() => byHand(word)}
							>{word}</button
						>
					{/each}
				</div>
			</fieldset>
		{:else}
			<p id="how" class="mb-1.5 text-[1.05rem]">
				{#if method === 'steps'}
					Specimen <strong>{current ? count : count + 1}</strong>{steps.length ? `, held ${steps.map((r) => r.typedText).join(', ')}` : ''} ·
					a load it holds, or the one that breaks it with <kbd>x</kbd> behind
				{:else if method === 'direct'}
					Specimen <strong>{count + 1}</strong> · the load at which it broke; <kbd>h</kbd> behind if it held
				{:else}
					Specimen <strong>{count + 1}</strong> · the blow that broke it; <kbd>h</kbd> behind if it held them all
				{/if}
			</p>
			<CaptureField
				bind:this={field}
				label={method === 'blows' ? `Blows on ${evidence.spool.code}` : `Load on ${evidence.spool.code}`}
				unit={method === 'blows' ? 'blows' : unit || 'N'}
				last={null}
				{keep}
				{takeBack}
				{move}
				describedBy="how"
				also={method === 'steps' ? { label: 'It broke', suffix: ' x' } : { label: 'It held', suffix: ' h' }}
			/>
			{#if method === 'steps' && current && steps.length}
				<button type="button" class="panel mt-2 px-3 py-1 font-semibold" onclick={neverBroke}>It never broke: next specimen</button>
			{/if}
			{#if broken}
				<fieldset class="question mt-3">
					<legend class="float-left mr-3 font-medium">How did it fail?</legend>
					<div class="flex flex-wrap gap-1.5">
						{#each FAILURE_WORDS as word (word)}
							<button type="button" class="panel px-2.5 py-1" onclick={() => failed(word)}>{FAILURE_MODE_WORDS[word]}</button>
						{/each}
					</div>
				</fieldset>
			{/if}
		{/if}
		<Later>
			{#if evidence.specimens.length}
				<h2 class="mt-5 mb-1 font-semibold">Specimens</h2>
				<SpecimenList specimens={evidence.specimens} readings={evidence.readings} {waiting} onchange={() => void reload()} />
			{/if}
		</Later>
		{#snippet says()}
			<FindingLines {findings} {defs} />
			<p class="small mt-3">
				Compared is the kind that most spools have{basis.specimenKinds.load ? '' : ', once there is one'}; others stay on the spool’s page.
				This compares spools; it does not say that a part is safe.
			</p>
		{/snippet}
	</BenchFrame>
{/if}
