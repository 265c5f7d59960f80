<script lang="ts">
	/** In what the spools were not treated alike, where it bears on what counts. */
	let { lines }: { lines: readonly string[] } = $props();
	const SHOWN = 4;
</script>

{#if lines.length}
	<section class="question" aria-label="Not a fair comparison">
		<h2 class="font-semibold">≠ Not a fair comparison</h2>
		<ul>
			{#each lines.slice(0, SHOWN) as line (line)}<li>{line}</li>{/each}
		</ul>
		{#if lines.length > SHOWN}
			<details>
				<summary class="small py-1">{lines.length - SHOWN} more</summary>
				<ul>
					{#each lines.slice(SHOWN) as line (line)}<li>{line}</li>{/each}
				</ul>
			</details>
		{/if}
	</section>
{/if}
