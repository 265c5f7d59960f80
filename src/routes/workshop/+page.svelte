<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { decidability } from '$lib/core/diameter/decidability';
	import type { FieldError } from '$lib/schemas/field-error';
	import Field from '$lib/ui/form/Field.svelte';
	import FormProblem from '$lib/ui/form/FormProblem.svelte';
	import { newId, send } from '$lib/ui/form/send';
	import { fixed, upTo } from '$lib/ui/words/numbers';
	import { Button } from 'flowbite-svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	let instrument = $state({ name: '', errorLimit: '', resolution: '' });
	let printer = $state({ name: '', nozzle: '' });
	let instrumentErrors = $state.raw<FieldError[]>([]);
	let printerErrors = $state.raw<FieldError[]>([]);
	let problem = $state('');
	const ABLE = { able: 'can decide', marginal: 'can only just decide', unable: 'cannot decide' };
	/** What an instrument can say of the usual claims. */
	const verdicts = (errorLimit: number, resolution: number) =>
		[0.02, 0.03, 0.05]
			.map((tolerance) => `${ABLE[decidability(errorLimit, resolution, tolerance).able]} ±${fixed(tolerance, 2)} mm`)
			.join(', ') + '.';

	async function keep(path: string, body: object): Promise<FieldError[] | null> {
		const sent = await send(path, { id: newId(), ...body });
		problem = sent.ok || sent.errors.length ? '' : sent.title;
		if (!sent.ok) return sent.errors;
		await invalidateAll();
		return null;
	}
</script>

<svelte:head><title>Workshop · Draught</title></svelte:head>
<div class="grid max-w-5xl gap-5 p-3 md:grid-cols-2 md:px-5 md:py-4">
	<h1 class="text-[1.6rem] font-bold md:col-span-2">Workshop</h1>
	<div class="md:col-span-2"><FormProblem title={problem} /></div>
	<section class="space-y-2" aria-label="Instruments">
		<h2 class="font-semibold">Calipers and micrometers</h2>
		<ul class="space-y-1.5">
			{#each data.instruments as one (one.id)}
				<li class="panel px-3 py-1.5">
					<strong>{one.name}</strong> · good to ±{upTo(one.errorLimit ?? 0, 3)} mm, shows {upTo(one.resolution ?? 0, 4)} mm
					<span class="small block">
						{verdicts(one.errorLimit ?? 0, one.resolution ?? 0)}
					</span>
				</li>
			{:else}
				<li class="small">None yet. Until one is named, a common caliper good to ±0.02 mm is assumed and said so.</li>
			{/each}
		</ul>
		<form
			class="panel space-y-2 px-3 py-2"
			novalidate
			onsubmit={async (e) => {
				e.preventDefault();
				const errors = await keep('instruments', instrument);
				instrumentErrors = errors ?? [];
				if (!errors) instrument = { name: '', errorLimit: '', resolution: '' };
			}}
		>
			<Field id="instrument-name" path="name" label="Name" bind:value={instrument.name} errors={instrumentErrors} placeholder="Caliper B" />
			<div class="grid grid-cols-2 gap-3">
				<Field
					id="instrument-limit"
					path="errorLimit"
					label="Good to"
					bind:value={instrument.errorLimit}
					errors={instrumentErrors}
					placeholder="0.02 mm"
					hint="its leaflet's error limit"
				/>
				<Field
					id="instrument-resolution"
					path="resolution"
					label="Smallest step shown"
					bind:value={instrument.resolution}
					errors={instrumentErrors}
					placeholder="0.01 mm"
				/>
			</div>
			<Button type="submit" size="sm" class="bg-act! text-on-act!">Add it</Button>
		</form>
	</section>
	<section class="space-y-2" aria-label="Printers">
		<h2 class="font-semibold">Printers</h2>
		<ul class="space-y-1.5">
			{#each data.printers as one (one.id)}
				<li class="panel px-3 py-1.5"><strong>{one.name}</strong> · nozzle {one.nozzle}</li>
			{:else}
				<li class="small">None yet. Prints without a printer are taken, but unlike printers then cannot be seen.</li>
			{/each}
		</ul>
		<form
			class="panel space-y-2 px-3 py-2"
			novalidate
			onsubmit={async (e) => {
				e.preventDefault();
				const errors = await keep('printers', printer);
				printerErrors = errors ?? [];
				if (!errors) printer = { name: '', nozzle: '' };
			}}
		>
			<Field id="printer-name" path="name" label="Name" bind:value={printer.name} errors={printerErrors} placeholder="North" />
			<Field id="printer-nozzle" path="nozzle" label="Nozzle" bind:value={printer.nozzle} errors={printerErrors} placeholder="0.4 brass" />
			<Button type="submit" size="sm" class="bg-act! text-on-act!">Add it</Button>
		</form>
	</section>
</div>
