<script lang="ts">
	import { conditionOf } from '$lib/core/record/conditions/condition-at';
	import { settingsLine } from '$lib/ui/prints/attempt-draft';
	import Strand from '$lib/ui/figures/Strand.svelte';
	import OnePage from '$lib/ui/scorecard/OnePage.svelte';
	import StandingLine from '$lib/ui/scorecard/StandingLine.svelte';
	import { scorecardSentence } from '$lib/words/beside-fellows';
	import { productLine } from '$lib/ui/spool/names';
	import { heldWords, notKnown, verdictWords } from '$lib/words/one-page';
	import { CONDITION_WORDS, kindWords, OBTAINED_WORDS } from '$lib/words/closed-lists';
	import { sentence } from '$lib/words/messages';
	import { day, fixed, plural } from '$lib/words/numbers';
	import { inSentence } from '$lib/words/quantities';
	import { group } from 'd3-array';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const counted = $derived(data.attempts.filter((a) => a.status === 'counts'));
	const finished = $derived(counted.filter((a) => a.outcome === 'finished'));
	const lost = $derived(counted.filter((a) => a.outcome !== 'finished' && a.cause !== 'filament').length);
	/** The last finished print of each printer and nozzle: what worked there. */
	const worked = $derived(
		[...group(finished, (a) => (a.printer ? `${a.printer}, ${a.nozzle}` : 'printer not noted'))].map(([where, prints]) => {
			const last = prints.toSorted((a, b) => a.at - b.at).at(-1);
			const all = counted.filter((a) => (a.printer ? `${a.printer}, ${a.nozzle}` : 'printer not noted') === where);
			return last
				? {
						where,
						settings: settingsLine(last.settings),
						around: Object.values(last.setUp).filter(Boolean).join(', '),
						state: CONDITION_WORDS[conditionOf(data.history, last).kind],
						share: `${prints.length} of ${plural(all.length, 'print')} finished`
					}
				: null;
		})
	);
	const pieces = $derived(
		[...new Set(counted.map((a) => a.pieceId))].flatMap((id) => data.pieces.filter((p) => p.id === id).map((p) => `${p.name} ${p.version}`))
	);
	const scorers = $derived([...new Set(data.readings.flatMap((r) => (r.status === 'counts' && r.scorer ? [r.scorer] : [])))]);
	const instruments = $derived(
		data.instruments.filter((i) => data.readings.some((r) => r.status === 'counts' && r.instrumentId === i.id)).map((i) => i.name)
	);
	/** What is usually looked at and was not, here. */
	const unknown = $derived(
		data.defs
			.filter((d) => d.family !== null && d.onSheet === true && ![...data.lines, ...data.held].some((l) => l.quantity === d.id))
			.map(inSentence)
	);
	const verdict = $derived(data.verdict && verdictWords(data.verdict));
	const title = $derived(`${data.spool.code} scorecard`);
</script>

<OnePage
	{title}
	fileName="{data.spool.code}-scorecard.html"
	back={{ href: `/spools/${data.spool.id}`, name: data.spool.code }}
	addressCode={data.addressCode}
	shown={data.defs.filter((d) => d.id === data.strand?.quantity || data.lines.some((l) => l.quantity === d.id))}
