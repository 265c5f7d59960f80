<script lang="ts">
	import type { Snippet } from 'svelte';
	import FormProblem from './FormProblem.svelte';

	type Props = {
		onsubmit: () => unknown;
		/** What is wrong that belongs to no field; none where the form tells it elsewhere. */
		problem?: string;
		label?: string;
		class?: string;
		/** The form itself, to find a field in it. */
		element?: HTMLFormElement;
		children: Snippet;
	};
	/** A form of the house: the browser checks nothing, what is wrong stands above the fields, a press on the button or Enter sends it. */
	let { onsubmit, problem, label, class: extra, element = $bindable(), children }: Props = $props();
</script>

<form
	bind:this={element}
	class={extra}
	novalidate
	aria-label={label}
	onsubmit={(event) => {
		event.preventDefault();
		// One that stands inside another, in a dialogue, does not send that too.
		event.stopPropagation();
		void onsubmit();
	}}
>
	{#if problem !== undefined}<FormProblem title={problem} />{/if}
	{@render children()}
</form>
