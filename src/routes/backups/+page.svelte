<script lang="ts">
	import { invalidate } from '$app/navigation';
	import { Restoring } from '$lib/ui/backup/restoring.svelte';
	import FormProblem from '$lib/ui/form/FormProblem.svelte';
	import { BACKUP_KIND_WORDS, restoreStepWords } from '$lib/words/backups';
	import { dayAndTime, percent, sizeOfFile } from '$lib/words/numbers';
	import { refusalWords } from '$lib/words/refusals';
	import { Button } from 'flowbite-svelte';
	import { untrack } from 'svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const restoring = new Restoring(untrack(() => data.restore));
	const newest = $derived(data.kept[0]);
	const problem = $derived(restoring.form.problem || restoring.form.errors.map((e) => refusalWords(e)).join('; '));

	// What was here before is a backup now. Only the list: the rest of the page is of another record, and loads anew when it is left.
	$effect(() => {
		if (restoring.status?.state === 'done') void invalidate('draught:backups');
	});

	function choose(event: Event & { currentTarget: HTMLInputElement }): void {
		const [file] = event.currentTarget.files ?? [];
		if (file) restoring.choose({ name: file.name, told: file.name, file });
		event.currentTarget.value = '';
	}
</script>

<svelte:head><title>Backups · Draught</title></svelte:head>
<div class="grid max-w-5xl gap-4 p-3 md:px-5 md:py-4 lg:grid-cols-2">
	<h1 class="text-[1.6rem] font-bold lg:col-span-2">Backups</h1>
	<section class="panel h-fit space-y-3 px-4 py-3" aria-label="Back up">
		<p>
			{#if newest}The last backup here is of <strong>{dayAndTime(newest.at)}</strong>.{:else}There is no backup here yet.{/if}
			{#if data.downloadedAt !== null}You last took one away on {dayAndTime(data.downloadedAt)}.{:else}None was taken away yet.{/if}
		</p>
		<Button href="/api/v1/backup" download>Back up now</Button>
		<p class="small">
			One compressed file with everything, photographs too. Copy it to another disk or machine: a backup beside the record is lost with it.
		</p>
		<p class="small">
			{#if data.daily}Draught also makes one every day that something was saved, and keeps seven days, eight weeks and twelve months of
				them.{:else}Daily backups are switched off here.{/if}
		</p>
	</section>
	<section class="panel h-fit space-y-3 px-4 py-3" aria-label="Restore">
		<h2 class="font-semibold">Restore</h2>
		<label class="block text-[0.85rem] font-medium"
			>A backup file
			<input type="file" accept=".gz,.sql,application/gzip" class="file-field" disabled={restoring.busy} onchange={choose} /></label
		>
		{#if restoring.chosen && !restoring.busy}
			<div
				{@attach (shown) => shown.scrollIntoView({ block: 'nearest' })}
				class="question space-y-2"
				role="alertdialog"
				aria-label="Restore this backup?"
			>
				<p>
					<strong>{restoring.chosen.told}</strong> replaces everything that is here now. What is here now becomes a backup first, and you can
					come back to it.
				</p>
				<div class="flex flex-wrap gap-3">
					<Button onclick={() => void restoring.start()}>Restore it</Button>
					<button type="button" class="link" onclick={() => (restoring.chosen = null)}>Cancel</button>
				</div>
			</div>
		{/if}
		<div aria-live="polite" class="space-y-2">
			{#if restoring.sent !== null}<p>Sending the file, {percent(restoring.sent)} …</p>{/if}
			{#if restoring.broken}<p>The file did not arrive whole. Nothing was changed; press again and it goes on where it broke off.</p>{/if}
			{#if restoring.status?.state === 'running'}
				<p>{restoreStepWords(restoring.status.step, restoring.status.part)} …</p>
				<progress class="w-full" max="1" value={restoring.status.part} aria-label="This step"></progress>
			{:else if restoring.status?.state === 'done'}
				<p>
					<strong>Restored.</strong>
					{#if restoring.status.kept}What was here before is the backup {restoring.status.kept}.{/if}
					<a class="link" href="/trials" data-sveltekit-reload>Open the trials</a>.
				</p>
			{/if}
		</div>
		<FormProblem
			title={restoring.status?.state === 'failed'
				? `Not restored: ${restoring.status.said ?? 'it was broken off, and the record is as it was'}.`
				: problem}
		/>
	</section>
	<section class="panel px-4 py-3 lg:col-span-2" aria-label="Kept here">
		<h2 class="font-semibold">Kept here</h2>
		<p class="small">In {data.directory}</p>
		<ul class="mt-2 divide-y divide-line">
			{#each data.kept as backup (backup.name)}
				<li class="flex flex-wrap items-center gap-x-4 gap-y-1 py-1.5">
					<span class="tabular-nums">{dayAndTime(backup.at)}</span>
					<span class="small grow">{BACKUP_KIND_WORDS[backup.kind]}, {sizeOfFile(backup.bytes)}</span>
					<button
						type="button"
						class="link"
						disabled={restoring.busy}
						aria-label="Restore the backup of {dayAndTime(backup.at)}"
						onclick={() => restoring.choose({ name: backup.name, told: `The backup of ${dayAndTime(backup.at)}`, file: null })}
						>Restore</button
					>
				</li>
			{:else}<li class="small">None yet.</li>{/each}
		</ul>
	</section>
</div>
