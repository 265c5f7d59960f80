<script lang="ts">
	import { SET_UP, type Attempt } from '$lib/core/record/evidence/attempt';
	import type { FieldError } from '$lib/schemas/field-error';
	import { SET_UP_WORDS, SETTING_WORDS } from '$lib/words/settings';
	import Field from '../form/Field.svelte';
	import SelectField from '../form/SelectField.svelte';
	import { offered } from '../form/offered';
	import AddHere from '../workshop/AddHere.svelte';
	import type { AttemptDraft } from './attempt-draft';
	import SlicedFile from './SlicedFile.svelte';

	type Setting = keyof typeof SETTING_WORDS;
	type Props = {
		draft: AttemptDraft;
		open: boolean;
		errors: readonly FieldError[];
		spoolId: string;
		/** Settings that this spool was calibrated to, and that are not what stands in the form already. */
		calibrated: Partial<Record<Setting, number>>;
		/** All prints of the trial: what was said of the set-up before is chosen again in the same words. */
		attempts: readonly Attempt[];
		printers: readonly { id: string; name: string; nozzle: string; archived?: boolean }[];
	};
	let { draft, open = $bindable(), errors, spoolId, calibrated, attempts, printers }: Props = $props();

	const known = $derived(Object.entries(calibrated) as [Setting, number][]);
	const seen = $derived(Object.fromEntries(SET_UP.map((name) => [name, [...new Set(attempts.flatMap((a) => a.setUp[name] ?? []))]])));
	const shown = ([name, value]: [Setting, number]) =>
		`${SETTING_WORDS[name].name.toLowerCase()} ${value} ${SETTING_WORDS[name].unit}`.trim();

	function printWithThese(): void {
		draft.settings = { ...draft.settings, ...Object.fromEntries(known.map(([name, value]) => [name, String(value)])) };
	}
</script>

<details class="panel px-3 py-2" bind:open>
	<summary class="font-medium">Settings (copied from the last print)</summary>
	{#if open}
		{#if known.length}
			<p class="mt-2">
				Calibrated: {known.map(shown).join(', ')}.
				<button type="button" class="link" onclick={printWithThese}>Print with these</button>
			</p>
		{:else}
			<p class="small mt-2">No calibration noted. <a class="link" href="/spools/{spoolId}#calibrations">Add one</a></p>
		{/if}
		<div class="mt-2 grid gap-3 sm:grid-cols-3">
			{#each Object.entries(SETTING_WORDS) as [name, words] (name)}
				<Field
					id="set-{name}"
					path="settings.{name}"
					label={[words.name, words.unit].filter(Boolean).join(', ')}
					bind:value={draft.settings[name as Setting]}
					{errors}
					inputmode="decimal"
				/>
			{/each}
		</div>
		<div class="mt-3 grid gap-3 sm:grid-cols-3">
			{#each SET_UP as name (name)}
				<Field id="setup-{name}" path="setUp.{name}" label={SET_UP_WORDS[name]} bind:value={draft.setUp[name]} {errors} list={seen[name]} />
			{/each}
			<Field id="roomTemperature" label="Room" bind:value={draft.roomTemperature} {errors} placeholder="21 C" />
			<Field id="roomHumidityPct" label="Humidity, %" bind:value={draft.roomHumidityPct} {errors} inputmode="decimal" />
			<Field id="gramsG" label="Grams it took" bind:value={draft.grams} {errors} inputmode="decimal" />
			<Field id="minutes" label="Minutes" bind:value={draft.minutes} {errors} inputmode="decimal" />
			<Field id="midPrint" label="Changed while it printed" bind:value={draft.midPrint} {errors} placeholder="fan to 50 % at a third" />
			<SlicedFile id="sliced-file" bind:hash={draft.fileHash} />
		</div>
		<div class="mt-3">
			<SelectField id="printer" label="Printer and nozzle" bind:value={draft.printerId} {errors}>
				<option value="">not noted</option>
				{#each offered(printers, draft.printerId) as printer (printer.id)}<option value={printer.id}
						>{printer.name}, {printer.nozzle}</option
					>{/each}
			</SelectField>
			<span class="ml-2 text-[0.9rem]"><AddHere what="printer" label="add a printer" onadded={(id) => (draft.printerId = id)} /></span>
		</div>
	{/if}
</details>
