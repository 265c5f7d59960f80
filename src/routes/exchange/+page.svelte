<script lang="ts">
	import BundleImport from '$lib/ui/exchange/BundleImport.svelte';
	import CsvImport from '$lib/ui/exchange/CsvImport.svelte';
	import { plural } from '$lib/words/numbers';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	/** What people ask for first. */
	const ASKED = ['spools', 'readings', 'attempts', 'specimens', 'quotes', 'amendments', 'notes'];
</script>

<svelte:head><title>Import / export · Draught</title></svelte:head>
<div class="grid max-w-6xl gap-4 p-3 md:px-5 md:py-4 lg:grid-cols-[minmax(0,1fr)_340px]">
	<h1 class="text-[1.6rem] font-bold lg:col-span-2">Import / export</h1>
	<div class="min-w-0 space-y-4">
		<CsvImport tables={data.tables} />
		<section class="panel space-y-3 px-4 py-3" aria-label="Trials">
			<h2 class="font-semibold">A trial with all its evidence</h2>
			<p class="small">
				One JSON document: spools, readings, prints, prices, corrections, rules and verdicts. On another bench it gives the same findings.
				Importing one twice doubles nothing.
			</p>
			<ul class="space-y-1">
				{#each data.trials as trial (trial.id)}
					<li>
						<a class="link" href="/api/v1/trials/{trial.id}/bundle" download>{trial.name}</a>
						<span class="small">{plural(trial.spools, 'spool')}{trial.blind ? ', blind: closed until the marks are in' : ''}</span>
					</li>
				{:else}<li class="small">No trial yet.</li>{/each}
			</ul>
			<BundleImport />
		</section>
	</div>
	<section class="panel h-fit px-4 py-3" aria-label="Export">
		<h2 class="font-semibold">Export</h2>
		<p class="small mt-1">CSV of every table, with all ids: what goes out comes in again unchanged.</p>
		<ul class="mt-2 space-y-1">
			{#each ASKED as name (name)}{@render out(name)}{/each}
		</ul>
		<details class="mt-2">
			<summary class="small">all {data.tables.length} tables</summary>
			<ul class="mt-1 space-y-1">
				{#each data.tables.filter((t) => !ASKED.includes(t.name)) as table (table.name)}{@render out(table.name)}{/each}
			</ul>
		</details>
		<p class="small mt-3">For programs: <a class="link" href="/api/v1/openapi.json">the API as an OpenAPI 3.1 document</a>.</p>
	</section>
</div>

{#snippet out(name: string)}
	<li class="leading-tight">
		<a class="link" href="/api/v1/csv/{name}" download>{name}</a>
		<span class="small">{data.tables.find((t) => t.name === name)?.about}</span>
	</li>
{/snippet}
