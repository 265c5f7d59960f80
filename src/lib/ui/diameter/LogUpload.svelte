<script lang="ts">
	import { refusalWords } from '$lib/words/refusals';
	import type { LogLayout } from '$lib/schemas/gauge-log';
	import { Button } from 'flowbite-svelte';
	import { onDestroy } from 'svelte';
	import { upTo } from '../../words/numbers';
	import { GaugeUpload } from './gauge-upload.svelte';
	import { guessLayout, type Preview } from './guess-layout';
	import { recallLayout, rememberLayout } from './layout-memory';
	import LayoutFields from './LayoutFields.svelte';
	import HarmIcon from '../form/HarmIcon.svelte';

	let { spoolId, instrumentId, ontaken }: { spoolId: string; instrumentId: string; ontaken: () => void } = $props();
	const STORE = 'draught-log-layout';
	/** As much of a file as its layout can be guessed from. */
	const HEAD = 16 * 1024;
	const upload = new GaugeUpload();
	let file = $state.raw<File | null>(null);
	let preview = $state.raw<Preview | null>(null);
	let layout = $state<LogLayout | null>(null);
	/** Typed beside the layout: step in mm, line speed in m a minute. */
	let stepMm = $state('10');
	let speed = $state('30');
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
		const last = recallLayout(STORE, preview);
		layout = last?.layout ?? preview.layout;
		if (last) [stepMm, speed] = [last.stepMm, last.speed];
	}
	async function take(): Promise<void> {
		if (!file || !layout) return;
		const whole = $state.snapshot(layout);
		if (whole.place.kind === 'step') whole.place.stepM = typedNumber(stepMm) / 1000;
		if (whole.place.kind === 'time') whole.place.speedMPerS = typedNumber(speed) / 60;
		if (preview) rememberLayout(STORE, preview, { layout: whole, stepMm, speed });
		if (await upload.start(file, { spoolId, instrumentId, layout: whole })) ontaken();
	}
</script>

<section aria-label="Log from a line gauge" class="mt-5">
	<h2 class="mb-1 font-semibold">Log from a line gauge{file ? `: ${file.name}` : ''}</h2>
	<label class="small block">
		<span>A text file of a line gauge, up to five million samples. Import is all or nothing.</span>
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
			<LayoutFields {preview} bind:layout bind:stepMm bind:speed caption="The first rows of {file.name}" />
			<div class="flex flex-wrap items-center gap-3">
				{#if upload.busy}
					<progress max="1" value={upload.share} aria-label="How much has arrived" class="h-3 w-56"></progress>
					<span role="status">{upload.state === 'reading' ? 'Reading it …' : `${upTo(upload.share * 100, 0)} % arrived`}</span>
					<button type="button" class="link" onclick={() => void upload.cancel()}>Cancel</button>
				{:else}
					<Button size="sm" onclick={() => void take()}>{upload.state === 'broken' ? 'Go on' : 'Import log'}</Button>
					<span role="status" class="small">
						{#if upload.state === 'broken'}The connection broke off at {upTo(upload.share * 100, 0)} %. What arrived is saved; go on when the
							server answers.
						{:else if upload.state === 'done'}Imported.
						{:else if upload.state === 'cancelled'}Cancelled; nothing stored.{/if}
					</span>
				{/if}
			</div>
			{#if upload.state === 'refused'}
				<div role="alert" class="text-harm">
					<p><HarmIcon /> {upload.errors.length > 1 ? `${upload.title} Nothing was stored.` : 'Nothing was stored:'}</p>
					<ul class="small">
						{#each upload.errors as error (error.path + error.code)}<li>{refusalWords(error)}</li>{:else}<li>{upload.title}</li>{/each}
					</ul>
				</div>
			{/if}
		</div>
	{/if}
</section>
