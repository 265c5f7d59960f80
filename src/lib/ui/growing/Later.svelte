<script lang="ts">
	import { onMount, type Snippet } from 'svelte';
	import { soon } from './soon';

	type Props = {
		children: Snippet;
		/** Room kept until the content is here, in pixels, so that what stands below does not jump. */
		height?: number;
		/** It comes before all other parts of the page that are put off. */
		first?: boolean;
	};
	let { children, height = 0, first = false }: Props = $props();
	let here = $state(false);
	onMount(() => soon(() => (here = true), first));
</script>

<!-- Part of a page that is not the next step: not in the document that is served, put in after the page answers keys. -->
{#if here}{@render children()}{:else}<div data-later aria-hidden="true" style:min-height="{height}px"></div>{/if}
