<script lang="ts">
	/** SHA-256 of the sliced file, hexadecimal; empty for not noted. The file itself stays where it is. */
	let { hash = $bindable(), id }: { hash: string; id: string } = $props();
	let name = $state('');
	let busy = $state(false);

	async function take(files: FileList | null): Promise<void> {
		const [file] = files ?? [];
		if (!file) return;
		busy = true;
		const digest = new Uint8Array(await crypto.subtle.digest('SHA-256', await file.arrayBuffer()));
		hash = Array.from(digest, (byte) => byte.toString(16).padStart(2, '0')).join('');
		name = file.name;
		busy = false;
	}
</script>

<!-- Only the fingerprint is kept: whether two prints are of the same file is what matters. -->
<div class="text-[0.9rem]">
	<span class="mb-0.5 block text-[0.85rem] font-medium">Sliced file</span>
	{#if busy}
		<span>Reading …</span>
	{:else if hash}
		<span
			><span class="tabular-nums">{hash.slice(0, 8)}</span>
			<span class="small">{name || 'as the last print of this piece'}</span>
			<button
				type="button"
				class="link"
				onclick={() => {
					hash = '';
					name = '';
				}}>not this one</button
			></span
		>
	{/if}
	<label class="link cursor-pointer" for={id}
		>{hash ? 'another file' : 'choose the file'}<input
			{id}
			type="file"
			class="sr-only"
			onchange={(e) => void take(e.currentTarget.files)}
		/></label
	>
	<span class="small block">Only a checksum is kept, to see whether two prints used the same file.</span>
</div>
