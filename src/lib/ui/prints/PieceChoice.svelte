<script lang="ts">
	import type { Piece } from '$lib/core/record/evidence/piece';
	import { upTo } from '$lib/words/numbers';
	import { Select } from 'flowbite-svelte';

	type Props = {
		pieceId: string;
		pieces: readonly Piece[];
		/** Of the spool, with which its file is marked. */
		code: string;
		labelNozzleC: number | null;
	};
	/** What is printed, its file, and what the label says of the nozzle. */
	let { pieceId = $bindable(), pieces, code, labelNozzleC }: Props = $props();
	const piece = $derived(pieces.find((p) => p.id === pieceId) ?? null);
</script>

<span class="text-muted"
	><label class="inline-flex items-baseline gap-1"
		><span class="sr-only">Test piece</span>
		<Select placeholder="" size="sm" bind:value={pieceId}>
			{#each pieces as one (one.id)}<option value={one.id}>{one.name} {one.version}</option>{/each}
		</Select></label
	>
	{#if piece?.params}<a class="link text-[0.9rem]" href="/api/v1/pieces/{piece.id}/file?format=3mf&code={code}" download
			>its file, marked {code}</a
		>
	{:else if piece}<a class="link text-[0.9rem]" href="/pieces">no file: make one</a>{/if}
	· label {labelNozzleC === null ? 'temperature not noted' : `${upTo(labelNozzleC, 0)} °C`}</span
>
