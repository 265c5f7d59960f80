<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { navigating, page } from '$app/state';
	import { outbox } from '../bench/outbox-state.svelte';
	import ShellNotice from '../drying/ShellNotice.svelte';
	import ShellTimers from '../drying/ShellTimers.svelte';
	import { clock } from '../form/clock';
	import { isShortcut } from '../form/keys';
	import { plural } from '../../words/numbers';
	import KeySheet from './KeySheet.svelte';
	import StationLine from './StationLine.svelte';
	import ThemeSwitch from './ThemeSwitch.svelte';
	import type { ShellTrial } from './types';
	import type { Snippet } from 'svelte';

	type Props = { trial: ShellTrial | null; instance: string; loggedIn: boolean; children: Snippet };
	let { trial, instance, loggedIn, children }: Props = $props();

	async function logOut(everywhere = false): Promise<void> {
		// eslint-disable-next-line no-restricted-syntax -- a log-out stores nothing, so there is nothing a retry could double
		const out = await fetch(`/api/v1/session${everywhere ? '?everywhere' : ''}`, { method: 'DELETE' }).catch(() => null);
		if (out?.ok) location.href = '/login';
	}
	let lastTrial = $state.raw<ShellTrial | null>(null);
	$effect(() => {
		if (trial) lastTrial = trial;
	});
	const SKIP = 'sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-panel focus:p-2';
	/** Benches where numbers are typed into one field. */
	const hasField = $derived(/\/(diameter|moisture|strength|own)$/.test(page.url.pathname));
	let keysOpen = $state(false);
	let menuOpen = $state(false);
	const here = $derived(page.url.pathname);
	$effect(() => {
		// A page chosen from the menu of a narrow screen closes it; the same one loaded anew does not.
		void here;
		menuOpen = false;
	});

	async function loadAnew(): Promise<void> {
		// Loading anew would make SvelteKit drop a link that is being followed.
		await navigating.complete;
		await invalidateAll();
	}
	/** Once the outbox has been empty for a moment, counts and findings of the page are loaded anew. */
	const SETTLE_MS = 1200;
	let wasWaiting = false;
	$effect(() => {
		if (outbox.waiting > 0) {
			wasWaiting = true;
			return;
		}
		if (!wasWaiting) return;
		const timer = setTimeout(() => {
			wasWaiting = false;
			void loadAnew();
		}, SETTLE_MS);
		return () => clearTimeout(timer);
	});
</script>

<svelte:window
	onkeydown={(event) => {
		if (isShortcut(event, '?')) keysOpen = true;
	}}
/>

{#if hasField}<a href="#capture" class={SKIP}>Skip to the field</a>{/if}
<a href="#content" class={SKIP}>Skip to content</a>
<div class="min-h-screen md:grid md:grid-cols-[188px_minmax(0,1fr)] print:block">
	<header
		class="relative border-line bg-rail max-md:border-b md:sticky md:top-0 md:flex md:h-screen md:flex-col md:overflow-y-auto md:border-r print:hidden"
	>
		<div class="flex items-center justify-between gap-2 px-[18px] py-2 md:block md:pt-4 md:pb-0">
			<a href="/trials" class="wide text-[1.4rem] leading-tight font-extrabold tracking-tight">Draught</a>
			{#if instance === 'demo'}<span class="small md:block">demo records</span>{/if}
			<span class="small ml-auto md:hidden" aria-hidden="true"
				>{outbox.waiting > 0 ? `${outbox.waiting} waiting` : outbox.known ? 'all saved' : ''}</span
			>
			<button
				type="button"
				class="panel px-3 py-1 md:hidden"
				aria-expanded={menuOpen}
				aria-controls="rail"
				onclick={() => (menuOpen = !menuOpen)}>Stations</button
			>
		</div>
		<!-- On a narrow screen it lies over the page, which stays where it was. -->
		<div
			id="rail"
			class="{menuOpen
				? 'block'
				: 'hidden'} pb-3 max-md:absolute max-md:inset-x-0 max-md:top-full max-md:z-30 max-md:max-h-[85vh] max-md:overflow-y-auto max-md:border-b max-md:bg-rail max-md:shadow-lg md:flex md:grow md:flex-col"
		>
			{#if trial}
				<StationLine {trial} />
			{:else}
				<!-- The sheet is one click away from everywhere: the trial last looked at, else the newest. -->
				<div class="px-[18px] pt-2 md:pt-5">
					<a href={lastTrial ? `/trials/${lastTrial.id}` : '/'} class="panel block px-2.5 py-1.5">
						<span class="font-semibold">Trial sheet</span>
						{#if lastTrial}<span class="small block">{lastTrial.name}</span>{/if}
					</a>
				</div>
			{/if}
			<ShellTimers />
			<nav aria-label="More" class="mt-4 flex flex-col px-[18px] text-[0.93rem] md:mt-auto md:pt-6">
				{#each [['/spools', 'Every spool'], ['/trials', 'Trials'], ['/workshop', 'Workshop'], ['/pieces', 'Test pieces'], ['/handbook', 'Handbook'], ['/exchange', 'Import / export'], ['/backups', 'Backups']] as const as [href, name] (href)}
					<a {href} class="py-[3px] text-muted hover:text-ink" aria-current={page.url.pathname === href ? 'page' : undefined}>{name}</a>
				{/each}
				<button type="button" class="py-[3px] text-left text-muted hover:text-ink" onclick={() => (keysOpen = true)}
					>Help <kbd>?</kbd></button
				>
				<ThemeSwitch />
				{#if loggedIn}<button type="button" class="py-[3px] text-left text-muted hover:text-ink" onclick={() => void logOut()}
						>Log out</button
					>
					<button type="button" class="py-[3px] text-left text-muted hover:text-ink" onclick={() => void logOut(true)}
						>Log out everywhere</button
					>{/if}
			</nav>
			<p class="small mt-3 px-[18px]" role="status" data-testid="outbox">
				{#if outbox.waiting > 0}<strong class="text-ink">{outbox.waiting} waiting</strong> to be saved{:else if outbox.known && outbox.refused.length === 0}all
					saved{/if}
			</p>
		</div>
	</header>
	<main id="content" tabindex="-1" class="min-w-0 outline-none">
		{#each outbox.refused as item (item.id)}
			<div class="question m-3 flex flex-wrap items-center gap-3" role="alert">
				<span>Not saved ({item.path}{'typed' in item.body ? `, “${String(item.body.typed)}”` : ''}): {item.refused?.title}</span>
				{#if clock.aheadMs > 0 && item.refused?.errors.some((e) => e.code === 'future')}
					<span>This device’s clock is {plural(Math.round(clock.aheadMs / 60_000), 'minute')} ahead.</span>
					<button type="button" class="link" onclick={() => void outbox.redate(item.id)}>Save it with the server’s time</button>
				{/if}
				<button type="button" class="link" onclick={() => void outbox.drop(item.id)}>Drop it</button>
			</div>
		{/each}
		{#if outbox.locked && outbox.waiting > 0}
			<p class="question m-3" role="alert">
				You are logged out. {plural(outbox.waiting, 'entry', 'entries')} on this device will be saved once you
				<a class="link" href="/login?to={encodeURIComponent(here)}" data-sveltekit-reload>log in</a>.
			</p>
		{/if}
		<ShellNotice />
		{@render children()}
	</main>
</div>
<KeySheet bind:open={keysOpen} />
