<script lang="ts">
	import FormShell from '$lib/ui/form/FormShell.svelte';
	import { page } from '$app/state';
	import { Button, Input, Label } from 'flowbite-svelte';
	import { onMount } from 'svelte';
	import { focusFirst } from '$lib/ui/form/focus-first';
	import Problem from '$lib/ui/form/Problem.svelte';

	let passphrase = $state('');
	let problem = $state('');
	onMount(() => focusFirst('passphrase'));
	let busy = $state(false);
	/** Only to a page of this server. */
	const to = $derived(/^\/(?![/\\])/.test(page.url.searchParams.get('to') ?? '') ? (page.url.searchParams.get('to') ?? '/') : '/');

	async function submit(): Promise<void> {
		busy = true;
		const response = await fetch('/api/v1/session', {
			// eslint-disable-next-line no-restricted-syntax -- a login stores nothing, so there is nothing a retry could double
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify({ passphrase })
		}).catch(() => null);
		busy = false;
		// The whole page anew: what it shows was not there before.
		if (response?.ok) location.href = to;
		else problem = ((await response?.json().catch(() => null)) as { title?: string } | null)?.title ?? 'The server does not answer.';
	}
</script>

<svelte:head><title>Log in · Draught</title></svelte:head>
<FormShell class="mx-auto mt-16 max-w-sm space-y-4 p-4" onsubmit={submit}>
	<h1 class="wide text-2xl font-extrabold">Draught</h1>
	<div>
		<Label for="passphrase">Passphrase</Label>
		<Input
			id="passphrase"
			type="password"
			autocomplete="current-password"
			bind:value={passphrase}
			aria-invalid={problem ? 'true' : undefined}
			aria-describedby={problem ? 'passphrase-error' : undefined}
		/>
		{#if problem}<Problem id="passphrase-error" class="mt-1">{problem}</Problem>{/if}
	</div>
	<Button type="submit" disabled={busy}>Log in</Button>
</FormShell>
