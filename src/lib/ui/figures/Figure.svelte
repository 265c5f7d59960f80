<script lang="ts">
	import type { QuantityDef } from '$lib/core/judging/finding/types';
	import type { ShownFinding } from '$lib/core/answers/sheet/shown-sheet';
	import AccountFigure from './AccountFigure.svelte';
	import BarFigure from './BarFigure.svelte';
	import DotFigure from './DotFigure.svelte';
	import { findingLabel } from './label';
	import { CELL_WIDTH } from './scale';
	import LoadsFigure from './LoadsFigure.svelte';
	import ShareFigure from './ShareFigure.svelte';
	import StepsFigure from './StepsFigure.svelte';
	import Strand from './Strand.svelte';
	import WordsFigure from './WordsFigure.svelte';

	type Props = { findings: ShownFinding[]; def: QuantityDef; hex: string | null; places: number; currency: string };
	let { findings, def, hex, places, currency }: Props = $props();
	const [main] = $derived(findings);
	const label = $derived(
		findings
			.filter((f) => f.n > 0)
			.map((f) => findingLabel(f, def, currency))
			.join('; ')
	);
</script>

<!-- A figure kind of a finding maps to a component here, and nowhere else. -->
{#if main}
	{#if main.figure.kind === 'strand'}
		<Strand data={main.figure} {places} {hex} {label} width={CELL_WIDTH} />
	{:else if main.figure.kind === 'steps'}
		<StepsFigure {findings} {def} {label} />
	{:else if main.figure.kind === 'words'}
		<WordsFigure {findings} {def} {label} />
	{:else if main.figure.kind === 'share'}
		<ShareFigure finding={main} {def} {label} />
	{:else if main.figure.kind === 'account'}
		<AccountFigure finding={main} {def} {label} />
	{:else if main.figure.kind === 'loads'}
		<LoadsFigure finding={main} {def} {label} />
	{:else if main.figure.kind === 'bar'}
		<BarFigure finding={main} {def} {label} />
	{:else}
		<DotFigure finding={main} {def} {label} />
	{/if}
{/if}
