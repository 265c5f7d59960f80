<script lang="ts" module>
	/** Something an instrument or a dryer is judged by, that can be marked invalid. */
	export type JudgedBy = { id: string; kind: 'check' | 'gaugeStudy' | 'dryerCheck'; name: string; at: number; what?: string };
</script>

<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { Form } from '../form/form.svelte';
	import FormProblem from '../form/FormProblem.svelte';
	import { day } from '../../words/numbers';

	let { told, struck }: { told: readonly JudgedBy[]; struck: readonly JudgedBy[] } = $props();
	const marking = new Form({ fields: [], supersedes: true });

	async function mark({ kind, id }: JudgedBy, action: 'exclude' | 'reinstate'): Promise<void> {
		const reason = action === 'exclude' ? 'marked invalid in the workshop' : 'counts after all';
		if ((await marking.send('amendments', { targetKind: kind, targetId: id, action, reason })).ok) await invalidateAll();
	}
</script>

{#snippet press(one: JudgedBy, action: 'exclude' | 'reinstate', label: string)}
	<button type="button" class="link" onclick={() => void mark(one, action)}
		>{label}<span class="sr-only"> the {one.name.toLowerCase()} of {day(one.at)}</span></button
	>
{/snippet}

<FormProblem title={marking.problem} />
{#if told.length || struck.length}
	<ul class="space-y-1">
		{#each told as one (one.id)}
			<li>{one.name} of {day(one.at)}{one.what ? `, ${one.what}` : ''} {@render press(one, 'exclude', 'mark invalid')}</li>
		{/each}
		{#each struck as one (one.id)}
			<li>
				<span class="line-through">{one.name} of {day(one.at)}</span> marked invalid {@render press(one, 'reinstate', 'restore')}
			</li>
		{/each}
	</ul>
{/if}
