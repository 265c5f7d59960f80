<script lang="ts">
	import FormShell from '../form/FormShell.svelte';
	import { errorAt, fieldError, type FieldError } from '$lib/schemas/field-error';
	import { refusalWords } from '$lib/words/refusals';
	import { MARK_IDS, type MarkId } from '$lib/core/record/marks/piece-mark';
	import { Button } from 'flowbite-svelte';
	import Field from '../form/Field.svelte';
	import { CARRIED_WORDS } from '../../words/print-marks';
	import Problem from '../form/Problem.svelte';

	let { register }: { register: (body: object) => Promise<FieldError[] | null> } = $props();
	/** Marks that climb in steps, and need to know them. */
	const LADDERS: readonly MarkId[] = ['overhang', 'bridge', 'smallText', 'temperature'];
	let name = $state('');
	let grams = $state('');
	let chosen = $state<MarkId[]>([]);
	let steps = $state<Partial<Record<MarkId, string>>>({});
	let file = $state.raw<File | null>(null);
	let errors = $state.raw<FieldError[]>([]);
	let said = $state('');
	const numbers = (text: string) =>
		text
			.split(/[;\s]+/)
			.filter(Boolean)
			.map((t) => Number(t.replace(',', '.')));

	async function keep(): Promise<void> {
		said = '';
		const unread = chosen.find((mark) => numbers(steps[mark] ?? '').some((n) => !Number.isFinite(n)));
		if (unread) {
			errors = [fieldError(`steps.${unread}`, 'notSteps')];
			return;
		}
		const marks = chosen.map((mark) => {
			const of = numbers(steps[mark] ?? '');
			return { mark, steps: of.length ? of : null };
		});
		const refused = await register({
			name,
			marks,
			...(grams.trim() ? { gramsG: Number(grams.replace(',', '.')) } : {}),
			...(file ? { fileHash: await hashOf(file) } : {})
		});
		// Errors of single steps stand at the one field they were typed into.
		errors = (refused ?? []).map((e) => {
			const at = /^marks\.(\d+)\.steps/.exec(e.path);
			return at ? errorAt(`steps.${chosen[Number(at[1])]}`, e) : e;
		});
		if (refused) return;
		said = `${name} is registered.`;
		[name, grams, chosen, steps, file] = ['', '', [], {}, null];
	}
	/** The file itself stays with its owner; its fingerprint tells whether two prints were of the same. */
	async function hashOf(of: File): Promise<string> {
		const digest = await crypto.subtle.digest('SHA-256', await of.arrayBuffer());
		return [...new Uint8Array(digest)].map((byte) => byte.toString(16).padStart(2, '0')).join('');
	}
	const markError = $derived(errors.find((e) => e.path === 'marks'));
</script>

<FormShell class="panel space-y-3 px-4 py-3" label="Upload a model of your own" onsubmit={keep}>
	<div class="grid gap-3 sm:grid-cols-3">
		<Field id="model-name" path="name" label="Name" bind:value={name} {errors} placeholder="Finder bracket" />
		<Field id="model-grams" path="gramsG" label="Grams" bind:value={grams} {errors} inputmode="decimal" placeholder="if known" />
		<label class="block text-[0.85rem] font-medium"
			>Its file
			<input
				type="file"
				accept=".stl,.3mf,.step,.stp,.obj,.gcode"
				class="file-field"
				onchange={(e) => (file = e.currentTarget.files?.[0] ?? null)}
			/>
			<span class="small block font-normal">only a checksum is kept</span></label
		>
	</div>
	<fieldset>
		<legend class="mb-0.5 text-[0.85rem] font-medium">What it tests</legend>
		<div class="flex flex-wrap gap-x-4 gap-y-1">
			{#each MARK_IDS as mark (mark)}
				<label class="flex min-h-[26px] items-center gap-1.5"
					><input type="checkbox" value={mark} bind:group={chosen} /> {CARRIED_WORDS[mark]}</label
				>
			{/each}
		</div>
		{#if markError}<Problem live={false} class="mt-0.5 text-[0.85rem]">{refusalWords(markError)}</Problem>{/if}
	</fieldset>
	{#if chosen.some((m) => LADDERS.includes(m))}
		<div class="grid gap-3 sm:grid-cols-2">
			{#each chosen.filter((m) => LADDERS.includes(m)) as mark (mark)}
				<Field
					id="steps-{mark}"
					path="steps.{mark}"
					label="Steps of {CARRIED_WORDS[mark]}"
					bind:value={() => steps[mark] ?? '', (text) => (steps[mark] = text)}
					{errors}
					placeholder="30 35 40 45"
					hint="from the easiest on; empty if it has none"
				/>
			{/each}
		</div>
	{/if}
	<Button type="submit" size="sm">Save</Button>
	<span role="status" class="ml-3 font-semibold">{said}</span>
</FormShell>
