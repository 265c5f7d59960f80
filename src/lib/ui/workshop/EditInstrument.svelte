<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { Edited } from '../form/edited.svelte';
	import EditHere from '../form/EditHere.svelte';
	import { Form } from '../form/form.svelte';
	import { upTo } from '../../words/numbers';
	import { lengthWords, massWords } from '../../words/units';
	import Judged, { type JudgedBy } from './Judged.svelte';
	import InstrumentFields from './InstrumentFields.svelte';

	type By = { id: string; at: number };
	type Props = {
		one: {
			id: string;
			name: string;
			measures: 'length' | 'mass';
			errorLimit: number | null;
			resolution: number | null;
			checks: (By & { reference: number })[];
			studies: By[];
			struck: (By & { kind: 'check' | 'gaugeStudy' })[];
		};
	};
	let { one }: Props = $props();
	const unit = $derived(one.measures === 'mass' ? 'g' : 'mm');
	const inUnit = (of: number | null) => (of === null ? '' : `${of} ${unit}`);
	const textsOf = () => ({ name: one.name, errorLimit: inUnit(one.errorLimit), resolution: inUnit(one.resolution) });
	let edited = $state.raw(new Edited(textsOf()));
	const form = new Form({ fields: ['name', 'errorLimit', 'resolution'], supersedes: true });
	const JUDGED = { check: 'Check', gaugeStudy: 'Gauge study' };
	const sizeOf = (of: number) => (one.measures === 'mass' ? massWords(of, 4, upTo) : lengthWords(of, 4, upTo));
	const told = $derived<JudgedBy[]>([
		...one.checks.map((c) => ({ id: c.id, kind: 'check' as const, name: JUDGED.check, at: c.at, what: `against ${sizeOf(c.reference)}` })),
		...one.studies.map((s) => ({ id: s.id, kind: 'gaugeStudy' as const, name: JUDGED.gaugeStudy, at: s.at }))
	]);

	function begin(): void {
		edited = new Edited(textsOf());
		form.clear();
	}
	async function save(): Promise<boolean> {
		if (edited.names.length > 0) {
			if (!(await form.send('instrument-facts', { instrumentId: one.id, ...edited.changed })).ok) return false;
			await invalidateAll();
		}
		return true;
	}
</script>

<EditHere name={one.name} problem={form.problem} {begin} {save}>
	<InstrumentFields bind:typed={edited.typed} errors={form.errors} measures={one.measures} prefix="{one.id}-" />
	<p class="small">What was measured with it before is judged by these figures too.</p>
	<Judged {told} struck={one.struck.map((by) => ({ ...by, name: JUDGED[by.kind] }))} />
</EditHere>
