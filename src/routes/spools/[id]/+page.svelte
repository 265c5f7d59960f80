<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { SPOOL_FACTS } from '$lib/core/record/facts/spool-facts';
	import { stated } from '$lib/core/record/claims/stated';
	import ReadingList from '$lib/ui/bench/ReadingList.svelte';
	import Figure from '$lib/ui/figures/Figure.svelte';
	import { intervalWords } from '$lib/ui/figures/label';
	import AddDetails from '$lib/ui/spool/AddDetails.svelte';
	import Archive from '$lib/ui/form/Archive.svelte';
	import { factsTold, SPOOL_FACT_WORDS } from '$lib/words/facts';
	import NoteForm from '$lib/ui/form/NoteForm.svelte';
	import FormProblem from '$lib/ui/form/FormProblem.svelte';
	import { Form } from '$lib/ui/form/form.svelte';
	import AttemptList from '$lib/ui/prints/AttemptList.svelte';
	import { settingsLine } from '$lib/ui/prints/attempt-draft';
	import { byTemperature } from '$lib/core/stations/strength/by-temperature';
	import LoadsByTemperature from '$lib/ui/strength/LoadsByTemperature.svelte';
	import SpecimenList from '$lib/ui/strength/SpecimenList.svelte';
	import UseLog from '$lib/ui/use-log/UseLog.svelte';
	import QuoteList from '$lib/ui/cost/QuoteList.svelte';
	import Calibrations from '$lib/ui/spool/Calibrations.svelte';
	import DamagedRecords from '$lib/ui/spool/DamagedRecords.svelte';
	import Corrections from '$lib/ui/spool/Corrections.svelte';
	import CorrectReel from '$lib/ui/spool/CorrectReel.svelte';
	import Happened from '$lib/ui/spool/Happened.svelte';
	import MarksChanged from '$lib/ui/spool/MarksChanged.svelte';
	import Sliver from '$lib/ui/figures/Sliver.svelte';
	import PrinterDemands from '$lib/ui/handbook/PrinterDemands.svelte';
	import { productLine } from '$lib/ui/spool/names';
	import { sentence, stateWords } from '$lib/words/messages';
	import { timesWords } from '$lib/words/times-claim';
	import { settingName } from '$lib/words/settings';
	import { day, dayAndTime, fixed, plural, upTo } from '$lib/words/numbers';
	import { labelMassWords, massWords, toleranceWords } from '$lib/words/units';
	import { GRADE_WORDS, quantityName, STATION_WORDS, valueWords } from '$lib/words/quantities';
	import { verdictWords } from '$lib/words/one-page';
	import { CONDITION_WORDS, kindWords, OBTAINED_WORDS } from '$lib/words/closed-lists';
	import { sum } from 'd3-array';
	import { Button } from 'flowbite-svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const spool = $derived(data.evidence.spool);
	const quote = $derived(data.evidence.quotes[0] ?? null);
	const currency = $derived(quote?.currency ?? '');
	/** The settings that worked: the last finished print that counts. */
	const worked = $derived(data.evidence.attempts.filter((a) => a.status === 'counts' && a.outcome === 'finished').at(-1) ?? null);
	const known = $derived(data.findings.filter((f) => f.n > 0 && f.quantity !== 'intakeOdd' && f.station !== 'calibration'));
	const intake = $derived(data.findings.find((f) => f.quantity === 'intakeOdd'));
	const tolerance = $derived(stated(data.evidence.claims, 'diameterTolerance'));
	const low = $derived(stated(data.evidence.claims, 'nozzleLowC'));
	const high = $derived(stated(data.evidence.claims, 'nozzleHighC'));
	const netMass = $derived(stated(data.evidence.claims, 'netMassG'));
	/** Filament that its prints took, as far as anybody noted it. */
	const used = $derived(data.evidence.attempts.flatMap((a) => (a.status === 'counts' && a.gramsG !== null ? [a.gramsG] : [])));
	const mass = $derived(
		(quantity: string) => data.evidence.readings.filter((r) => r.quantity === quantity && r.status === 'counts').at(-1)?.value ?? null
	);
	const weighed = $derived(data.evidence.readings.filter((r) => r.quantity === 'grossMass' || r.quantity === 'tareMass'));
	const diameters = $derived(data.evidence.readings.filter((r) => r.quantity === 'diameter'));
	const typedOf = $derived(
		(id: string) =>
			data.evidence.readings.find((r) => r.id === id)?.typedText ?? (data.evidence.events.some((e) => e.id === id) ? 'drying' : '')
	);
	/** Notes on the spool and on its readings; those on prints stand with the prints. */
	const notes = $derived(
		data.notes.filter((n) => n.targetKind !== 'attempt').map((n) => ({ ...n, of: n.targetKind === 'reading' ? typedOf(n.targetId) : '' }))
	);
	/** Prints, test parts, logs and photographs show their own; being archived is told in the heading. */
	const TOLD_HERE = ['reading', 'event', 'quote', 'spool', 'filament'];
	const corrections = $derived(data.amendments.filter((a) => TOLD_HERE.includes(a.targetKind) && a.replacement?.archived === undefined));
	/** A record as it stood first. */
	const nameOf = $derived((id: string) => {
		const price = data.struckQuotes.find((q) => q.id === id) ?? data.evidence.quotes.find((q) => q.id === id);
		if (price) return `price ${fixed(price.priceMinor / 100, 2)} ${price.currency}`;
		return data.raw.find((r) => r.id === id)?.typedText ?? typedOf(id);
	});
	const contextSettings = (finding: (typeof data.findings)[number]) =>
		finding.context.settings
			.map((s) => {
				const words = settingName(s.name);
				return `${words.name.toLowerCase()} ${typeof s.value === 'number' ? upTo(s.value, 3) : s.value} ${words.unit}`.trim();
			})
			.join(', ') || 'settings not noted';
	const form = new Form({ fields: [] });

	async function post(path: string, body: object): Promise<boolean> {
		const sent = await form.send(path, { ...body });
		if (sent.ok) await invalidateAll();
		return sent.ok;
	}
	type Membership = (typeof data.trials)[number];
	/** The trial this spool was taken out of just now. */
	let left = $state.raw<(Membership & { spoolId: string }) | null>(null);
	async function leave(trial: Membership): Promise<void> {
		const spoolId = spool.id;
		if (await post('trial-leaves', { trialId: trial.id, spoolId })) left = { ...trial, spoolId };
	}
	async function putBack({ id: trialId, role, spoolId }: NonNullable<typeof left>): Promise<void> {
		if (await post('trial-spools', { trialId, spoolId, role })) left = null;
	}
