<script lang="ts">
	import { Alert } from 'flowbite-svelte';
	import type { Snippet } from 'svelte';
	import HarmIcon from './HarmIcon.svelte';

	type Props = {
		id?: string;
		class?: string;
		/** Read aloud at once; not where it belongs to a field, which names it, nor where it has stood since the page was opened. */
		live?: boolean;
		children: Snippet;
	};
	let { id, class: extra = '', live = true, children }: Props = $props();
</script>

<!-- What is wrong, in one shape wherever it stands. It comes and goes at once: it must not be missed. -->
<Alert {id} role={live ? 'alert' : undefined} params={{ duration: 0 }} class={extra}>
	{#snippet icon()}<HarmIcon />{/snippet}
	{@render children()}
</Alert>
