<script lang="ts">
	import { SPOOL_FACTS } from '$lib/core/record/facts/spool-facts';
	import FactFields from '$lib/ui/form/FactFields.svelte';
	import { blankFacts, type TypedFacts } from '$lib/core/record/facts/typed-facts';
	import { factFieldsOf, saidFacts } from '$lib/ui/form/facts';
	import { SPOOL_FACT_WORDS } from '$lib/words/facts';
	import { invalidateAll } from '$app/navigation';
	import { page } from '$app/state';
	import type { Oddity } from '$lib/core/stations/intake/station';
	import { ChosenUnit } from '$lib/ui/form/chosen-unit.svelte';
	import StatedFields from '$lib/ui/spool/StatedFields.svelte';
	import Field from '$lib/ui/form/Field.svelte';
	import { focusFirst } from '$lib/ui/form/focus-first';
	import UnitField from '$lib/ui/form/UnitField.svelte';
	import FormShell from '$lib/ui/form/FormShell.svelte';
	import { Form } from '$lib/ui/form/form.svelte';
	import { When } from '$lib/ui/form/when.svelte';
	import WhenField from '$lib/ui/form/WhenField.svelte';
	import PrinterDemands from '$lib/ui/handbook/PrinterDemands.svelte';
	import InspectLater from '$lib/ui/intake/InspectLater.svelte';
	import PasteList from '$lib/ui/intake/PasteList.svelte';
	import Unboxing from '$lib/ui/intake/Unboxing.svelte';
	import Sliver from '$lib/ui/figures/Sliver.svelte';
	import { productLine } from '$lib/ui/spool/names';
	import { materialOf } from '$lib/core/judging/handbook/material-of';
	import { isFlexible } from '$lib/core/stations/prints/success/find-flexible';
	import { plural } from '$lib/words/numbers';
	import { Button, Label } from 'flowbite-svelte';
	import TextArea from '$lib/ui/form/TextArea.svelte';
	import { onMount, untrack } from 'svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();

	const empty = () => ({
		material: '',
		price: '',
		netMass: '',
		labelNozzle: '',
		hardness: '',
		maker: '',
		filament: '',
		benchCode: '',
		tare: '',
		grossMass: '',
		nominalDiameter: '',
		labelTolerance: '',
		listingTolerance: '',
		shipping: '',
		quantity: '',
		note: ''
	});
	let typed = $state(empty());
	/** What a material is counted as, where that is not what was typed; the handbook can be given an entry of its own. */
	const materialHint = $derived.by(() => {
		const written = typed.material.trim();
		if (written === '') return undefined;
		const known = materialOf(written, data.basis.handbook)?.material;
		if (known === undefined) return 'not in the handbook yet';
		return known.toUpperCase() === written.toUpperCase() ? undefined : `counted as ${known}; an entry in the handbook changes that`;
	});
	const freshFacts = (): TypedFacts => ({ ...blankFacts(SPOOL_FACTS), obtained: 'bought' });
	let facts = $state(freshFacts());
	/** What is on a label is not told as a scale tells it. */
	const labelUnit = new ChosenUnit('label-mass');
	const scaleUnit = new ChosenUnit('mass');
	let odd = $state<Partial<Record<Oddity, string>> | null>(null);
	let good = $state('');
	let said = $state('');
	let pasting = $state(untrack(() => page.url.searchParams.has('paste')));
	const opened = new When();
	const form = new Form({ fields: [...Object.keys(untrack(empty)), ...factFieldsOf(SPOOL_FACTS)], when: opened });

	const chosen = $derived(page.url.searchParams.get('spool'));

	onMount(() => {
		if (!chosen && !pasting) focusFirst('material');
	});

	function copyLast(): void {
		if (!data.last) return;
		const { code: _, trial: __, ...rest } = data.last;
		typed = { ...typed, ...rest };
		document.querySelector<HTMLInputElement>('#price')?.select();
	}

	let element = $state<HTMLFormElement>();
	/** Most spools come out of their box as they should: one press says so and adds it. */
	function nothingWrong(event: KeyboardEvent): void {
		if (event.key !== 'Enter' || !event.ctrlKey || !element?.contains(event.target as Node)) return;
		event.preventDefault();
		odd = {};
		element.requestSubmit();
	}

	async function submit(): Promise<void> {
		const filled = Object.fromEntries(Object.entries(typed).filter(([key, value]) => value.trim() !== '' && key !== 'quantity'));
		const unboxing = odd === null ? {} : Object.keys(odd).length === 0 ? { nothingOdd: true } : { odd };
		const sent = await form.send<{ benchCode: string }>('intake', {
			trialId: data.head.id,
			currency: data.head.currency,
			...filled,
			...(typed.quantity.trim() ? { quantity: Number(typed.quantity) } : {}),
			...saidFacts(facts),
			...unboxing,
			...(good.trim() ? { good } : {})
		});
		if (!sent.ok) return;
		said = `${sent.answer.benchCode} added. Write the code on the spool.`;
		typed = empty();
		facts = freshFacts();
		odd = null;
		good = '';
		await invalidateAll();
		document.getElementById('material')?.focus();
	}
</script>

