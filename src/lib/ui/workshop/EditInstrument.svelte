<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { Edited } from '../form/edited.svelte';
	import EditHere from '../form/EditHere.svelte';
	import { Form } from '../form/form.svelte';
	import { day, upTo } from '../../words/numbers';
	import { lengthWords, massWords } from '../../words/units';
	import InstrumentFields from './InstrumentFields.svelte';

	type Judged = { id: string; at: number };
	type Props = {
		one: {
			id: string;
			name: string;
			measures: 'length' | 'mass';
			errorLimit: number | null;
			resolution: number | null;
			checks: (Judged & { reference: number })[];
			studies: Judged[];
			struck: (Judged & { kind: 'check' | 'gaugeStudy' })[];
		};
	};
	let { one }: Props = $props();
	const unit = $derived(one.measures === 'mass' ? 'g' : 'mm');
	const inUnit = (of: number | null) => (of === null ? '' : `${of} ${unit}`);
	const textsOf = () => ({ name: one.name, errorLimit: inUnit(one.errorLimit), resolution: inUnit(one.resolution) });
	let edited = $state.raw(new Edited(textsOf()));
	const form = new Form({ fields: ['name', 'errorLimit', 'resolution'], supersedes: true });
	const marking = new Form({ fields: [], supersedes: true });
	const JUDGED = { check: 'Check', gaugeStudy: 'Gauge study' };
	const sizeOf = (of: number) => (one.measures === 'mass' ? massWords(of, 4, upTo) : lengthWords(of, 4, upTo));
	const told = $derived([
		...one.checks.map((c) => ({ id: c.id, kind: 'check' as const, at: c.at, what: `, against ${sizeOf(c.reference)}` })),
		...one.studies.map((s) => ({ id: s.id, kind: 'gaugeStudy' as const, at: s.at, what: '' }))
	]);

	function begin(): void {
		edited = new Edited(textsOf());
		form.clear();
		marking.clear();
	}
	async function save(): Promise<boolean> {
		if (edited.names.length > 0) {
			if (!(await form.send('instrument-facts', { instrumentId: one.id, ...edited.changed })).ok) return false;
			await invalidateAll();
		}
		return true;
	}
	async function mark(targetKind: 'check' | 'gaugeStudy', targetId: string, action: 'exclude' | 'reinstate'): Promise<void> {
		const reason = action === 'exclude' ? 'marked invalid in the workshop' : 'counts after all';
		if ((await marking.send('amendments', { targetKind, targetId, action, reason })).ok) await invalidateAll();
	}
</script>

<EditHere name={one.name} problem={form.problem || marking.problem} {begin} {save}>
	<InstrumentFields bind:typed={edited.typed} errors={form.errors} measures={one.measures} prefix="{one.id}-" />
	<p class="small">What was measured with it before is judged by these figures too.</p>
	{#if told.length || one.struck.length}
		<ul class="space-y-1">
			{#each told as { id, kind, at, what } (id)}
				<li>
					{JUDGED[kind]} of {day(at)}{what}
					<button type="button" class="link" onclick={() => void mark(kind, id, 'exclude')}
						>mark invalid<span class="sr-only"> the {JUDGED[kind].toLowerCase()} of {day(at)}</span></button
					>
				</li>
			{/each}
			{#each one.struck as { id, kind, at } (id)}
				<li>
					<span class="line-through">{JUDGED[kind]} of {day(at)}</span> marked invalid
					<button type="button" class="link" onclick={() => void mark(kind, id, 'reinstate')}
						>restore<span class="sr-only"> the {JUDGED[kind].toLowerCase()} of {day(at)}</span></button
					>
				</li>
			{/each}
		</ul>
	{/if}
</EditHere>
