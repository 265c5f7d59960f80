<script lang="ts">
	import type { DamagedRecord } from '$lib/core/record/evidence/spool-evidence';
	import { dayAndTime } from '../../words/numbers';
	import Problem from '../form/Problem.svelte';

	let { damaged, kind }: { damaged: DamagedRecord[]; kind?: DamagedRecord['kind'] } = $props();
	const WORDS = { log: 'Log', print: 'Print', specimen: 'Test part' };
	const shown = $derived(damaged.filter((d) => kind === undefined || d.kind === kind));
</script>

{#each shown as one (one.id)}
	<Problem live={false}>
		{WORDS[one.kind]}{one.name ? ` ${one.name}` : ''} of {dayAndTime(one.at)} is damaged and cannot be read. It does not count; a backup may have
		it whole.
	</Problem>
{/each}