<svelte:window onkeydown={nothingWrong} />
<svelte:head><title>Intake · {data.head.name} · Draught</title></svelte:head>
<div class="grid gap-5 p-3 md:px-5 md:py-4 xl:grid-cols-[minmax(0,1fr)_320px]">
	<div class="space-y-4">
		<div class="flex flex-wrap items-baseline justify-between gap-3">
			<h1 class="text-[1.6rem] font-bold">Intake</h1>
			<div class="flex gap-4">
				{#if data.last}<button type="button" class="link" onclick={copyLast}
						>Copy from {data.last.code}{data.last.trial ? ` (${data.last.trial})` : ''}</button
					>{/if}
				<button type="button" class="link" aria-expanded={pasting} onclick={() => (pasting = !pasting)}
					>{pasting ? 'Type one spool' : 'Paste a list'}</button
				>
			</div>
		</div>
		<p class="min-h-5">
			<span role="status" class="font-semibold">{said}</span>
			{#if said}<a class="link ml-2" href="/trials/{data.head.id}">To the trial sheet</a>{/if}
		</p>
		{#if pasting}
			<PasteList
				trialId={data.head.id}
				currency={data.head.currency}
				ondone={(count) => {
					said = `${plural(count, 'spool')} added.`;
					pasting = false;
				}}
			/>
		{:else}
			<FormShell bind:element class="space-y-4" problem={form.problem} onsubmit={submit}>
				<div class="grid gap-3 sm:grid-cols-4">
					<Field
						id="material"
						label="Material"
						bind:value={typed.material}
						errors={form.errors}
						list={data.materials}
						required
						placeholder="PETG"
						hint={materialHint}
					/>
					<Field
						id="price"
						label="Price, {data.head.currency}"
						bind:value={typed.price}
						errors={form.errors}
						inputmode="decimal"
						placeholder="21.90"
					/>
					<UnitField
						id="netMass"
						label="Filament weight"
						dimension="mass"
						chosen={labelUnit}
						bind:value={typed.netMass}
						errors={form.errors}
						placeholder="1 kg"
						class=""
					/>
					<Field id="labelNozzle" label="Label temperature" bind:value={typed.labelNozzle} errors={form.errors} placeholder="230-250 C" />
					{#if isFlexible(typed.material)}
						<Field id="hardness" label="Stated hardness, Shore" bind:value={typed.hardness} errors={form.errors} placeholder="95A" />
					{/if}
				</div>
				<div class="grid gap-3 sm:grid-cols-3">
					<Field id="maker" label="Maker" bind:value={typed.maker} errors={form.errors} list={data.makers} />
					<Field id="filament" label="Product" bind:value={typed.filament} errors={form.errors} />
					<Field
						id="benchCode"
						label="Bench code"
						bind:value={typed.benchCode}
						errors={form.errors}
						placeholder={data.code ?? ''}
						hint="proposed: {data.code ?? 'type one'}"
					/>
				</div>
				<Unboxing bind:odd bind:good idPrefix="new" />
				<details class="panel px-3 py-2">
					<summary class="font-medium">Optional: tolerance, colour, lot, weights, shipping, how obtained, note</summary>
					<div class="mt-3 grid gap-3 sm:grid-cols-3">
						<FactFields
							entries={SPOOL_FACTS}
							words={SPOOL_FACT_WORDS}
							bind:typed={facts}
							errors={form.errors}
							only={['text', 'colour', 'measure']}
						/>
						<StatedFields bind:typed errors={form.errors} />
						<UnitField
							id="grossMass"
							label="Full spool as opened"
							dimension="mass"
							chosen={scaleUnit}
							bind:value={typed.grossMass}
							errors={form.errors}
							placeholder="1240 g"
							class=""
						/>
						<UnitField
							id="tare"
							label="Empty spool (tare)"
							dimension="mass"
							chosen={scaleUnit}
							bind:value={typed.tare}
							errors={form.errors}
							placeholder="230 g"
							class=""
						/>
						<Field
							id="quantity"
							label="Spools for that price"
							bind:value={typed.quantity}
							errors={form.errors}
							inputmode="numeric"
							placeholder="1"
						/>
						<Field
							id="shipping"
							label="Shipping, {data.head.currency}"
							bind:value={typed.shipping}
							errors={form.errors}
							inputmode="decimal"
							placeholder="0"
						/>
					</div>
					<div class="mt-3 space-y-3">
						<FactFields entries={SPOOL_FACTS} words={SPOOL_FACT_WORDS} bind:typed={facts} errors={form.errors} only={['choice', 'yesNo']} />
						<div>
							<Label for="note">Note</Label>
							<TextArea id="note" bind:value={typed.note} />
						</div>
					</div>
				</details>
				<WhenField when={opened} id="opened" errors={form.errors} what="opened" />
				<Button type="submit">Add spool</Button>
			</FormShell>
		{/if}
	</div>
	<aside class="space-y-2" aria-label="Spools of this trial">
		<h2 class="small font-semibold">On the bench</h2>
		{#if data.spools.length === 0}<p class="small">No spool yet.</p>{/if}
		{#each data.spools as spool (spool.id)}
			{@const open = data.unseen.includes(spool.id)}
			<div class="panel px-3 py-2 {chosen === spool.id ? 'border-act' : ''}">
				<div class="flex items-baseline justify-between gap-2">
					<a href="/spools/{spool.id}" class="wide text-[1.05rem] font-bold">{spool.code}</a>
					<span class="small">{open ? 'not inspected' : 'inspected'}</span>
				</div>
				<Sliver hex={spool.colourHex} label={spool.colourName ?? undefined} />
				<p class="small truncate">{productLine(spool)}</p>
				<PrinterDemands lacks={data.lacks.filter((l) => l.id === spool.id)} />
				{#if open && chosen === spool.id}
					<InspectLater spoolId={spool.id} unseen={data.unseen} />
				{:else if open}
					<a class="link text-[0.9rem]" href="?spool={spool.id}">Inspect</a>
				{/if}
			</div>
		{/each}
	</aside>
</div>
