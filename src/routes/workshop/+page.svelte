<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { DRYER_FACTS } from '$lib/core/record/facts/dryer-facts';
	import { INSTRUMENT_FACTS } from '$lib/core/record/facts/instrument-facts';
	import { PRINTER_FACTS } from '$lib/core/record/facts/printer-facts';
	import { instrumentBudget } from '$lib/core/stations/diameter/budget';
	import type { FieldError } from '$lib/schemas/field-error';
	import Archive from '$lib/ui/form/Archive.svelte';
	import { factFieldsOf } from '$lib/ui/form/facts';
	import { offered } from '$lib/ui/form/offered';
	import FormProblem from '$lib/ui/form/FormProblem.svelte';
	import { Form } from '$lib/ui/form/form.svelte';
	import { dryerRangeWords, probeWords } from '$lib/words/dryers';
	import { ableWords, checkWords, scaleWords, studyInForceWords } from '$lib/words/instruments';
	import { abilityWords } from '$lib/words/printers';
	import { plural, upTo } from '$lib/words/numbers';
	import { lengthWords, massTolerance, massWords, toleranceWords } from '$lib/words/units';
	import CheckForm from '$lib/ui/workshop/CheckForm.svelte';
	import DryerCheckForm from '$lib/ui/workshop/DryerCheckForm.svelte';
	import EditDryer from '$lib/ui/workshop/EditDryer.svelte';
	import EditPrinter from '$lib/ui/workshop/EditPrinter.svelte';
	import NewDryer from '$lib/ui/workshop/NewDryer.svelte';
	import NewPrinter from '$lib/ui/workshop/NewPrinter.svelte';
	import EditInstrument from '$lib/ui/workshop/EditInstrument.svelte';
	import InstrumentForm from '$lib/ui/workshop/InstrumentForm.svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const away = $derived(
		[
			...[...data.instruments, ...data.scales].map((one) => ({
				...one,
				kind: 'instrument' as const,
				what: one.measures === 'mass' ? 'scale' : 'caliper'
			})),
			...data.printers.map((one) => ({ ...one, kind: 'printer' as const, what: 'printer' })),
			...data.dryers.map((one) => ({ ...one, kind: 'dryer' as const, what: 'dryer' }))
		].filter((one) => one.archived)
	);
	const form = new Form({ fields: [...factFieldsOf(PRINTER_FACTS), ...factFieldsOf(DRYER_FACTS), ...factFieldsOf(INSTRUMENT_FACTS)] });
	/** What calipers are judged for where no trial says otherwise. */
	const NOMINAL_MM = 1.75;
	type Caliper = (typeof data.instruments)[number];
	const budgetOf = (one: Caliper) => instrumentBudget({ ...one, quantity: 'length' }, NOMINAL_MM, Date.now());
	async function keep(path: string, body: object): Promise<FieldError[] | null> {
		const sent = await form.send(path, { ...body });
		if (!sent.ok) return sent.errors;
		await invalidateAll();
		return null;
	}
</script>

