<script lang="ts">
	import { page } from '$app/state';
</script>

<svelte:head><title>{page.status} · Draught</title></svelte:head>
<div class="p-6">
	<h1 class="text-xl font-bold">{page.error?.message ?? 'Something went wrong.'}</h1>
	<p class="mt-2"><a class="link" href="/trials">To the trials</a></p>
</div>
