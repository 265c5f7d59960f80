<script lang="ts">
	import { onMount } from 'svelte';

	let dark = $state(false);
	onMount(() => (dark = document.documentElement.classList.contains('dark')));

	function turn(): void {
		dark = !dark;
		document.documentElement.classList.toggle('dark', dark);
		try {
			localStorage.setItem('draught-theme', dark ? 'dark' : 'light');
		} catch {
			// Storage may be refused; the theme then lasts as long as the page.
		}
	}
</script>

<button type="button" class="py-[3px] text-left text-muted hover:text-ink" aria-pressed={dark} onclick={turn}
	>{dark ? 'Light mode' : 'Dark mode'}</button
>
