<script lang="ts">
	import { onMount, type Snippet } from 'svelte';
	import { soon } from './soon';

	/** `height`: room kept until the content is here, in pixels, so that what stands below does not jump. */
	let { children, height = 0 }: { children: Snippet; height?: number } = $props();
	let here = $state(false);
	onMount(() => soon(() => (here = true)));
</script>

<!-- Part of a page that is not the next step: not in the document that is served, put in after the page answers keys. -->
{#if here}{@render children()}{:else}<div data-later aria-hidden="true" style:min-height="{height}px"></div>{/if}
