<script lang="ts">
	import { composite } from '$lib/core/answers/pick/composite';
	import { PRINT_QUANTITIES } from '$lib/core/stations/prints/station';
	import type { Basis } from '$lib/core/judging/trial/basis';
	import type { Finding } from '$lib/core/judging/finding/types';
	import type { Criterion } from '$lib/core/answers/pick/types';
	import { selectFindings } from '$lib/core/answers/sheet/select';
	import { percent, upTo } from '../../words/numbers';
	import { quantityName } from '../../words/quantities';

	let { findings, criteria, basis, rules }: { findings: Finding[]; criteria: Criterion[]; basis: Basis; rules: string } = $props();
	const found = $derived.by(() => {
		const primary = Object.fromEntries(PRINT_QUANTITIES.map((def) => [def.id, selectFindings(findings, def.id, basis)[0]]));
		return composite(primary, criteria, PRINT_QUANTITIES);
	});
	const unknown = $derived(found?.parts.filter((p) => p.n === 0) ?? []);
</script>

{#if found}
	<section class="panel mt-3 px-3 py-2" aria-label="Value">
		<p class="flex items-baseline justify-between gap-2">
			<span class="text-muted">Value</span>
			<strong class="text-[1.25rem]" data-testid="composite">{Math.round(100 * found.value)} of 100</strong>
		</p>
		<p class="small text-right">
			95 % range {Math.round(100 * found.low)} to {Math.round(100 * found.high)}; {found.knownShare === 1
				? 'all marks measured'
				: `${percent(found.knownShare)} of it measured`}
		</p>
		<table class="mt-1 w-full text-[0.85rem]">
			<thead
				><tr class="text-left text-muted"
					><th class="font-normal">mark</th><th class="pl-3 text-right font-normal">importance</th><th class="pl-3 text-right font-normal"
						>value</th
					><th class="pl-3 text-right font-normal">n</th></tr
				></thead
			>
			<tbody>
				{#each found.parts as part (part.quantity)}
					<tr class={part.n === 0 ? 'text-muted' : ''}>
						<td>{quantityName({ id: part.quantity })}</td>
						<td class="pl-3 text-right">{upTo(part.weight, 1)}</td>
						<td class="pl-3 text-right">{part.n === 0 ? '?' : Math.round(100 * part.value)}</td>
						<td class="pl-3 text-right">{part.n}</td>
					</tr>
				{/each}
			</tbody>
		</table>
		<p class="small mt-1">
			Each mark counts by its importance in the <a class="link" href={rules}>pick</a>.
			{unknown.length ? 'Missing marks widen the range.' : ''}
		</p>
	</section>
{/if}
