<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { materialNeeded, USUAL_STRAND } from '$lib/core/judging/pieces/library/material-needed';
	import type { FieldError } from '$lib/schemas/field-error';
	import FormProblem from '$lib/ui/form/FormProblem.svelte';
	import { Form } from '$lib/ui/form/form.svelte';
	import OwnModel from '$lib/ui/pieces/OwnModel.svelte';
	import PieceMaker from '$lib/ui/pieces/PieceMaker.svelte';
	import Archive from '$lib/ui/form/Archive.svelte';
	import { offered } from '$lib/ui/form/offered';
	import { day, fixed } from '$lib/words/numbers';
	import Term from '$lib/ui/help/Term.svelte';
	import { massWords } from '$lib/words/units';
	import { marksLine, PIECE_WORDS } from '$lib/words/pieces';
	import type { PageProps } from './$types';
	import Problem from '$lib/ui/form/Problem.svelte';

	let { data }: PageProps = $props();
	const form = new Form({ fields: ['name', 'params', 'marks', 'gramsG'] });
	const newestFirst = $derived([...data.pieces].reverse());
	const away = $derived(newestFirst.filter((p) => p.archived));
	const outdated = (p: (typeof data.pieces)[number]) => data.pieces.some((o) => o.familyId === p.familyId && o.version > p.version);

	async function register(body: object): Promise<FieldError[] | null> {
		const sent = await form.send('pieces', { ...body });
		if (sent.ok) await invalidateAll();
		return sent.ok ? null : sent.errors;
	}
</script>

<svelte:head><title>Test pieces · Draught</title></svelte:head>
<div class="max-w-6xl space-y-5 p-3 md:px-5 md:py-4">
	<h1 class="text-[1.6rem] font-bold">Test pieces</h1>
	<FormProblem title={form.problem} />
	<section class="space-y-2" aria-label="A test piece from sizes">
		<h2 class="font-semibold">Make a <Term of="testPiece">test piece</Term></h2>
		<PieceMaker known={data.pieces} usual={USUAL_STRAND} {register} />
	</section>
	<section class="space-y-2" aria-label="Saved test pieces">
		<h2 class="font-semibold">Saved test pieces</h2>
		<ul class="grid gap-2 md:grid-cols-2">
			{#each offered(newestFirst) as piece (piece.id)}
				<li class="panel px-3 py-1.5 {outdated(piece) ? 'opacity-75' : ''}">
					<strong>{piece.name} {piece.version}</strong>
					<span class="small">
						{piece.kind ? PIECE_WORDS[piece.kind]?.name : 'your own model, its file is with you'} · since {day(piece.createdAt)}{outdated(
							piece
						)
							? ' · there is a newer version'
							: ''}
					</span>
					{#if piece.damaged}<Problem live={false}
							>This record is damaged and cannot be read. Prints of it stay; add the test piece again.</Problem
						>
					{:else}<span class="small block">{marksLine(piece.marks)}</span>{/if}
					{#if piece.volumeMm3 !== null}
						{@const needed = materialNeeded(piece.volumeMm3, USUAL_STRAND.densityGcm3, USUAL_STRAND.diameterMm)}
						<span class="small block">
							{fixed(piece.volumeMm3 / 1000, 2)} cm³, at most {massWords(needed.grams, 1)} or {fixed(needed.metres, 2)} m ·
							<a class="link" href="/api/v1/pieces/{piece.id}/file?format=3mf" download>3MF</a> ·
							<a class="link" href="/api/v1/pieces/{piece.id}/file?format=stl" download>STL</a>
						</span>
					{:else if piece.gramsG !== null}
						<span class="small block">{massWords(piece.gramsG, 1)}</span>
					{/if}
					<Archive kind="piece" id={piece.id} name="{piece.name} {piece.version}" archived={false} />
				</li>
			{/each}
		</ul>
		{#if away.length}
			<details>
				<summary class="small">Archived</summary>
				<ul class="mt-1 space-y-1">
					{#each away as piece (piece.id)}
						<li>
							{piece.name}
							{piece.version}
							<Archive kind="piece" id={piece.id} name="{piece.name} {piece.version}" archived={true} />
						</li>
					{/each}
				</ul>
			</details>
		{/if}
	</section>
	<section class="space-y-2" aria-label="A model of your own">
		<h2 class="font-semibold">Upload a model of your own</h2>
		<OwnModel {register} />
	</section>
</div>
