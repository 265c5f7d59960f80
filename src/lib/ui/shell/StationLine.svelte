<script lang="ts">
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { isShortcut } from '../form/keys';
	import { plural } from '../../words/numbers';
	import { STATION_WORDS } from '../../words/quantities';
	import type { ShellTrial } from './types';

	let { trial }: { trial: ShellTrial } = $props();
	const base = $derived(`/trials/${trial.id}`);
	const stops = $derived([
		{ href: base, name: 'Trial sheet', done: 1, total: 1, status: '' },
		...trial.progress.map((p) => ({
			href: `${base}/${p.station}`,
			name: STATION_WORDS[p.station] ?? p.station,
			done: p.done,
			total: p.total,
			status: p.total ? `${p.done} of ${p.total}` : ''
		})),
		{ href: `${base}/pick`, name: 'Pick', done: trial.verdicts, total: trial.verdicts, status: trial.verdicts ? 'decided' : '' }
	]);
	const isHere = (href: string) => page.url.pathname === href || (href !== base && page.url.pathname.startsWith(`${href}/`));
	/** To the station before or after this one, with the same spool on the bench. */
	function move(by: 1 | -1): void {
		const next = stops[stops.findIndex((stop) => isHere(stop.href)) + by];
		const spool = page.url.searchParams.get('spool');
		if (next) void goto(spool ? `${next.href}?spool=${spool}` : next.href);
	}
	/** Where letters score prints they are no shortcuts. */
	const isScoring = $derived(page.url.pathname.endsWith('/prints/score'));
	const state = (stop: { done: number; total: number }) =>
		stop.total > 0 && stop.done === stop.total ? 'whole' : stop.done > 0 ? 'half' : 'none';
</script>

<svelte:window
	onkeydown={(event) => {
		if (isScoring) return;
		if (isShortcut(event, 'h')) move(-1);
		if (isShortcut(event, 'l')) move(1);
	}}
/>

<div class="px-[18px] pt-2 md:pt-5">
	<a href="/trials" class="panel block px-2.5 py-1.5">
		<span class="font-semibold">{trial.name}</span>
		<span class="small block">{plural(trial.spools, 'spool')} · day {trial.day}{trial.blind ? ' · blind' : ''}</span>
	</a>
</div>
<nav aria-label="Stations in working order" class="mt-3">
	<ol>
		{#each stops as stop, i (stop.href)}
			{@const here = isHere(stop.href)}
			{@const how = state(stop)}
			<li class="relative">
				{#if i < stops.length - 1}
					<span class="absolute top-1/2 left-[29px] h-full w-[5px] {how === 'none' ? 'bg-faint' : 'bg-act'}" aria-hidden="true"></span>
				{/if}
				<a
					href={stop.href}
					aria-current={here ? 'page' : undefined}
					class="relative flex h-[33px] items-center gap-1.5 pr-2 pl-[21px] max-md:h-[44px] {here
						? 'bg-chosen font-bold'
						: 'hover:bg-chosen/50'}"
				>
					<svg viewBox="0 0 22 22" class="size-[22px] shrink-0" aria-hidden="true">
						<circle cx="11" cy="11" r="9" fill="var(--rail)" stroke={how === 'none' ? 'var(--faint)' : 'var(--act)'} stroke-width="3" />
						{#if how === 'whole'}<circle cx="11" cy="11" r="9" fill="var(--act)" />{/if}
						{#if how === 'half'}<path d="M11,2a9,9 0 0 0 0,18z" fill="var(--act)" />{/if}
					</svg>
					<span class="grow whitespace-nowrap">{stop.name}</span>
					{#if stop.status}<span class="small font-normal whitespace-nowrap">{stop.status}</span>{/if}
				</a>
			</li>
		{/each}
	</ol>
	<a
		href="{base}/rules"
		aria-current={page.url.pathname === `${base}/rules` ? 'page' : undefined}
		class="mt-2 block py-1 pl-[51px] {page.url.pathname === `${base}/rules` ? 'bg-chosen font-bold' : 'text-muted hover:text-ink'}">Rules</a
	>
</nav>
