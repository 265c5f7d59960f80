<script lang="ts">
	import type { Envelope } from '$lib/core/record/gauge-log/envelope';
	import type { LoggedStrand } from '$lib/core/record/evidence/log';
	import { scaleLinear } from 'd3-scale';
	import { upTo } from '../../words/numbers';
	import { bareLength, lengthUnit } from '../../words/units';
	import { ribbonPath } from './ribbon';
	import { ArrowLeftOutline, ArrowRightOutline } from 'flowbite-svelte-icons';

	type Props = {
		log: LoggedStrand;
		code: string;
		hex: string | null;
		limits: { lowMm: number; highMm: number } | null;
		nominalMm: number;
		biasMm: number;
		/** The part that is looked at; null for all of it. */
		looked?: { fromM: number; toM: number } | null;
	};
	let { log, code, hex, limits, nominalMm, biasMm, looked = $bindable(null) }: Props = $props();
	const W = 640;
	const H = 200;
	const box = { left: 44, right: 6, top: 8, bottom: 22 };
	const whole = $derived(log.summary.picture);
	let part = $state.raw<Envelope | null>(null);
	/** Where the last press leads: the next one goes on from there, also while the picture of this one is on its way. */
	let goal: { fromM: number; toM: number } | null = null;
	const asRead = $derived(part ?? whole);
	/** As the figures take it: what the gauge shows too much is off. */
	const shown = $derived({
		...asRead,
		columns: asRead.columns.map((c) => ({ ...c, lowMm: c.lowMm - biasMm, highMm: c.highMm - biasMm }))
	});
	const zoomed = $derived(part !== null && part.toM - part.fromM < 0.999 * (whole.toM - whole.fromM));
	/** One scale of diameter for every zoom, so that a bump looks the same near and far. */
	const range = $derived({
		low: Math.min(log.summary.lowMm - biasMm, limits?.lowMm ?? nominalMm) - 0.005,
		high: Math.max(log.summary.highMm - biasMm, limits?.highMm ?? nominalMm) + 0.005
	});
	const x = $derived(scaleLinear([shown.fromM, shown.toM], [box.left, W - box.right]));
	const y = $derived(scaleLinear([range.low, range.high], [H - box.bottom, box.top]));
	const ribbon = $derived(ribbonPath(shown.columns, x, y));
	const outside = $derived(limits ? shown.columns.filter((c) => c.highMm > limits.highMm || c.lowMm < limits.lowMm) : []);
	const single = $derived(shown.columns.length > 0 && shown.columns.every((c) => c.samples === 1));

	$effect(() => {
		looked = zoomed ? { fromM: shown.fromM, toM: shown.toM } : null;
	});
	$effect(() => {
		// Another log: its own whole picture first.
		void log.id;
		showWhole();
	});

	function showWhole(): void {
		part = null;
		goal = null;
	}
	async function look(fromM: number, toM: number): Promise<void> {
		const length = Math.min(toM - fromM, whole.toM - whole.fromM);
		const from = Math.max(whole.fromM, Math.min(fromM, whole.toM - length));
		const mine = { fromM: from, toM: from + length };
		goal = mine;
		const query = new URLSearchParams({ fromM: String(from), toM: String(from + length), columns: '600' });
		const picture = await fetch(`/api/v1/logs/${log.id}/picture?${query}`)
			.then((response) => (response.ok ? (response.json() as Promise<Envelope>) : null))
			.catch(() => null);
		if (mine !== goal) return;
		if (picture) part = picture;
		else goal = part;
	}
	function zoom(factor: number, aroundM?: number): void {
		const { fromM, toM } = goal ?? shown;
		const around = aroundM ?? (fromM + toM) / 2;
		const length = (toM - fromM) * factor;
		const share = (around - fromM) / (toM - fromM || 1);
		void look(around - share * length, around + (1 - share) * length);
	}
	function step(by: number): void {
		const { fromM, toM } = goal ?? shown;
		void look(fromM + by * (toM - fromM), toM + by * (toM - fromM));
	}
	function metresAt(event: MouseEvent & { currentTarget: SVGElement }): number {
		const rect = event.currentTarget.getBoundingClientRect();
		return x.invert(((event.clientX - rect.left) / rect.width) * W);
	}
	function keys(event: KeyboardEvent): void {
		const act = {
			'+': () => zoom(0.25),
			'-': () => zoom(4),
			ArrowLeft: () => step(-0.5),
			ArrowRight: () => step(0.5),
			Home: showWhole
		}[event.key];
		if (!act) return;
		event.preventDefault();
		act();
	}
