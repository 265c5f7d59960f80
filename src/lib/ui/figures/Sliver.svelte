<script lang="ts">
	let { hex, label, class: extra = 'w-16' }: { hex: string | null; label?: string; class?: string } = $props();
</script>

<!-- A sliver of strand in the filament's own colour, ink outlined so that white and clear spools show. -->
{#if hex}
	<span
		class="inline-block h-[7px] rounded-[4px] border border-ink/60 align-middle {extra}"
		style:background={hex}
		role="img"
		aria-label={label ?? `colour ${hex}`}
	></span>
{:else}
	<span
		class="hatched inline-block h-[7px] rounded-[4px] border border-ink/40 align-middle {extra}"
		role="img"
		aria-label="colour not noted"
	></span>
{/if}