>
	<header class="flex flex-wrap items-start justify-between gap-x-6">
		<div class="min-w-0">
			<h1 class="wide text-[2rem] leading-tight font-bold">{data.spool.code}</h1>
			<p>
				{[
					productLine(data.spool),
					data.spool.material,
					data.spool.colourName,
					data.spool.lot ? `lot ${data.spool.lot}` : 'lot not stated',
					data.spool.obtained ? OBTAINED_WORDS[data.spool.obtained] : null,
					data.quote ? `${fixed(data.quote.priceMinor / 100, 2)} ${data.quote.currency} (${day(data.quote.seenAt)})` : 'no price'
				]
					.filter((p, i, all) => p && all.indexOf(p) === i)
					.join(' · ')}
			</p>
		</div>
		<p class="small text-right">{day(data.today)}</p>
	</header>
	{#if data.strand?.figure.kind === 'strand'}
		<div class="mt-4">
			<Strand
				data={data.strand.figure}
				places={data.places}
				hex={data.spool.colourHex}
				width={680}
				height={46}
				label="Strand, {data.strand.n} readings"
			/>
		</div>
		<p class="small mt-1">
			Strand, {plural(data.strand.n, 'reading')}{data.strand.word ? `: ${sentence(data.strand.word)}` : ''}. Dashed: label limits.
		</p>
	{/if}
	<p class="wide mt-4 text-[1.35rem] leading-snug font-bold" data-testid="scorecard-sentence">
		{verdict ? `${verdict[0]?.toUpperCase()}${verdict.slice(1)}. ` : ''}{scorecardSentence(
			data.lines,
			data.material,
			data.fellows,
			data.defs
		)}
	</p>
	{#if data.verdict?.note}<p class="mt-1 italic">{data.verdict.note}</p>{/if}
	{#if data.lines.length > 0}
		<section class="mt-5" aria-label="Beside its fellows">
			<h2 class="wide text-[1.05rem] font-bold">
				{data.fellows === 0
					? 'Measured'
					: `Beside the ${plural(data.fellows, `other ${data.material}`, `other ${data.material}`)} seen here`}
			</h2>
			<ul class="mt-2 border-t">
				{#each data.lines as line (line.quantity)}
					{@const def = data.defs.find((d) => d.id === line.quantity)}
					{#if def}<StandingLine {line} {def} finding={data.own.findings[line.quantity]} currency={data.currency} />{/if}
				{/each}
			</ul>
			<p class="small mt-2">
				Ring: this spool with its 95 % range. Strokes: the other spools. Better is always to the right. As good as: not clearly worse.
			</p>
		</section>
	{/if}
	{#each data.held as { quantity, kind, n, leastN } (`${quantity} ${kind}`)}
		{@const def = data.defs.find((d) => d.id === quantity)}
		{#if def}
			<p class="mt-2">{heldWords(def, kindWords(kind), { n, leastN }, data.currency)}</p>
		{/if}
	{/each}
	<div class="mt-5 grid gap-x-8 gap-y-5 sm:grid-cols-2">
		<section aria-label="Settings that worked">
			<h2 class="wide text-[1.05rem] font-bold">Settings that worked</h2>
			{#each worked as one (one?.where)}
				{#if one}
					<p class="mt-1">
						<strong>{one.where}</strong>: {one.settings}{one.around ? `, ${one.around}` : ''}; {one.state}. {one.share}.
					</p>
				{/if}
			{:else}
				<p class="mt-1">No print has finished yet.</p>
			{/each}
		</section>
		<section aria-label="Not known">
			<h2 class="wide text-[1.05rem] font-bold">Not known</h2>
			<p class="mt-1">
				One spool only: another lot may differ.
				{notKnown({ unmeasured: unknown, lost })}
			</p>
		</section>
		<section aria-label="How it was tested">
			<h2 class="wide text-[1.05rem] font-bold">How it was tested</h2>
			<p class="mt-1">
				{plural(counted.length, 'print')}{pieces.length ? ` of ${pieces.join(', ')}` : ''}{scorers.length
					? `; scored by ${scorers.join(', ')}`
					: ''}{instruments.length ? `; ${instruments.join(', ')}` : ''}.
			</p>
		</section>
		{#if data.photos.length}
			<section aria-label="Photographs">
				<h2 class="wide text-[1.05rem] font-bold">Looks</h2>
				<p class="mt-1 flex flex-wrap gap-2">
					{#each data.photos.slice(-3) as photo (photo.id)}
						<img src="/api/v1/photos/{photo.id}" alt="Print of {day(photo.at)}" class="h-24 w-auto rounded border" />
					{/each}
				</p>
			</section>
		{/if}
	</div>
</OnePage>