</script>

<div>
	<!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions -->
	<svg
		viewBox="0 0 {W} {H}"
		class="block w-full cursor-zoom-in"
		style:max-width="{W}px"
		role="img"
		tabindex="0"
		aria-label="Strand of {code}, {upTo(shown.fromM, 2)} to {upTo(shown.toM, 2)} m: smallest and largest diameter of {shown.columns
			.length} columns; plus and minus zoom, arrows move, Home shows all"
		onkeydown={keys}
		ondblclick={(event) => zoom(0.25, metresAt(event))}
	>
		<defs>
			<pattern id="left-out" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
				<rect width="7" height="7" fill="var(--panel)" opacity="0.6" /><line
					x1="0"
					x2="0"
					y1="0"
					y2="7"
					stroke="var(--muted)"
					stroke-width="2"
				/>
			</pattern>
		</defs>
		{#each y.ticks(4) as tick (tick)}
			<line x1={box.left} x2={W - box.right} y1={y(tick)} y2={y(tick)} stroke="var(--line)" />
			<text x={box.left - 5} y={y(tick) + 4} font-size="11" text-anchor="end" fill="var(--muted)">{bareLength(tick, 2)}</text>
		{/each}
		<path d={ribbon} fill={hex ?? 'var(--faint)'} stroke="var(--ink)" stroke-width="0.7" stroke-linejoin="round" />
		{#if limits}
			{#each [limits.lowMm, limits.highMm] as limit (limit)}
				<line x1={box.left} x2={W - box.right} y1={y(limit)} y2={y(limit)} stroke="var(--ink)" stroke-dasharray="4 3" />
			{/each}
		{/if}
		{#each outside as c (c.positionM)}
			<path d="M{x(c.positionM) - 2.5},{H - box.bottom + 1}l2.5,-5l2.5,5z" fill="var(--harm)" />
		{/each}
		{#each log.leftOut.filter((l) => l.toM >= shown.fromM && l.fromM <= shown.toM) as l (l.amendmentId)}
			{@const [left, right] = [x(Math.max(l.fromM, shown.fromM)), x(Math.min(l.toM, shown.toM))]}
			<rect
				x={left}
				y={box.top}
				width={Math.max(1.5, right - left)}
				height={H - box.top - box.bottom}
				fill="url(#left-out)"
				stroke="var(--muted)"
			/>
		{/each}
		{#each x.ticks(6) as tick (tick)}
			<text x={x(tick)} y={H - 6} font-size="11" text-anchor="middle" fill="var(--muted)">{upTo(tick, 3)}</text>
		{/each}
		<text x="0" y={H - 6} font-size="11" fill="var(--muted)">{lengthUnit()} / m</text>
	</svg>
	<p class="mt-1 flex flex-wrap items-center gap-2 text-[0.9rem]">
		<button type="button" class="panel px-2 py-0.5" onclick={() => zoom(0.25)}>nearer <kbd>+</kbd></button>
		<button type="button" class="panel px-2 py-0.5" onclick={() => zoom(4)} disabled={!zoomed}>farther <kbd>−</kbd></button>
		<button type="button" class="panel px-2 py-0.5" onclick={() => step(-0.5)} disabled={!zoomed} aria-label="towards the start"
			><ArrowLeftOutline width="1em" height="1em" class="icon" /></button
		>
		<button type="button" class="panel px-2 py-0.5" onclick={() => step(0.5)} disabled={!zoomed} aria-label="towards the end"
			><ArrowRightOutline width="1em" height="1em" class="icon" /></button
		>
		<button type="button" class="panel px-2 py-0.5" onclick={showWhole} disabled={!zoomed}>whole</button>
		<span class="small"
			>{upTo(shown.fromM, 2)} to {upTo(shown.toM, 2)} m · {single
				? 'single readings'
				: 'smallest to largest of each column, no thickening lost'}{limits
				? ' · dashed: the label’s limits · triangles: beyond them'
				: ''}</span
		>
	</p>
</div>
