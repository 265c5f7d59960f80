<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { DRYER_FACTS, type DryerFacts } from '$lib/core/record/facts/dryer-facts';
	import type { DryerCheck } from '$lib/core/record/evidence/dryer-check';
	import { typedFacts } from '$lib/core/record/facts/typed-facts';
	import { factFieldsOf } from '../form/facts';
	import { Edited } from '../form/edited.svelte';
	import EditHere from '../form/EditHere.svelte';
	import { Form } from '../form/form.svelte';
	import { dryerCheckWords } from '../../words/dryers';
	import DryerFields from './DryerFields.svelte';
	import Judged, { type JudgedBy } from './Judged.svelte';

	let { one }: { one: DryerFacts & { id: string; checks: DryerCheck[]; struck: DryerCheck[] } } = $props();
	const judgedBy = (of: DryerCheck): JudgedBy => ({ ...of, kind: 'dryerCheck', name: 'Check', what: dryerCheckWords(of) });
	const textsOf = () => typedFacts(DRYER_FACTS, one);
	let edited = $state.raw(new Edited(textsOf()));
	const form = new Form({ fields: factFieldsOf(DRYER_FACTS), supersedes: true });

	function begin(): void {
		edited = new Edited(textsOf());
		form.clear();
	}
	async function save(): Promise<boolean> {
		if (edited.names.length > 0) {
			if (!(await form.send('dryer-facts', { dryerId: one.id, ...edited.changed })).ok) return false;
			await invalidateAll();
		}
		return true;
	}
</script>

<EditHere name={one.name} problem={form.problem} {begin} {save}>
	<DryerFields bind:typed={edited.typed} errors={form.errors} prefix="{one.id}-" />
	<Judged told={one.checks.map(judgedBy)} struck={one.struck.map(judgedBy)} />
</EditHere>