</script>

<svelte:head><title>{spool.code} · Draught</title></svelte:head>
<div class="grid gap-5 p-3 md:px-5 md:py-4 xl:grid-cols-[minmax(0,1fr)_330px]">
	<div class="min-w-0 space-y-5">
		<header>
			<div class="flex flex-wrap items-baseline gap-x-3">
				<h1 class="text-[2.2rem] leading-none font-bold">{spool.code}</h1>
				<Sliver hex={spool.colourHex} label={spool.colourName ?? undefined} class="w-24" />
				{#if data.isHouse}<span class="font-semibold text-act-ink">house spool</span>{/if}
				<a class="link" href="/spools/{spool.id}/scorecard">scorecard</a>
				<Archive kind="spool" id={spool.id} name={spool.code} archived={data.archived} />
				{#if data.archived}<span class="small">archived: not listed with the others</span>{/if}
			</div>
			<p class="mt-1">
				{[productLine(spool), spool.material, spool.colourName].filter((p, i, all) => p && all.indexOf(p) === i).join(' · ')}
			</p>
			<p class="small">
				{[
					low && high
						? `label ${upTo(low.value, 0)}${high.value > low.value ? ` to ${upTo(high.value, 0)}` : ''} °C`
						: 'label temperature not noted',
					netMass ? `filament ${labelMassWords(netMass.value)} stated` : null,
					tolerance ? `stated ${toleranceWords(tolerance.value)}` : 'no tolerance stated',
					mass('grossMass') !== null ? `${massWords(mass('grossMass') ?? 0, 1, upTo)} full spool` : null,
					mass('tareMass') !== null ? `empty spool ${massWords(mass('tareMass') ?? 0, 1, upTo)}` : null,
					used.length > 0 ? `${massWords(sum(used), 0, upTo)} used in ${plural(used.length, 'print')}` : null,
					spool.obtained && spool.obtained !== 'bought' ? OBTAINED_WORDS[spool.obtained] : null,
					...factsTold(SPOOL_FACTS, SPOOL_FACT_WORDS, spool, ['colourName', 'colourHex', 'obtained'])
				]
					.filter(Boolean)
					.join(' · ')}
			</p>
			{#if data.evidence.pricesHidden}<p class="question mt-2">This spool is in a blind trial: maker, product and price are hidden.</p>{/if}
			<DamagedRecords damaged={data.evidence.damaged} />
			<p class="small">
				State now: <strong class="text-ink">{stateWords(data.state.kind, data.state.days, 'ago')}</strong
				>{#if data.evidence.dryForH !== null}, {spool.material} counts as dry for {upTo(data.evidence.dryForH, 0)} h in the open after a drying
					(<a class="link" href="/handbook">handbook</a>){/if}
			</p>
			<PrinterDemands lacks={data.lacks} />
			{#if data.dryFirst.length}
				<p class="question mt-2"><strong>Dry it first:</strong> {data.dryFirst.map(sentence).join('; ')}.</p>
			{/if}
			{#each data.driedFellows as fellow (fellow.id)}
				<p class="question mt-2">
					<strong>Dry it first?</strong> <a class="link" href="/spools/{fellow.id}">{fellow.code}</a>, of the same product, needed it: {fellow.reasons
						.map(sentence)
						.join('; ')}.
				</p>
			{/each}
		</header>

		<section class="panel px-4 py-3" aria-label="What worked">
			<h2 class="font-semibold">What worked last time</h2>
			{#if worked}
				<p class="mt-1 text-[1.1rem] font-semibold">{settingsLine(worked.settings)}</p>
				<p class="small">finished {day(worked.at)}{worked.printer ? ` on ${worked.printer}, ${worked.nozzle}` : ', printer not noted'}</p>
			{:else}
				<p class="small mt-1">No finished print yet.</p>
			{/if}
			{#if quote}
				<p class="mt-2">
					{sentence({
						id: 'quoteUsed',
						params: {
							price: quote.priceMinor / 100,
							shipping: quote.shippingMinor / 100,
							currency: quote.currency,
							quantity: quote.quantity,
							netMassG: quote.netMassG,
							kind: quote.kind
						}
					})} <span class="small">seen {day(quote.seenAt)}</span>
				</p>
			{/if}
			{#if data.evidence.quotes.length > 0}
				<QuoteList quotes={data.evidence.quotes} counts={quote?.id ?? null} onchange={() => void invalidateAll()} />
			{/if}
		</section>

		<section aria-label="Findings">
			<h2 class="mb-1 font-semibold">Findings</h2>
			{#if known.length === 0}<p class="panel hatched px-4 py-3">Nothing measured yet.</p>{/if}
			<div class="grid gap-2 sm:grid-cols-2">
				{#each known as finding, i (i)}
					{@const def = data.defs.find((d) => d.id === finding.quantity)}
					{#if def}
						<article class="panel px-3 py-2">
							<div class="flex items-baseline justify-between gap-2">
								<h3 class="font-medium">
									{quantityName(def)}<span class="small"
										>{finding.subject.condition ? `, ${CONDITION_WORDS[finding.subject.condition]}` : ''}{finding.subject.variant
											? `, ${kindWords(finding.subject.variant)}`
											: ''}</span
									>
								</h3>
								<span class="font-semibold">{finding.estimate === null ? 'no value' : valueWords(def, finding.estimate, currency)}</span>
							</div>
							{#if finding.estimate !== null}<Figure
									findings={[finding]}
									{def}
									hex={spool.colourHex}
									places={data.basis.diameterPlaces}
									{currency}
								/>{/if}
							<p class="small">
								n {finding.n}, {intervalWords(finding, def, currency)} · {GRADE_WORDS[finding.grade]} · {STATION_WORDS[finding.station] ??
									finding.station}
							</p>
							<details class="small">
								<summary>why</summary>
								{#each finding.messages as message, m (m)}<p>{sentence(message)}</p>{/each}
								<p>Source: {finding.source}.</p>
								{#if finding.context.printers.length}<p>
										On {finding.context.printers.join(', ')} ({finding.context.nozzles.join(', ')}): {contextSettings(finding)}.
									</p>{/if}
								{#if finding.inputs.excluded.length}<p>{plural(finding.inputs.excluded.length, 'record')} marked invalid.</p>{/if}
							</details>
						</article>
					{/if}
				{/each}
			</div>
			{#if intake && intake.n > 0}
				<p class="mt-2">Unboxing: {intake.messages.map(sentence).join(' ')}</p>
			{/if}
		</section>

		<Calibrations evidence={data.evidence} findings={data.findings} />
		{#if diameters.length}
			<section aria-label="Diameter readings">
				<h2 class="mb-1 font-semibold">Diameter readings</h2>
				<ReadingList
					readings={diameters}
					waiting={new Set()}
					onchange={() => void invalidateAll()}
					instruments={data.evidence.instruments}
				/>
			</section>
		{/if}
		<MarksChanged wetDry={data.wetDry} finished={data.driedFinished} over={data.marksOver} defs={data.defs} />
		{#if weighed.length}
			<section aria-label="Weighings">
				<h2 class="mb-1 font-semibold">Weighings</h2>
				<p>
					<ReadingList
						readings={weighed}
						waiting={new Set()}
						onchange={() => void invalidateAll()}
						instruments={data.evidence.instruments}
					/>
				</p>
			</section>
		{/if}
		<Happened spoolId={spool.id} events={data.evidence.events} />
		{#if data.timesClaim}<p class="question mt-2">{timesWords(data.timesClaim)}</p>{/if}
		<LoadsByTemperature found={byTemperature(data.findings, data.defs)} defs={data.defs} />
		{#if data.evidence.specimens.length}
			<section aria-label="Test parts">
				<h2 class="mb-1 font-semibold">Test parts</h2>
				<SpecimenList
					specimens={data.evidence.specimens}
					readings={data.evidence.readings}
					waiting={new Set()}
					onchange={() => void invalidateAll()}
				/>
			</section>
		{/if}
		<UseLog spoolId={spool.id} parts={data.parts} />
		{#if data.evidence.attempts.length}
			<section aria-label="Prints">
				<h2 class="mb-1 font-semibold">Prints</h2>
				<AttemptList
					attempts={data.evidence.attempts}
					readings={data.evidence.readings.filter((r) => r.station === 'prints')}
					history={data.evidence}
					notes={data.notes.filter((n) => n.targetKind === 'attempt')}
					amendments={data.amendments.filter((a) => a.targetKind === 'attempt')}
					photos={data.photos}
					pieces={data.evidence.pieces}
					printers={data.printers}
					pieceName={(id) => data.evidence.pieces.find((p) => p.id === id)?.name ?? 'piece'}
					onchange={() => void invalidateAll()}
				/>
			</section>
		{/if}
	</div>

	<aside class="space-y-4" aria-label="Notes and record">
		<FormProblem title={form.problem} />
		<section class="panel space-y-2 px-3 py-2" aria-label="Notes">
			<h2 class="font-semibold">Notes</h2>
			{#each notes as note (note.id)}
				<p class="border-b pb-1">
					<span class="small">{dayAndTime(note.at)}{note.of ? `, on the reading ${note.of}` : ''}</span><br />{note.text}
				</p>
			{/each}
			<NoteForm targetKind="spool" targetId={spool.id} ondone={() => void invalidateAll()} />
		</section>
		<section class="panel px-3 py-2" aria-label="Trials">
			<h2 class="font-semibold">Trials and verdicts</h2>
			{#if data.trials.length === 0}<p class="small">In no trial.</p>{/if}
			<ul>
				{#each data.trials as trial (trial.id)}
					<li>
						<a class="link inline-block leading-[26px]" href="/trials/{trial.id}">{trial.name}</a>
						<button
							type="button"
							class="link ml-2 min-h-[26px] text-[0.9rem]"
							aria-label="remove from trial: {trial.name}"
							onclick={() => void leave(trial)}>remove from trial</button
						>
						{#each data.verdicts.filter((v) => v.trialId === trial.id) as verdict (verdict.id)}
							<span class="block"
								>{verdictWords(verdict)}{verdict.note ? `: ${verdict.note}` : ''} <span class="small">{day(verdict.at)}</span></span
							>
						{/each}
					</li>
				{/each}
			</ul>
			{#if left?.spoolId === spool.id}
				{@const from = left}
				<p class="small" role="status">
					Removed from {from.name}; what was measured stays.
					<button type="button" class="link" onclick={() => void putBack(from)}>put it back</button>
				</p>
			{/if}
			{#if !data.isHouse}
				<Button type="button" size="xs" color="alternative" class="mt-2" onclick={() => void post('house-spool', { spoolId: spool.id })}
					>Make it the house spool</Button
				>
				<p class="small">The one you always buy: new trials are judged against it.</p>
			{/if}
		</section>
		<CorrectReel
			{spool}
			netMassG={netMass?.value ?? null}
			hidden={data.evidence.pricesHidden}
			materials={data.basis.handbook.map((h) => h.material)}
			reels={data.reels}
			onchange={() => void invalidateAll()}
		/>
		{#key spool.id}<AddDetails {spool} />{/key}
		<Corrections amendments={corrections} {nameOf} onchange={() => void invalidateAll()} />
	</aside>
</div>
