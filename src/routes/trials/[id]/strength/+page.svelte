<script lang="ts">
	import { LOAD_METHODS, ORIENTATIONS } from '$lib/core/record/lists/closed-lists';
	import { BY_HAND_WORDS, DAMAGE_WORDS, FAILURE_WORDS } from '$lib/core/stations/strength/words';
	import WhenField from '$lib/ui/form/WhenField.svelte';
	import BenchFrame from '$lib/ui/bench/BenchFrame.svelte';
	import CaptureField from '$lib/ui/bench/CaptureField.svelte';
	import EmptyBench from '$lib/ui/bench/EmptyBench.svelte';
	import Choice from '$lib/ui/form/Choice.svelte';
	import { ChosenUnit } from '$lib/ui/form/chosen-unit.svelte';
	import Term from '$lib/ui/help/Term.svelte';
	import Field from '$lib/ui/form/Field.svelte';
	import UnitField from '$lib/ui/form/UnitField.svelte';
	import FindingLines from '$lib/ui/prints/FindingLines.svelte';
	import Later from '$lib/ui/growing/Later.svelte';
	import DamagedRecords from '$lib/ui/spool/DamagedRecords.svelte';
	import ComparedKinds from '$lib/ui/strength/ComparedKinds.svelte';
	import SpecimenList from '$lib/ui/strength/SpecimenList.svelte';
	import { StrengthBench } from '$lib/ui/strength/strength-bench.svelte';
	import { BY_HAND_TELLS, choices, DAMAGE_TELLS, FAILURE_MODE_WORDS, METHOD_WORDS, ORIENTATION_WORDS } from '$lib/words/closed-lists';
	import { onMount, untrack } from 'svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const specimens = untrack(() => data.evidence.flatMap((e) => e.specimens).toSorted((a, b) => a.at - b.at));
	const loading = new StrengthBench(() => data, specimens.at(-1));
	const { bench } = loading;
	const evidence = $derived(bench.evidence);
	const move = (by: 1 | -1) => bench.move(by);
	/** What is loaded and how, in one line. */
	const setUp = $derived(
		loading.shape.trim() &&
			[
				loading.shape.trim(),
				ORIENTATION_WORDS[loading.orientation],
				METHOD_WORDS[loading.method],
				loading.nozzle.trim() && `${loading.nozzle.trim()} °C`,
				loading.made.trim(),
				loading.method === 'steps' && loading.bucket.trim() && `bucket ${loading.bucket.trim()}`
			]
				.filter(Boolean)
				.join(' · ')
	);
	// Open where nothing is said yet; on a phone what was said before takes one line, and the load field is in sight.
	let setUpOpen = $state(untrack(() => loading.shape === ''));
	onMount(() => {
		loading.recall();
		if (window.innerWidth >= 1024) setUpOpen = true;
	});

	$effect(() => {
		if (loading.faults.length > 0) setUpOpen = true;
	});

	const bucketUnit = new ChosenUnit('bucket');

	/** What is asked after a load is answered from its empty field, by the row of letters under the left hand. */
	const LETTERS = 'asdfgh';
	function onletter(typed: string): boolean {
		const i = LETTERS.indexOf(typed);
		const [failure, damage] = [FAILURE_WORDS[i], DAMAGE_WORDS[i]];
		if (loading.broken && failure) loading.failed(failure);
		else if (loading.held && damage) loading.damaged(damage);
		else return false;
		return true;
	}
</script>

