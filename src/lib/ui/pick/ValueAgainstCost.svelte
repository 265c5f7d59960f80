<script lang="ts">
	import { paretoEdge } from '$lib/core/answers/pick/pareto';
	import type { Chances, PickRow } from '$lib/core/answers/pick/types';
	import { fixed } from '$lib/words/numbers';
	import Later from '../growing/Later.svelte';
	import PickChart from './PickChart.svelte';

	type Props = {
		rows: readonly PickRow[];
		chances: Chances;
		currency: string;
		/** Whether anything of value was measured. */
		tested: boolean;
		blind: boolean;
		hexOf: (spoolId: string) => string | null;
	};
	let { rows, chances, currency, tested, blind, hexOf }: Props = $props();

	let tableOpen = $state(false);
	const blots = $derived(
		rows.flatMap(({ spoolId: id, code, worth, cost, eligible, neverFinished }) => {
			if (cost === null || !tested) return [];
			const [worthRange, costRange] = [chances.worth[id] ?? null, chances.cost[id] ?? null];
			return [{ id, code, hex: hexOf(id), worth, cost, worthRange, costRange, out: !eligible || neverFinished }];
		})
	);
	const edge = $derived(paretoEdge(blots.filter((b) => !b.out)));
</script>

<section aria-label="Value against cost" class="panel px-3 py-2">
	<h2 class="font-semibold">Value against cost</h2>
	{#if blots.length > 0}
		<Later height={230}><PickChart {blots} {edge} {currency} /></Later>
	{:else}
		<p class="hatched mt-2 p-6 text-center">
			{blind
				? 'Prices are hidden while the trial is blind.'
				: tested
					? 'No price noted yet: there is no cost to set value against.'
					: 'Nothing measured yet: there is no value to set against cost.'}
		</p>
	{/if}
	<details class="mt-1" bind:open={tableOpen}>
		<summary class="small py-1">The same as a table</summary>
		{#if tableOpen}
			<table class="mt-1 w-full text-left text-[0.9rem]">
				<thead><tr class="border-b"><th>Spool</th><th>Value without cost (95 %)</th><th>{currency} per good kg (95 %)</th></tr></thead>
				<tbody>
					{#each blots as b (b.id)}
						<tr class="border-b">
							<th scope="row" class="font-semibold">{b.code}</th>
							<td
								>{fixed(b.worth * 100, 0)} ({b.worthRange
									? `${fixed(b.worthRange.low * 100, 0)} to ${fixed(b.worthRange.high * 100, 0)}`
									: 'drawing'})</td
							>
							<td>{fixed(b.cost, 2)} ({b.costRange ? `${fixed(b.costRange.low, 2)} to ${fixed(b.costRange.high, 2)}` : 'no range'})</td>
						</tr>
					{/each}
				</tbody>
			</table>
		{/if}
	</details>
</section>
