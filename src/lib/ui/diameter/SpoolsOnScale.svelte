<script lang="ts">
	import type { SpoolOnScale } from '$lib/core/stations/diameter/between-spools';
	import type { SpoolEvidence } from '$lib/core/record/evidence/spool-evidence';
	import { scaleLinear } from 'd3-scale';
	import { tQuantile } from '$lib/core/kernel/stats/distributions';
	import { plural } from '../../words/numbers';
	import { bareLength, lengthUnit, lengthWords } from '../../words/units';

	type Props = { spools: SpoolOnScale[]; of: Record<string, SpoolEvidence['spool']>; nominalMm: number };
	let { spools, of, nominalMm }: Props = $props();
	const W = 620;
	const ROW = 34;
	const LEFT = 10;
	/** One scale for all, in steps of a hundredth, with a little room. */
	const range = $derived.by(() => {
		const all = spools.flatMap((s) => [...s.placeMeansMm, ...(s.limits ? [s.limits.lowMm, s.limits.highMm] : [])]);
		return { low: Math.floor(Math.min(...all) * 100 - 0.5) / 100, high: Math.ceil(Math.max(...all) * 100 + 0.5) / 100 };
	});
	const x = $derived(scaleLinear([range.low, range.high], [LEFT, W - LEFT]));
	const ticks = $derived(x.ticks(6));
	const half = (s: SpoolOnScale) => (s.sdMm === null ? null : (tQuantile(0.975, s.places - 1) * s.sdMm) / Math.sqrt(s.places));
</script>

<!-- Wider than a phone: whoever has no finger on it moves it by its arrow keys. -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div class="overflow-x-auto" role="region" aria-label="Spools on one scale" tabindex="0">
	<table class="w-full min-w-[640px] text-left text-[0.93rem]">
		<caption class="sr-only">Mean diameter of every spool on one scale, with its 95 % range as read and its stated limits</caption>
		<thead>
			<tr class="border-b text-[0.85rem]">
				<th scope="col" class="py-1 pr-3 font-medium">Spool</th>
				<th scope="col" class="font-medium">{bareLength(range.low, 2)} to {lengthWords(range.high, 2)}</th>
				<th scope="col" class="pl-3 text-right font-medium">Mean, {lengthUnit()}</th>
				<th scope="col" class="pl-3 text-right font-medium">Spread, {lengthUnit()} <span class="small">no interval</span></th>
				<th scope="col" class="pl-3 font-medium">Same as</th>
			</tr>
		</thead>
		<tbody>
			{#each spools as s (s.spoolId)}
				{@const spool = of[s.spoolId]}
				{@const h = half(s)}
				<tr class="border-b">
					<th scope="row" class="pr-3 font-bold">{spool?.code}</th>
					<td>
						<svg
							viewBox="0 0 {W} {ROW}"
							class="block w-full"
							style:max-width="{W}px"
							role="img"
							aria-label="{spool?.code}: mean {lengthWords(s.meanMm)}, {plural(s.places, 'spot')}"
						>
							{#if s.limits}
								<rect
									x={x(s.limits.lowMm)}
									y="4"
									width={x(s.limits.highMm) - x(s.limits.lowMm)}
									height={ROW - 8}
									fill="none"
									stroke="var(--ink)"
									stroke-dasharray="3 2.5"
								/>
							{/if}
							<line x1={x(nominalMm)} x2={x(nominalMm)} y1="0" y2={ROW} stroke="var(--line)" />
							{#each s.placeMeansMm as place, i (i)}
								<line x1={x(place)} x2={x(place)} y1="9" y2={ROW - 9} stroke={spool?.colourHex ?? 'var(--muted)'} stroke-width="4" />
								<rect x={x(place) - 2.5} y="8.5" width="5" height={ROW - 17} fill="none" stroke="var(--ink)" stroke-width="0.6" />
							{/each}
							{#if h !== null}<line
									x1={x(s.meanMm - h)}
									x2={x(s.meanMm + h)}
									y1={ROW - 4}
									y2={ROW - 4}
									stroke="var(--ink)"
									stroke-width="2"
								/>{/if}
							<path d="M{x(s.meanMm)},{ROW - 8}l4,8h-8z" fill="var(--ink)" />
						</svg>
					</td>
					<td class="pl-3 text-right whitespace-nowrap"
						>{bareLength(s.meanMm)}
						<span class="small">{h === null ? 'no interval' : `± ${bareLength(h)}`}, {plural(s.places, 'spot')}</span></td
					>
					<td class="pl-3 text-right">{s.sdMm === null ? '–' : bareLength(s.sdMm, 4)}</td>
					<td class="pl-3 font-bold text-act-ink">{s.letters || '–'}</td>
				</tr>
			{/each}
		</tbody>
		<tfoot>
			<tr>
				<td></td>
				<td>
					<svg viewBox="0 0 {W} 16" class="block w-full" style:max-width="{W}px" aria-hidden="true">
						{#each ticks as tick (tick)}
							<text x={x(tick)} y="12" font-size="11" text-anchor="middle" fill="var(--muted)">{bareLength(tick, 2)}</text>
						{/each}
					</svg>
				</td>
				<td colspan="3"></td>
			</tr>
		</tfoot>
	</table>
</div>
<p class="small mt-1">Ticks: spots. Bar: 95 % range of the mean, without caliper error. Dashed: label limits.</p>
