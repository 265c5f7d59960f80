<script lang="ts">
	import { Textarea } from 'flowbite-svelte';
	import type { HTMLTextareaAttributes } from 'svelte/elements';

	let { value = $bindable(), class: more = '', ...rest }: HTMLTextareaAttributes & { value: string } = $props();
</script>

<!-- Flowbite's theme does not reach a text area that stands alone. -->
<Textarea
	rows={2}
	{...rest}
	bind:value
	class="w-full border-faint bg-panel text-ink placeholder:text-muted dark:border-faint dark:bg-panel dark:text-ink dark:placeholder:text-muted {more}"
/>
