<script lang="ts">
	import type { Message } from '$lib/core/judging/finding/message';
	import { sentence } from '../../words/messages';

	/** Who lacks what: a spool on the trial's printer, or a printer for one spool. */
	type Props = { lacks: { id: string; who: string; demands: Message[] }[] };
	let { lacks }: Props = $props();
	const lacking = $derived(lacks.filter((l) => l.demands.length > 0));
</script>

{#if lacking.length > 0}
	<div class="question mt-1 flex flex-wrap gap-x-5">
		{#each lacking as { id, who, demands } (id)}<p><strong>{who}:</strong> {demands.map(sentence).join(' ')}</p>{/each}
	</div>
{/if}
