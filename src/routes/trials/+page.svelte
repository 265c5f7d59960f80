<script lang="ts">
	import Archive from '$lib/ui/form/Archive.svelte';
	import MissedIcon from '$lib/ui/form/MissedIcon.svelte';
	import { offered } from '$lib/ui/form/offered';
	import { day, plural } from '$lib/words/numbers';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const away = $derived(data.trials.filter((t) => t.archived));
</script>

<svelte:head><title>Trials · Draught</title></svelte:head>
<div class="max-w-6xl p-4 md:p-6">
	<div class="flex flex-wrap items-baseline justify-between gap-3">
		<h1 class="text-2xl font-bold">Trials</h1>
		<a href="/trials/new" class="rounded bg-act px-4 py-1.5 font-semibold text-on-act">New trial</a>
	</div>
	{#if data.trials.length === 0}
		<p class="mt-4">No trial yet. A trial answers one question about one spool or several.</p>
	{/if}
	<ul class="mt-4 space-y-2">
		{#each offered(data.trials) as trial (trial.id)}
			{@const stands = data.standing[trial.id]}
			<li class="panel flex flex-wrap items-baseline gap-x-6 gap-y-1 px-4 py-3">
				<div class="min-w-0 flex-1 basis-72">
					<a href="/trials/{trial.id}" class="link text-[1.1rem] font-semibold">{trial.name}</a>
					<span class="small ml-2"
						>{plural(Number(trial.spools), 'spool')} · since {day(trial.createdAt)}{trial.blind ? ' · blind' : ''}</span
					>
					{#if trial.question}<p class="small">{trial.question}</p>{/if}
				</div>
				{#if stands === null}
					<p class="min-w-0 flex-1 basis-72">
						<MissedIcon /> Damaged: its rules or weights cannot be read. Restore a backup, or import the trial again.
					</p>
				{:else if stands}
					<div class="min-w-0 flex-1 basis-72">
						<p>
							{#if stands.next}Next: {stands.next.words} <a class="link" href={stands.next.href}>Do it</a>
							{:else}All that it asks for is done.{/if}
						</p>
						{#if stands.pick}<p class="small">{stands.pick}</p>{/if}
					</div>
				{/if}
				<div class="flex flex-wrap items-baseline gap-x-4 text-[0.9rem]">
					<a class="link inline-block min-h-[26px]" href="/trials/{trial.id}/report">report</a>
					<a class="link inline-block min-h-[26px]" href="/trials/new?like={trial.id}">new one like it</a>
					<Archive kind="trial" id={trial.id} name={trial.name} archived={false} />
				</div>
			</li>
		{/each}
	</ul>
	{#if away.length}
		<details class="mt-4">
			<summary class="font-medium">{plural(away.length, 'archived trial')}</summary>
			<ul class="mt-2 space-y-1.5">
				{#each away as trial (trial.id)}
					<li class="flex flex-wrap items-baseline gap-x-4">
						<a class="link" href="/trials/{trial.id}">{trial.name}</a>
						<Archive kind="trial" id={trial.id} name={trial.name} archived />
					</li>
				{/each}
			</ul>
		</details>
	{/if}
</div>
