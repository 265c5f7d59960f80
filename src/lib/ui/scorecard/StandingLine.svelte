<script lang="ts">
	import type { QuantityDef } from '$lib/core/judging/finding/types';
	import type { RankedFinding } from '$lib/core/answers/pick/ranked-finding';
	import type { BesideFellows } from '$lib/core/answers/scorecard/beside-fellows';
	import { quantityName, valueWords } from '../../words/quantities';
	import { standingWords } from '../../words/beside-fellows';

	type Props = { line: BesideFellows; def: QuantityDef; finding: RankedFinding | undefined; currency: string };
	let { line, def, finding, currency }: Props = $props();
	const WIDTH = 300;
	const EDGE = 6;
	const at = (x: number) => EDGE + Math.min(1, Math.max(0, x)) * (WIDTH - 2 * EDGE);
	const value = $derived(valueWords(def, line.estimate, currency));
	const range = $derived(
		finding?.interval
			? `${valueWords(def, finding.interval.low, currency)} to ${valueWords(def, finding.interval.high, currency)}`
			: 'no range'
	);
</script>

<li class="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 border-b py-2 sm:grid-cols-[10rem_minmax(0,1fr)_8.5rem]">
	<div class="leading-tight">
		<strong>{quantityName(def)}</strong>
		<span class="small block">{value} ({range}; n {line.n})</span>
	</div>
	<p class="text-right sm:order-3">{standingWords(line)}</p>
	<svg
		viewBox="0 0 {WIDTH} 20"
		class="col-span-2 block w-full sm:order-2 sm:col-span-1"
		role="img"
		aria-label="{quantityName(def)}: {standingWords(line)}"
	>
		<line x1={EDGE} x2={WIDTH - EDGE} y1="10" y2="10" stroke="var(--line)" stroke-width="2" />
		{#each line.fellows as fellow, i (i)}
			<line x1={at(fellow)} x2={at(fellow)} y1="3" y2="17" stroke="var(--muted)" stroke-width="1.6" opacity="0.7" />
		{/each}
		<line x1={at(line.low)} x2={at(line.high)} y1="10" y2="10" stroke="var(--act)" stroke-width="3" />
		<circle cx={at(line.value)} cy="10" r="5" fill="var(--panel)" stroke="var(--act)" stroke-width="2.2" />
	</svg>
</li>
