<script lang="ts">
	import type { Snippet } from 'svelte';
	import type { QuantityDef } from '$lib/core/judging/finding/types';
	import { asOneFile, saveFile } from './as-one-file';
	import Methods from './Methods.svelte';

	type Props = {
		title: string;
		fileName: string;
		back: { href: string; name: string };
		/** A picture of the page's address; null where nobody else could follow it. */
		addressCode: string | null;
		/** What stands on the page. */
		shown: readonly QuantityDef[];
		children: Snippet;
	};
	let { title, fileName, back, addressCode, shown, children }: Props = $props();
	let sheet = $state<HTMLElement>();
	let saving = $state(false);
	/** What a sheet of A4 or Letter holds of this width, px; a longer page is set smaller on paper, down to what can be read. */
	const SHEET = 1330;
	let height = $state(SHEET);
	const fit = $derived(Math.max(0.55, Math.min(1, SHEET / Math.max(1, height))));

	async function save(): Promise<void> {
		if (!sheet) return;
		saving = true;
		try {
			saveFile(fileName, await asOneFile(title, sheet));
		} finally {
			saving = false;
		}
	}
</script>

<!-- One page that stands alone, and a last one that says how it was worked out: on the screen, on paper, as one file to send. -->
<svelte:head><title>{title} · Draught</title></svelte:head>
<div class="p-3 md:px-5 md:py-4 print:p-0">
	<p class="mb-3 flex flex-wrap gap-3 print:hidden">
		<a class="link" href={back.href}>{back.name}</a>
		<button type="button" class="link" onclick={() => window.print()}>Print</button>
		<button type="button" class="link" disabled={saving} onclick={() => void save()}>Save as one file</button>
	</p>
	<article
		bind:this={sheet}
		style:--fit={fit}
		class="one-page panel mx-auto max-w-[760px] px-6 py-5 sm:px-10 sm:py-8 print:max-w-none print:border-0 print:p-0"
	>
		<div bind:offsetHeight={height}>
			{@render children()}
			<footer class="small mt-6 flex items-end justify-between gap-4 border-t pt-2">
				<span>Draught · ranges are 95 % ranges · how it was worked out: last page</span>
				{#if addressCode}<img src={addressCode} alt="Address of this page" class="h-16 w-16 bg-white p-1" />{/if}
			</footer>
		</div>
		<Methods {shown} />
	</article>
</div>

<style>
	@media print {
		.one-page {
			zoom: var(--fit);
		}
	}
</style>
