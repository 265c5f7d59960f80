<script lang="ts">
	import type { LogLayout } from '$lib/schemas/gauge-log';
	import type { Preview } from './guess-layout';

	type Props = {
		preview: Preview;
		layout: LogLayout;
		/** Typed beside the layout: step in mm, line speed in m a minute. */
		stepMm: string;
		speed: string;
		/** Single readings are taken in order and have no step. */
		single?: boolean;
		caption: string;
	};
	let { preview, layout = $bindable(), stepMm = $bindable(), speed = $bindable(), single = false, caption }: Props = $props();
	const FIELD = 'h-[28px] rounded border bg-panel py-0 pl-1.5 pr-7 text-[0.9rem]';
	const columns = $derived(Math.max(1, ...preview.rows.map((r) => r.length)));
	const names = $derived(
		Array.from(
			{ length: columns },
			(_, c) => `${c + 1}${layout.headerRows > 0 ? `: ${preview.rows[layout.headerRows - 1]?.[c] ?? ''}` : ''}`
		)
	);

	function setPlace(kind: LogLayout['place']['kind']): void {
		const free = Array.from({ length: columns }, (_, c) => c).find((c) => c !== layout.along && c !== layout.across) ?? 0;
		layout.place =
			kind === 'step'
				? { kind, stepM: 0.01 }
				: kind === 'position'
					? { kind, column: free, perMetre: 1 }
					: { kind, column: free, perSecond: 1, speedMPerS: 0.5 };
	}
</script>

<div class="overflow-x-auto">
	<table class="text-left text-[0.85rem]">
		<caption class="sr-only">{caption}</caption>
		<tbody>
			{#each preview.rows as row, i (i)}
				<tr class={i < layout.headerRows ? 'text-muted' : ''}>
					<th scope="row" class="pr-3 font-normal text-muted">{i + 1}</th>
					{#each row as cell, c (c)}<td class="pr-4 {c === layout.along || c === layout.across ? 'font-bold' : ''}">{cell}</td>{/each}
				</tr>
			{/each}
		</tbody>
	</table>
</div>
<div class="flex flex-wrap items-end gap-x-4 gap-y-2 text-[0.9rem]">
	<label>Diameter in column <select class={FIELD} bind:value={layout.along}>{@render options()}</select></label>
	<label
		>second axis <select
			class={FIELD}
			value={layout.across ?? -1}
			onchange={(e) => (layout.across = Number(e.currentTarget.value) < 0 ? null : Number(e.currentTarget.value))}
			><option value={-1}>none</option>{@render options()}</select
		></label
	>
	<label
		>in <select class={FIELD} bind:value={layout.unit}
			><option value="mm">mm</option><option value="um">µm</option><option value="in">inch</option></select
		></label
	>
	<label
		>decimal <select class={FIELD} bind:value={layout.decimal}><option value=".">point</option><option value=",">comma</option></select
		></label
	>
	<label
		>places <select class={FIELD} value={layout.place.kind} onchange={(e) => setPlace(e.currentTarget.value as LogLayout['place']['kind'])}
			><option value="step">{single ? 'in this order' : 'at even steps'}</option><option value="position">a column of positions</option
			>{#if !single}<option value="time">a column of times</option>{/if}</select
		></label
	>
	{#if layout.place.kind === 'step'}
		{#if !single}<label>one every <input class="{FIELD} w-20" inputmode="decimal" bind:value={stepMm} aria-label="Step in mm" /> mm</label
			>{/if}
	{:else}
		<label>column <select class={FIELD} bind:value={layout.place.column}>{@render options()}</select></label>
		{#if layout.place.kind === 'position'}
			<label
				>in <select class={FIELD} bind:value={layout.place.perMetre}><option value={1}>m</option><option value={1000}>mm</option></select
				></label
			>
		{:else}
			<label
				>in <select class={FIELD} bind:value={layout.place.perSecond}><option value={1}>s</option><option value={1000}>ms</option></select
				></label
			>
			<label
				>at <input class="{FIELD} w-20" inputmode="decimal" bind:value={speed} aria-label="Line speed in m a minute" /> m a minute</label
			>
		{/if}
	{/if}
</div>

{#snippet options()}{#each names as name, c (c)}<option value={c}>{name}</option>{/each}{/snippet}
