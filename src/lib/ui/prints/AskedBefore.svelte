<script lang="ts">
	import type { SpoolEvidence } from '$lib/core/record/evidence/spool-evidence';
	import { askBefore } from '$lib/core/stations/handbook/before-print';
	import { sentence } from '$lib/words/messages';
	import { numberOf, type AttemptDraft } from './attempt-draft';

	type Asked = Parameters<typeof askBefore>;
	type Props = {
		evidence: SpoolEvidence;
		draft: AttemptDraft;
		printers: readonly (NonNullable<Asked[1]> & { id: string })[];
		handbook: Asked[2];
	};
	/** What is asked before it is printed so: what the printer lacks, what it cannot reach. */
	let { evidence, draft, printers, handbook }: Props = $props();

	const degrees = (text: string) => (text.trim() === '' || !Number.isFinite(numberOf(text)) ? null : numberOf(text));
	const asked = $derived(
		askBefore(evidence, printers.find((p) => p.id === draft.printerId) ?? null, handbook, {
			nozzleC: degrees(draft.settings.nozzleC),
			bedC: degrees(draft.settings.bedC)
		})
	);
</script>

{#each asked as message (message.id)}<p class="question">{sentence(message)}</p>{/each}
