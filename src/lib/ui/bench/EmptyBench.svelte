<script lang="ts">
	let { title, trialId }: { title: string; trialId: string } = $props();
</script>

<div class="p-6">
	<h1 class="text-[1.6rem] font-bold">{title}</h1>
	<p class="mt-2">No spool on the bench yet. <a class="link" href="/trials/{trialId}/intake">Add one</a>.</p>
</div>
