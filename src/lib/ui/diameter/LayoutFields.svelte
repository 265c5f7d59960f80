<script lang="ts">
	import { Select } from 'flowbite-svelte';
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
	<label>Diameter in column <Select placeholder="" size="sm" bind:value={layout.along}>{@render options()}</Select></label>
	<label
		>second axis <Select
			placeholder=""
			size="sm"
			value={layout.across ?? -1}
			onchange={(e) => (layout.across = Number(e.currentTarget.value) < 0 ? null : Number(e.currentTarget.value))}
			><option value={-1}>none</option>{@render options()}</Select
		></label
	>
	<label
		>in <Select placeholder="" size="sm" bind:value={layout.unit}
			><option value="mm">mm</option><option value="um">µm</option><option value="in">inch</option></Select
		></label
	>
	<label
		>decimal <Select placeholder="" size="sm" bind:value={layout.decimal}
			><option value=".">point</option><option value=",">comma</option></Select
		></label
	>
	<label
		>places <Select
			placeholder=""
			size="sm"
			value={layout.place.kind}
			onchange={(e) => setPlace(e.currentTarget.value as LogLayout['place']['kind'])}
			><option value="step">{single ? 'in this order' : 'at even steps'}</option><option value="position">a column of positions</option
			>{#if !single}<option value="time">a column of times</option>{/if}</Select
		></label
	>
	{#if layout.place.kind === 'step'}
		{#if !single}<label
				>one every <input
					class="h-[28px] w-20 rounded border bg-panel py-0 pr-1 pl-1.5 text-[0.9rem]"
					inputmode="decimal"
					bind:value={stepMm}
					aria-label="Step in mm"
				/> mm</label
			>{/if}
	{:else}
		<label>column <Select placeholder="" size="sm" bind:value={layout.place.column}>{@render options()}</Select></label>
		{#if layout.place.kind === 'position'}
			<label
				>in <Select placeholder="" size="sm" bind:value={layout.place.perMetre}
					><option value={1}>m</option><option value={1000}>mm</option></Select
				></label
			>
		{:else}
			<label
				>in <Select placeholder="" size="sm" bind:value={layout.place.perSecond}
					><option value={1}>s</option><option value={1000}>ms</option></Select
				></label
			>
			<label
				>at <input
					class="h-[28px] w-20 rounded border bg-panel py-0 pr-1 pl-1.5 text-[0.9rem]"
					inputmode="decimal"
					bind:value={speed}
					aria-label="Line speed in m a minute"
				/> m a minute</label
			>
		{/if}
	{/if}
</div>

{#snippet options()}{#each names as name, c (c)}<option value={c}>{name}</option>{/each}{/snippet}
