<script lang="ts">
	import { goto } from '$app/navigation';
	import { isShortcut } from '$lib/ui/form/keys';
	import MaterialsNote from '$lib/ui/sheet/MaterialsNote.svelte';
	import { stationHref } from '$lib/ui/sheet/station-href';
	import TrialSheet from '$lib/ui/sheet/TrialSheet.svelte';
	import { flagLines, sentence } from '$lib/words/messages';
	import { onePresetWords } from '$lib/words/one-preset';
	import { printerWords } from '$lib/words/printers';
	import { CONDITION_POLICY_WORDS, importanceWords, SETTINGS_POLICY_WORDS } from '$lib/words/closed-lists';
	import { verdictWords } from '$lib/words/one-page';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const codeOf = $derived((id: string) => data.spools.find((s) => s.id === id)?.code ?? '?');
	const next = $derived(data.next);
	const nextHref = $derived(next ? stationHref(data.head.id, next.station, next.spoolId) : `/trials/${data.head.id}/pick`);
	/** The newest verdict of each spool. */
	const verdicts = $derived(Object.fromEntries([...data.verdicts].reverse().map((v) => [v.spoolId, verdictWords(v)])));
	/** What drying did to the prints, said once for each mark that was printed both ways. */
	const wetDry = $derived(data.sheet.wetDry.map(({ spoolId, message }) => ({ code: codeOf(spoolId), words: sentence(message) })));
	const candidates = $derived(data.spools.filter((s) => data.roles[s.id] !== 'house').length);
</script>

<svelte:head><title>{data.head.name} · Draught</title></svelte:head>
<svelte:window
	onkeydown={(event) => {
		if (isShortcut(event, 'n')) void goto(nextHref);
	}}
/>

<div class="p-3 md:px-5 md:py-4">
	<div class="flex flex-wrap items-start justify-between gap-x-6 gap-y-1">
		<div class="min-w-0">
			<h1 class="text-[1.6rem] leading-tight font-bold">{data.head.name}</h1>
			{#if data.head.question}<p class="text-muted">{data.head.question}</p>{/if}
		</div>
		<p class="small md:ml-auto md:text-right">
			<strong class="text-ink">{SETTINGS_POLICY_WORDS[data.basis.settingsPolicy]}</strong> · {CONDITION_POLICY_WORDS[
				data.basis.conditionPolicy
			]} · {data.head.printer ?? 'printer not noted'}<br />
			{data.basis.repeats === 1 ? 'one print per piece' : `${data.basis.repeats} prints per piece`} · {importanceWords(data.head.preset)} ·
			{data.head.blind ? 'blind: names and prices hidden' : 'names visible'} · <a class="link" href="/trials/{data.head.id}/rules">rules</a>
		</p>
	</div>

	<MaterialsNote trialId={data.head.id} spools={data.spools} houseAside={data.head.houseAside} />
	<section aria-label="Next useful act" class="panel mt-3 flex items-center justify-between gap-3 border-l-4 border-l-act px-3 py-2">
		<p>
			<strong>Next:</strong>
			{#if next}
				{next.words}
			{:else}
				everything asked for is there: look at the pick.
			{/if}
		</p>
		<a href={nextHref} class="rounded bg-act px-4 py-1 font-semibold whitespace-nowrap text-on-act"
			>Do it <kbd class="bg-transparent text-on-act">N</kbd></a
		>
	</section>

	<div class="mt-3">
		{#if data.spools.length === 0}
			<div class="panel hatched p-8 text-center">
				<p>No spool in this trial yet.</p>
				<p class="mt-2">
					<a class="link" href="/trials/{data.head.id}/intake">Add a spool</a>, or
					<a class="link" href="/trials/{data.head.id}/rules">add one that is already on the bench</a>.
				</p>
			</div>
		{:else}
			<TrialSheet
				trialId={data.head.id}
				sheet={data.sheet}
				spools={data.spools}
				houseId={data.head.houseId}
				places={data.basis.diameterPlaces}
				currency={data.head.currency}
				{verdicts}
			/>
			{#if candidates === 1 && data.spools.length === 1}
				<p class="small mt-2">One spool and no house spool: nothing to judge it against. Name the spool you always buy on its own page.</p>
			{/if}
		{/if}
		{#if wetDry.length > 0}
			<section aria-label="Wet and dry" class="panel mt-3 px-3 py-2">
				<h2 class="font-semibold">Wet and dry</h2>
				<ul>
					{#each wetDry as line (line.code + line.words)}<li><strong>{line.code}</strong> {line.words}</li>{/each}
				</ul>
			</section>
		{/if}
		{#if data.onePreset.length > 0}
			<section aria-label="One preset" class="panel mt-3 px-3 py-2">
				<h2 class="font-semibold">One preset for both?</h2>
				<ul>
					{#each data.onePreset as pair (pair.first + pair.second)}<li>{onePresetWords(pair, codeOf)}</li>{/each}
				</ul>
			</section>
		{/if}
		{#if data.sheet.flags.length > 0}
			<section aria-label="Not a fair comparison" class="question mt-3">
				<h2 class="font-semibold">≠ Not a fair comparison</h2>
				<ul>
					{#each flagLines(data.sheet.flags, codeOf) as line (line)}<li>{line}</li>{/each}
				</ul>
				{#if data.sheet.flags.some((f) => f.kind === 'unlikePrinter') && data.effects.length === 0}
					<p class="small mt-1">No spool was printed on both printers, so their difference is unknown. Print one on both.</p>
				{/if}
			</section>
		{/if}
		{#if data.effects.length > 0}
			<section aria-label="Printers" class="panel mt-3 px-3 py-2">
				<h2 class="font-semibold">What the printers add</h2>
				<ul>
					{#each data.effects as effect (effect.quantity + effect.printer)}
						<li>{printerWords(effect, codeOf, data.head.takeOutPrinter)}</li>
					{/each}
				</ul>
				{#if !data.head.takeOutPrinter}
					<p class="small">
						Marks are not corrected for it; the <a class="link" href="/trials/{data.head.id}/rules">rules</a> can change that.
					</p>
				{/if}
			</section>
		{/if}
	</div>
</div>
