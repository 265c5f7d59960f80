<script lang="ts">
	import type { QuantityDef } from '$lib/core/judging/finding/types';
	import type { ShownFinding } from '$lib/core/answers/sheet/shown-sheet';
	import { bareValue } from '../../words/quantities';

	let { findings, def, label }: { findings: ShownFinding[]; def: QuantityDef; label: string } = $props();
	const known = $derived(findings.filter((f) => f.figure.kind === 'words' && f.estimate !== null));
	const [main] = $derived(known);
	const boxes = $derived(def.words?.length ?? 4);
	const share = (f: ShownFinding, rank: number) => (f.figure.kind === 'words' ? (f.figure.counts[rank] ?? 0) / Math.max(1, f.n) : 0);
	const at = $derived(Math.round(main?.estimate ?? 0));
</script>

<svg viewBox="0 0 76 38" class="block w-full max-w-[76px] overflow-visible" role="img" aria-label={label}>
	{#each { length: boxes }, rank (rank)}
		<rect x={rank * 15 + 1} y="19" width="11" height="15" fill="none" stroke="var(--faint)" />
		<!-- The one that counts is drawn last, so that it shows over the other. -->
		{#each [...known].reverse() as finding, i (i)}
			{@const s = share(finding, rank)}
			{#if s > 0}
				{#if finding.subject.condition === 'dried'}
					<rect x={rank * 15 + 1} y={19 + 15 * (1 - s)} width="11" height={15 * s} fill="var(--heat)" />
				{:else}
					<rect x={rank * 15 + 2} y={20 + 13 * (1 - s)} width="9" height={13 * s} fill="none" stroke="var(--water)" stroke-width="2.4" />
				{/if}
			{/if}
		{/each}
	{/each}
	{#if main?.estimate != null}
		<text x={at * 15 + 1} y="13" font-size="11" fill="var(--ink)" text-anchor={at > 2 ? 'middle' : 'start'}
			>{bareValue(def, main.estimate)}</text
		>
	{/if}
</svg>
