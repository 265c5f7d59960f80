<script lang="ts">
	import type { LogLayout } from '$lib/schemas/gauge-log';
	import { Button } from 'flowbite-svelte';
	import { onDestroy } from 'svelte';
	import { upTo } from '../words/numbers';
	import { GaugeUpload } from './gauge-upload.svelte';
	import { guessLayout, type Preview } from './guess-layout';

	let { spoolId, instrumentId, ontaken }: { spoolId: string; instrumentId: string; ontaken: () => void } = $props();
	const FIELD = 'h-[28px] rounded border bg-panel py-0 pl-1.5 text-[0.9rem]';
	const REMEMBERED = 'draught-log-layout';
	/** As much of a file as its layout can be guessed from. */
	const HEAD = 16 * 1024;
	const upload = new GaugeUpload();
	let file = $state.raw<File | null>(null);
	let preview = $state.raw<Preview | null>(null);
	let layout = $state<LogLayout | null>(null);
	/** Typed beside the layout: step in mm, line speed in m a minute. */
	let stepMm = $state('10');
	let speed = $state('30');
	const columns = $derived(Math.max(1, ...(preview?.rows.map((r) => r.length) ?? [1])));
	const names = $derived(
		Array.from(
			{ length: columns },
			(_, c) => `${c + 1}${layout && layout.headerRows > 0 ? `: ${preview?.rows[layout.headerRows - 1]?.[c] ?? ''}` : ''}`
		)
	);
	const typedNumber = (text: string) => Number(text.replace(',', '.'));
	onDestroy(() => {
		if (upload.busy) void upload.cancel();
	});

	/** Takes up a file, chosen or made. */
	export async function offer(chosen: File | null): Promise<void> {
		file = chosen;
		upload.state = 'idle';
		if (!file) return;
		preview = guessLayout(await file.slice(0, HEAD).text());
		layout = remembered(preview.layout);
	}
	/** The mapping that was used last, where this file has the same shape. */
	function remembered(guessed: LogLayout): LogLayout {
		const kept = localStorage.getItem(REMEMBERED);
		if (!kept) return guessed;
		const last = JSON.parse(kept) as { columns: number; stepMm: string; speed: string; layout: LogLayout };
		if (last.columns !== columns || last.layout.delimiter !== guessed.delimiter || last.layout.headerRows !== guessed.headerRows)
			return guessed;
		[stepMm, speed] = [last.stepMm, last.speed];
		return last.layout;
	}
	async function take(): Promise<void> {
		if (!file || !layout) return;
		const whole = $state.snapshot(layout);
		if (whole.place.kind === 'step') whole.place.stepM = typedNumber(stepMm) / 1000;
		if (whole.place.kind === 'time') whole.place.speedMPerS = typedNumber(speed) / 60;
		localStorage.setItem(REMEMBERED, JSON.stringify({ columns, stepMm, speed, layout: whole }));
		if (await upload.start(file, { spoolId, instrumentId, layout: whole })) ontaken();
	}
	function setPlace(kind: LogLayout['place']['kind']): void {
		if (!layout) return;
		const free = Array.from({ length: columns }, (_, c) => c).find((c) => c !== layout?.along && c !== layout?.across) ?? 0;
		layout.place =
			kind === 'step'
				? { kind, stepM: 0.01 }
				: kind === 'position'
					? { kind, column: free, perMetre: 1 }
					: { kind, column: free, perSecond: 1, speedMPerS: 0.5 };
	}
</script>

