<script lang="ts">
	import { goto } from '$app/navigation';
	import Sliver from '$lib/ui/spool/Sliver.svelte';
	import { productLine } from '$lib/ui/spool/names';
	import { day, plural } from '$lib/ui/words/numbers';
	import { Input } from 'flowbite-svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	let timer: ReturnType<typeof setTimeout> | undefined;

	function search(text: string): void {
		clearTimeout(timer);
		timer = setTimeout(() => void goto(`?q=${encodeURIComponent(text)}`, { keepFocus: true, replaceState: true, noScroll: true }), 150);
	}
</script>

<svelte:head><title>Every spool · Draught</title></svelte:head>
<div class="max-w-5xl p-3 md:px-5 md:py-4">
	<h1 class="text-[1.6rem] font-bold">Every spool ever seen</h1>
	<form role="search" class="mt-2 max-w-xl" onsubmit={(e) => e.preventDefault()}>
		<label for="q" class="small">Code, maker, product, material, colour or a word of a note</label>
		<!-- the page is this field -->
		<Input
			id="q"
			type="search"
			autofocus
			value={data.q}
			oninput={(e) => search((e.currentTarget as HTMLInputElement).value)}
			autocomplete="off"
			maxlength={100}
		/>
	</form>
	<p class="small mt-2" role="status">
		{data.spools.length === 0 ? (data.q ? 'No spool has all these words.' : 'No spool taken in yet.') : plural(data.spools.length, 'spool')}
	</p>
	<ul class="mt-1 space-y-1.5">
		{#each data.spools as spool (spool.id)}
			<li>
				<a
					href="/spools/{spool.id}"
					class="panel grid grid-cols-[4.5rem_1fr] items-center gap-x-3 px-3 py-1.5 hover:border-act sm:grid-cols-[4.5rem_minmax(0,1fr)_12rem_9rem]"
				>
					<span>
						<span class="wide block text-[1.1rem] leading-tight font-bold">{spool.code}</span>
						<Sliver hex={spool.colourHex} label={spool.colourName ?? undefined} class="w-14" />
					</span>
					<span class="min-w-0"
						><span class="block truncate">{productLine(spool)}</span><span class="small"
							>{[spool.material, spool.colourName].filter(Boolean).join(', ')}</span
						></span
					>
					<span class="small">{plural(spool.prints, 'print')}, {plural(spool.readings, 'reading')}</span>
					<span class="small">{day(spool.lastAt)}</span>
				</a>
			</li>
		{/each}
	</ul>
</div>
