<script lang="ts">
	import type { QuantityDef } from '$lib/core/judging/finding/types';
	import type { ByTemperature } from '$lib/core/stations/strength/by-temperature';
	import RangeDot from '../pick/RangeDot.svelte';
	import { kindWords } from '../../words/closed-lists';
	import { jumpWords } from '../../words/loads';
	import { temperatureWords } from '../../words/units';
	import { valueWords } from '../../words/quantities';

	let { found, defs }: { found: ByTemperature[]; defs: QuantityDef[] } = $props();
	/** Between nothing and the highest that any of them may be. */
	const topOf = (of: ByTemperature) => Math.max(...of.at.map(({ finding }) => finding.interval?.high ?? finding.estimate ?? 0)) || 1;
</script>

{#each found as of (of.quantity + of.kind)}
	{@const def = defs.find((d) => d.id === of.quantity)}
	{@const top = topOf(of)}
	{#if def}
		<section class="panel px-3 py-2" aria-label="By nozzle temperature">
			<h2 class="font-semibold">By nozzle temperature <span class="small font-normal">{kindWords(of.kind)}</span></h2>
			{#if of.jump}
				<p>{jumpWords(of.jump)}</p>
			{:else}
				<p class="small">No step between neighbours is larger than chance may make it.</p>
			{/if}
			<table class="mt-1">
				<tbody>
					{#each of.at as { nozzleC, finding } (nozzleC)}
						{@const value = finding.estimate === null ? 'none broke' : valueWords(def, finding.estimate)}
						<tr class="border-b">
							<th scope="row" class="py-0.5 pr-3 text-right font-semibold">{temperatureWords(nozzleC)}</th>
							<td>
								{#if finding.interval && finding.estimate !== null}
									<RangeDot
										mark="stroke"
										value={finding.estimate / top}
										low={finding.interval.low / top}
										high={finding.interval.high / top}
										label="{temperatureWords(nozzleC)}: {value}"
									/>
								{/if}
							</td>
							<td class="pl-3"
								>{value}
								<span class="small"
									>({finding.interval ? `${valueWords(def, finding.interval.low)} to ${valueWords(def, finding.interval.high)}; ` : ''}n {finding.n})</span
								></td
							>
						</tr>
					{/each}
				</tbody>
			</table>
		</section>
	{/if}
{/each}