<section aria-label="A gauge’s log" class="mt-5">
	<h2 class="mb-1 font-semibold">A gauge’s log{file ? `: ${file.name}` : ''}</h2>
	<label class="small block">
		<span>A text file of a line gauge, up to five million samples. It is taken whole or not at all.</span>
		<input
			type="file"
			accept=".csv,.txt,.tsv,text/*"
			onchange={(e) => void offer(e.currentTarget.files?.[0] ?? null)}
			class="mt-1 block text-ink"
			aria-label="File of a gauge"
		/>
	</label>
	{#if file && preview && layout}
		<div class="panel mt-2 space-y-2 px-3 py-2">
			<div class="overflow-x-auto">
				<table class="text-left text-[0.85rem]">
					<caption class="sr-only">The first rows of {file.name}</caption>
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
				<label>Diameter in column <select class="{FIELD} pr-7" bind:value={layout.along}>{@render options()}</select></label>
				<label
					>second axis <select
						value={layout.across ?? -1}
						onchange={(e) => {
							if (layout) layout.across = Number(e.currentTarget.value) < 0 ? null : Number(e.currentTarget.value);
						}}><option value={-1}>none</option>{@render options()}</select
					></label
				>
				<label
					>in <select class="{FIELD} pr-7" bind:value={layout.unit}
						><option value="mm">mm</option><option value="um">µm</option><option value="in">inch</option></select
					></label
				>
				<label
					>decimal <select class="{FIELD} pr-7" bind:value={layout.decimal}
						><option value=".">point</option><option value=",">comma</option></select
					></label
				>
				<label
					>places <select
						class="{FIELD} pr-7"
						value={layout.place.kind}
						onchange={(e) => setPlace(e.currentTarget.value as LogLayout['place']['kind'])}
						><option value="step">at even steps</option><option value="position">a column of positions</option><option value="time"
							>a column of times</option
						></select
					></label
				>
				{#if layout.place.kind === 'step'}
					<label>one every <input class="{FIELD} w-16" inputmode="decimal" bind:value={stepMm} aria-label="Step in mm" /> mm</label>
				{:else}
					<label>column <select class="{FIELD} pr-7" bind:value={layout.place.column}>{@render options()}</select></label>
					{#if layout.place.kind === 'position'}
						<label
							>in <select class="{FIELD} pr-7" bind:value={layout.place.perMetre}
								><option value={1}>m</option><option value={1000}>mm</option></select
							></label
						>
					{:else}
						<label
							>in <select class="{FIELD} pr-7" bind:value={layout.place.perSecond}
								><option value={1}>s</option><option value={1000}>ms</option></select
							></label
						>
						<label
							>at <input class="{FIELD} w-16" inputmode="decimal" bind:value={speed} aria-label="Line speed in m a minute" /> m a minute</label
						>
					{/if}
				{/if}
			</div>
			<div class="flex flex-wrap items-center gap-3">
				{#if upload.busy}
					<progress max="1" value={upload.share} aria-label="How much has arrived" class="h-3 w-56"></progress>
					<span role="status">{upload.state === 'reading' ? 'Reading it …' : `${upTo(upload.share * 100, 0)} % arrived`}</span>
					<button type="button" class="link" onclick={() => void upload.cancel()}>Cancel</button>
				{:else}
					<Button size="sm" class="bg-act! text-on-act!" onclick={() => void take()}
						>{upload.state === 'broken' ? 'Go on' : 'Take it in'}</Button
					>
					<span role="status" class="small">
						{#if upload.state === 'broken'}The connection broke off at {upTo(upload.share * 100, 0)} %. What arrived is kept; go on when the server
							answers.
						{:else if upload.state === 'done'}Taken in.
						{:else if upload.state === 'cancelled'}Given up; nothing was stored.{/if}
					</span>
				{/if}
			</div>
			{#if upload.state === 'refused'}
				<div role="alert" class="text-harm">
					<p>▲ {upload.errors.length > 1 ? `${upload.title} Nothing was stored.` : 'Nothing was stored:'}</p>
					<ul class="small">
						{#each upload.errors as error (error.path + error.code)}<li>{error.message}</li>{:else}<li>{upload.title}</li>{/each}
					</ul>
				</div>
			{/if}
		</div>
	{/if}
</section>

{#snippet options()}{#each names as name, c (c)}<option value={c}>{name}</option>{/each}{/snippet}