{#snippet letter(i: number)}
	<kbd class="mr-1 hidden lg:inline" aria-hidden="true">{LETTERS[i]?.toUpperCase()}</kbd>
{/snippet}

<svelte:head><title>Strength · {data.head.name} · Draught</title></svelte:head>
{#if !evidence}
	<EmptyBench title="Strength" trialId={data.head.id} />
{:else}
	<BenchFrame items={bench.items} chosen={evidence.spool.id} onchoose={(id) => bench.choose(id)} {move}>
		<DamagedRecords damaged={evidence.damaged} kind="specimen" />
		<div class="flex flex-wrap items-baseline gap-x-3">
			<h1 class="text-[2rem] leading-tight font-bold">{evidence.spool.code}</h1>
			<span class="text-muted"
				>{evidence.spool.material} · {loading.count} <Term of="testPart">{loading.count === 1 ? 'test part' : 'test parts'}</Term></span
			>
		</div>
		<p class="caution my-2">
			Eye protection and a shield: breaking things throws fragments. Keep clear of hanging weights, nothing under them. Never hang a person,
			or anything overhead, on a printed part.
		</p>
		<details class="mb-2" bind:open={setUpOpen}>
			<summary class="small py-1">{setUp || 'What is loaded, and how'}</summary>
			<div class="flex flex-wrap items-start gap-x-5 gap-y-2">
				<Field
					id="shape"
					label="Test part"
					bind:value={loading.shape}
					errors={loading.faults}
					placeholder="hook"
					list={['hook', 'bar', 'bracket', 'strip']}
					class="w-44"
				/>
				<Choice
					name="orientation"
					legend="Printed"
					bind:value={loading.orientation}
					options={choices(ORIENTATIONS, ORIENTATION_WORDS)}
					onchange={() => loading.another()}
				/>
				<Field
					id="nozzle"
					label="Nozzle, °C"
					bind:value={loading.nozzle}
					errors={loading.faults}
					inputmode="decimal"
					placeholder="optional"
					class="w-28"
				/>
				<Field id="made" label="Made how" bind:value={loading.made} errors={[]} placeholder="optional: four walls" class="w-44" />
				{#if loading.method === 'steps'}
					<UnitField
						id="bucket"
						label="Bucket (added to every load)"
						dimension="mass"
						chosen={bucketUnit}
						bind:value={loading.bucket}
						errors={loading.faults}
						placeholder="0.4 kg"
						class="w-44"
					/>
				{/if}
				<Choice
					name="method"
					legend="How"
					bind:value={loading.method}
					options={choices(LOAD_METHODS, METHOD_WORDS)}
					onchange={() => loading.another()}
				/>
			</div>
		</details>
		{#if loading.method === 'byHand'}
			<fieldset>
				<legend class="mb-1 font-medium">How does it give way in the hands?</legend>
				<div class="flex flex-wrap gap-2">
					{#each BY_HAND_WORDS as word (word)}
						<button type="button" class="panel px-4 py-2 text-[1.05rem] font-semibold" onclick={() => loading.byHand(word)}
							>{BY_HAND_TELLS[word]}</button
						>
					{/each}
				</div>
				<WhenField when={loading.bench.when} class="mt-2" />
			</fieldset>
		{:else}
			<p id="how" class="mb-1.5 text-[1.05rem]">
				{#if loading.method === 'steps'}
					Part <strong>{loading.number}</strong>{loading.steps.length ? `, held ${loading.steps.map((r) => r.typedText).join(', ')}` : ''} · type
					each load it holds<span class="hidden lg:inline">; to the one that broke it add <kbd>x</kbd> behind</span>
				{:else if loading.method === 'direct'}
					Part <strong>{loading.number}</strong> · the load at which it broke<span class="hidden lg:inline"
						>; add <kbd>h</kbd> if it held</span
					>
				{:else}
					Part <strong>{loading.number}</strong> · the blow that broke it<span class="hidden lg:inline"
						>; add <kbd>h</kbd> if it held them all</span
					>
				{/if}
			</p>
			<CaptureField
				bind:this={bench.field}
				label={loading.method === 'blows' ? `Blows on ${evidence.spool.code}` : `Load on ${evidence.spool.code}`}
				unit={loading.method === 'blows' ? 'blows' : loading.unit || 'N'}
				units={loading.method === 'blows' ? [] : ['lb', 'kg', 'N']}
				onunit={(unit) => (loading.unit = unit)}
				save={loading.method === 'steps' ? 'It holds' : loading.method === 'direct' ? 'It broke' : 'Save'}
				last={null}
				keep={(typed) => loading.keep(typed)}
				when={loading.bench.when}
				takeBack={() => loading.takeBack()}
				{move}
				{onletter}
				describedBy="how"
				also={loading.method === 'steps' ? { label: 'It broke', suffix: ' x' } : { label: 'It held', suffix: ' h' }}
			/>
			{#if loading.method === 'steps' && loading.isLoaded}
				<button type="button" class="panel mt-2 px-3 py-1 font-semibold" onclick={() => loading.neverBroke()}
					>Did not break: next part</button
				>
			{/if}
		{/if}
		{#if loading.broken}
			<fieldset class="question mt-3">
				<legend class="float-left mr-3 font-medium">How did it fail?</legend>
				<div class="flex flex-wrap gap-1.5">
					{#each FAILURE_WORDS as word, i (word)}
						<button type="button" class="panel px-2.5 py-1" onclick={() => loading.failed(word)}
							>{@render letter(i)}{FAILURE_MODE_WORDS[word]}</button
						>
					{/each}
				</div>
			</fieldset>
		{:else if loading.held}
			<fieldset class="question mt-3">
				<legend class="float-left mr-3 font-medium">Any damage?</legend>
				<div class="flex flex-wrap gap-1.5">
					{#each DAMAGE_WORDS as word, i (word)}
						<button type="button" class="panel px-2.5 py-1" onclick={() => loading.damaged(word)}
							>{@render letter(i)}{DAMAGE_TELLS[word]}</button
						>
					{/each}
				</div>
			</fieldset>
		{/if}
		<Later>
			{#if evidence.specimens.length}
				<h2 class="mt-5 mb-1 font-semibold">Test parts</h2>
				<SpecimenList
					specimens={evidence.specimens}
					readings={evidence.readings}
					waiting={loading.waiting}
					onchange={() => void bench.reload()}
				/>
			{/if}
		</Later>
		{#snippet results()}
			<FindingLines findings={loading.findings} defs={loading.defs} />
			<ComparedKinds trialId={data.head.id} all={loading.all} compared={loading.kinds} chosen={data.basis.chosenKinds} />
			<p class="small mt-3">This compares spools; it does not say that a part is safe.</p>
		{/snippet}
	</BenchFrame>
{/if}