<svelte:head><title>Workshop · Draught</title></svelte:head>
<div class="grid max-w-5xl gap-5 p-3 md:grid-cols-2 md:px-5 md:py-4">
	<h1 class="text-[1.6rem] font-bold md:col-span-2">Workshop</h1>
	<div class="md:col-span-2">
		<FormProblem title={form.problem} />
		<p><a class="link" href="/workshop/trainer">Practise scoring</a> on example drawings.</p>
	</div>
	<section class="space-y-2" aria-label="Instruments">
		<h2 class="font-semibold">Calipers and micrometers</h2>
		<ul class="space-y-1.5">
			{#each offered(data.instruments) as one (one.id)}
				<li class="panel px-3 py-1.5">
					<strong>{one.name}</strong> · good to {toleranceWords(one.errorLimit ?? 0)}, shows {lengthWords(one.resolution ?? 0, 4, upTo)}
					<span class="small block"
						>can {ableWords(budgetOf(one).standardUncertaintyMm)} · u {lengthWords(budgetOf(one).standardUncertaintyMm, 4)}</span
					>
					<span class="small block">{checkWords(budgetOf(one))}</span>
					{#if budgetOf(one).study}<span class="small block">{studyInForceWords(budgetOf(one))}</span>{/if}
					<CheckForm instrumentId={one.id} name={one.name} ondone={invalidateAll} />
					<a class="link mx-3 text-[0.9rem]" href="/workshop/gauge-study/{one.id}">gauge study</a>
					<EditInstrument {one} />
					<Archive kind="instrument" id={one.id} name={one.name} archived={false} />
				</li>
			{:else}
				<li class="small">None yet. Until you add one, a common caliper accurate to {toleranceWords(0.02)} is assumed.</li>
			{/each}
		</ul>
		<InstrumentForm measures="length" keep={(body) => keep('instruments', body)} />
	</section>
	<section class="space-y-2" aria-label="Printers">
		<h2 class="font-semibold">Printers</h2>
		<ul class="space-y-1.5">
			{#each offered(data.printers) as one (one.id)}
				<li class="panel px-3 py-1.5">
					<strong>{one.name}</strong> · nozzle {one.nozzle}
					<span class="small block">{abilityWords(one)}</span>
					<EditPrinter {one} />
					<span class="ml-3"><Archive kind="printer" id={one.id} name={one.name} archived={false} /></span>
				</li>
			{:else}
				<li class="small">None yet. Prints without a printer count, but printers then cannot be compared.</li>
			{/each}
		</ul>
		<NewPrinter keep={(body) => keep('printers', body)} />
	</section>
	<section class="space-y-2" aria-label="Scales">
		<h2 class="font-semibold">Scales</h2>
		<ul class="space-y-1.5">
			{#each offered(data.scales) as one (one.id)}
				<li class="panel px-3 py-1.5">
					<strong>{one.name}</strong> · good to {massTolerance(one.errorLimit ?? 0)}, shows {massWords(one.resolution ?? 0, 4, upTo)}
					<span class="small block">{scaleWords(one)}</span>
					<EditInstrument {one} />
					<Archive kind="instrument" id={one.id} name={one.name} archived={false} />
				</li>
			{:else}
				<li class="small">None yet. Until one is named, a scale good to one step of its display is assumed.</li>
			{/each}
		</ul>
		<InstrumentForm measures="mass" keep={(body) => keep('instruments', body)} />
	</section>
	<section class="space-y-2" aria-label="Dryers">
		<h2 class="font-semibold">Dryers</h2>
		<ul class="space-y-1.5">
			{#each offered(data.dryers) as one (one.id)}
				<li class="panel px-3 py-1.5">
					<strong>{one.name}</strong> ·
					{dryerRangeWords(one)}
					<span class="small block">{probeWords(one.checks) ?? 'not checked with an own probe yet'}</span>
					<DryerCheckForm dryerId={one.id} name={one.name} ondone={invalidateAll} />
					<EditDryer {one} />
					<span class="ml-3"><Archive kind="dryer" id={one.id} name={one.name} archived={false} /></span>
				</li>
			{:else}
				<li class="small">None yet. Drying needs one.</li>
			{/each}
		</ul>
		<NewDryer keep={(body) => keep('dryers', body)} />
	</section>
	{@render archived()}
</div>

{#snippet archived()}
	{#if away.length}
		<details class="md:col-span-2">
			<summary class="font-medium">{plural(away.length, 'thing')} archived</summary>
			<ul class="mt-2 space-y-1.5">
				{#each away as one (one.id)}
					<li class="flex flex-wrap items-baseline gap-x-4">
						{one.name} <span class="small">{one.what}</span>
						<Archive kind={one.kind} id={one.id} name={one.name} archived />
					</li>
				{/each}
			</ul>
		</details>
	{/if}
{/snippet}
