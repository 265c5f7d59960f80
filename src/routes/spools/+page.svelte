<script lang="ts">
	import { goto } from '$app/navigation';
	import Sliver from '$lib/ui/figures/Sliver.svelte';
	import { productLine } from '$lib/ui/spool/names';
	import { VERDICT_KINDS } from '$lib/core/record/lists/closed-lists';
	import { settingsLine } from '$lib/ui/prints/attempt-draft';
	import { verdictWords } from '$lib/words/one-page';
	import { day, fixed, grouped, plural } from '$lib/words/numbers';
	import { bareValue, inSentence, valueWords } from '$lib/words/quantities';
	import { Input, Select } from 'flowbite-svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	type Spool = (typeof data.spools)[number];
	const LAST = Number.POSITIVE_INFINITY;
	/** What is not known goes last in every order. */
	const worth = (spool: Spool, quantity: string) => {
		const mark = spool.marks.find((m) => m.def.id === quantity);
		if (mark?.finding.estimate == null) return LAST;
		return mark.def.direction === 'less' ? mark.finding.estimate : -mark.finding.estimate;
	};
	const rangeOf = (def: Spool['marks'][number]['def'], { interval }: Spool['marks'][number]['finding']) =>
		interval ? `${bareValue(def, interval.low)} to ${bareValue(def, interval.high)}` : 'no range';
	const ORDERS: Record<string, { label: string; by: (spool: Spool) => number }> = {
		newest: { label: 'newest first', by: (s) => -s.lastAt },
		price: { label: 'cheapest first', by: (s) => s.price?.perKg ?? LAST },
		verdict: { label: 'verdict', by: (s) => (s.verdict ? VERDICT_KINDS.indexOf(s.verdict.kind) : LAST) },
		strings: { label: 'fewest strings', by: (s) => worth(s, 'strings') },
		overhang: { label: 'steepest overhang', by: (s) => worth(s, 'overhang') },
		softest: { label: 'softest by the label', by: (s) => worth(s, 'statedHardness') },
		load: { label: 'strongest', by: (s) => worth(s, 'strengthLoad') }
	};
	let order = $state('newest');
	const ordered = $derived(
		data.spools.toSorted((a, b) => {
			const by = ORDERS[order]?.by ?? (() => 0);
			const [x, y] = [by(a), by(b)];
			return x === y ? b.lastAt - a.lastAt : x < y ? -1 : 1;
		})
	);
	let timer: ReturnType<typeof setTimeout> | undefined;

	function search(text: string): void {
		clearTimeout(timer);
		timer = setTimeout(() => void goto(`?q=${encodeURIComponent(text)}`, { keepFocus: true, replaceState: true, noScroll: true }), 150);
	}
</script>

<svelte:head><title>Every spool · Draught</title></svelte:head>
<div class="p-3 md:px-5 md:py-4">
	<h1 class="text-[1.6rem] font-bold">Every spool ever seen</h1>
	<form role="search" class="mt-2 max-w-xl" onsubmit={(e) => e.preventDefault()}>
		<label for="q" class="small"
			>Code, maker, product, material, colour, a word of a note; also <em>no strings</em>, <em>no failures</em>, <em>under 20</em>,
			<em>archived</em></label
		>
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
	<div class="mt-2 flex flex-wrap items-baseline gap-x-4">
		<p class="small" role="status">
			{data.total === 0
				? data.q
					? 'No spool answers all of this.'
					: 'No spool yet.'
				: data.pages > 1
					? `${grouped(data.total)} spools, page ${data.page} of ${data.pages}`
					: plural(data.total, 'spool')}
			{#if data.pending > 0}· {plural(data.pending, 'spool')} still being worked out; look again in a few minutes{/if}
		</p>
		{#if data.pages > 1}
			<nav aria-label="Pages" class="small flex gap-3">
				{#if data.page > 1}<a class="link" href="?q={encodeURIComponent(data.q)}&page={data.page - 1}">newer</a>{/if}
				{#if data.page < data.pages}<a class="link" href="?q={encodeURIComponent(data.q)}&page={data.page + 1}">older</a>{/if}
			</nav>
		{/if}
		{#if data.spools.length > 1}
			<label class="small inline-flex items-baseline gap-1.5"
				>Order
				<Select placeholder="" size="sm" bind:value={order}>
					{#each Object.entries(ORDERS) as [key, { label }] (key)}<option value={key}>{label}</option>{/each}
				</Select></label
			>
		{/if}
	</div>
	<ul class="mt-1 space-y-1.5">
		{#each ordered as spool (spool.id)}
			<li>
				<a
					href="/spools/{spool.id}"
					class="panel grid grid-cols-[4.5rem_minmax(0,1fr)] items-start gap-x-3 gap-y-1 px-3 py-1.5 hover:border-act lg:grid-cols-[4.5rem_minmax(0,13rem)_9rem_6.5rem_minmax(0,1fr)_6rem]"
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
					<span class="col-start-2 font-medium lg:col-start-auto">
						{#if spool.verdict}{verdictWords(spool.verdict)}
						{:else}<span class="small font-normal">no verdict</span>{/if}
					</span>
					<span class="col-start-2 whitespace-nowrap lg:col-start-auto">
						{#if spool.price}<strong>{fixed(spool.price.perKg, 2)}</strong>
							<span class="small">{spool.price.currency}/kg</span>{:else}<span class="small">no price</span>{/if}
					</span>
					<span class="col-start-2 min-w-0 lg:col-start-auto">
						{#if spool.marks.length || spool.finished}
							<span class="flex flex-wrap gap-x-3">
								{#if spool.finished}<span class="whitespace-nowrap"
										><span class="small">finished</span> {spool.finished.count} of {spool.finished.of}</span
									>{/if}
								{#each spool.marks as { def, finding } (def.id)}
									<span class="lg:whitespace-nowrap"
										><span class="small">{inSentence(def)}</span>
										{valueWords(def, finding.estimate ?? 0)}
										<span class="small"
											>({finding.method === 'stated' ? 'as stated, ' : ''}{rangeOf(def, finding)}{finding.method === 'stated'
												? ''
												: `; ${finding.n}`})</span
										></span
									>
								{/each}
							</span>
						{:else}<span class="small">nothing marked yet</span>{/if}
						{#if spool.settings}<span class="small block">{settingsLine(spool.settings)}</span>{/if}
					</span>
					<span class="small col-start-2 lg:col-start-auto">{day(spool.lastAt)}</span>
				</a>
			</li>
		{/each}
	</ul>
	{#if data.spools.length}<p class="small mt-2">In brackets: the 95 % range, and how many prints or test parts there are.</p>{/if}
</div>
