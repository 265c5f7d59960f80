<script lang="ts">
	import FormShell from '../form/FormShell.svelte';
	import { fieldError, type FieldError } from '$lib/schemas/field-error';
	import { paramError } from '$lib/schemas/param-error';
	import { materialNeeded } from '$lib/core/judging/pieces/library/material-needed';
	import { paramFaults, PIECE_KINDS } from '$lib/core/judging/pieces/library/library';
	import type { Params, PieceKind } from '$lib/core/judging/pieces/kit/types';
	import { usualParams } from '$lib/core/judging/pieces/kit/usual';
	import type { DrawnPiece, PiecesWorker } from '$lib/workers/pieces.worker';
	import { wrap, type Remote } from 'comlink';
	import { Button, Select } from 'flowbite-svelte';
	import { onMount } from 'svelte';
	import Field from '../form/Field.svelte';
	import { sizeOf } from './size-text';
	import { fixed, upTo } from '../../words/numbers';
	import { massWords } from '../../words/units';
	import { marksLine, paramName, PIECE_WORDS } from '../../words/pieces';
	import PieceDrawing from './PieceDrawing.svelte';

	type Known = { id: string; name: string; version: number; familyId: string; kind: string | null };
	type Props = {
		known: Known[];
		/** Where the material is not said: a common plastic of 1.75 mm. */
		usual: { densityGcm3: number; diameterMm: number };
		/** Null when it was saved. */
		register: (body: object) => Promise<FieldError[] | null>;
	};
	let { known, usual, register }: Props = $props();
	let kindId = $state('compound');
	const kind = $derived(PIECE_KINDS.find((k) => k.id === kindId) as PieceKind);
	const asText = (of: PieceKind) => Object.fromEntries(Object.entries(usualParams(of)).map(([id, value]) => [id, String(value)]));
	/** Sizes as typed, each kind its own, so that looking at another loses nothing. */
	let typed = $state<Record<string, Record<string, string>>>(Object.fromEntries(PIECE_KINDS.map((k) => [k.id, asText(k)])));
	let code = $state('');
	let name = $state('');
	let replaces = $state('');
	let refused = $state.raw<FieldError[]>([]);
	let said = $state('');
	let drawn = $state.raw<DrawnPiece | null>(null);
	let worker = $state.raw<Remote<PiecesWorker> | null>(null);
	let asked = 0;

	const params = $derived<Params>(
		Object.fromEntries(kind.params.map((param) => [param.id, sizeOf(param, typed[kindId]?.[param.id] ?? '')]))
	);
	const faults = $derived(paramFaults(kind, params).map(paramError));
	const codeFault = $derived(code !== '' && !/^[A-Z]{2}[0-9]{1,3}$/.test(code));
	const errors = $derived([...faults, ...refused.filter((e) => !faults.some((f) => f.path === e.path))]);
	const needed = $derived(drawn && materialNeeded(drawn.volumeMm3, usual.densityGcm3, usual.diameterMm));
	const families = $derived(
		known.filter((p) => p.kind === kindId && !known.some((other) => other.familyId === p.familyId && other.version > p.version))
	);

	onMount(() => {
		const mine = new Worker(new URL('../../workers/pieces.worker.ts', import.meta.url), { type: 'module' });
		worker = wrap<PiecesWorker>(mine);
		return () => mine.terminate();
	});
	$effect(() => {
		if (!worker || faults.length > 0 || codeFault) return;
		const mine = ++asked;
		void worker.draw(kindId, $state.snapshot(params), code).then((piece) => {
			if (mine === asked) drawn = piece;
		});
	});

	async function save(format: 'stl' | '3mf'): Promise<void> {
		if (!worker) return;
		const title = [name || PIECE_WORDS[kindId]?.name, code].filter(Boolean).join(' ');
		const bytes = await worker.file(kindId, $state.snapshot(params), code, format, title);
		const url = URL.createObjectURL(new Blob([bytes], { type: `model/${format}` }));
		const link = document.createElement('a');
		link.href = url;
		link.download = `${title.toLowerCase().replace(/[^a-z0-9]+/g, '-')}.${format}`;
		link.click();
		URL.revokeObjectURL(url);
	}
	async function keep(): Promise<void> {
		said = '';
		if (faults.length > 0) return;
		const before = known.find((p) => p.id === replaces);
		const called = name.trim() || before?.name || PIECE_WORDS[kindId]?.name || kindId;
		const errors = await register({ name: called, kind: kindId, params: $state.snapshot(params), ...(replaces ? { replaces } : {}) });
		refused = errors ?? [];
		if (errors) return;
		said = `${called} is registered${before ? ` as version ${before.version + 1}` : ''}.`;
		name = '';
		replaces = '';
	}
</script>

<FormShell class="panel grid gap-4 px-4 py-3 lg:grid-cols-[1fr_1.2fr]" label="Make a test piece" onsubmit={keep}>
	<div class="space-y-3">
		<label class="block">
			<span class="mb-0.5 block text-[0.85rem] font-medium">Test piece</span>
			<Select
				placeholder=""
				size="sm"
				classes={{ select: 'w-full' }}
				bind:value={kindId}
				onchange={() => {
					replaces = '';
					said = '';
				}}
			>
				{#each PIECE_KINDS as one (one.id)}<option value={one.id}>{PIECE_WORDS[one.id]?.name}: {PIECE_WORDS[one.id]?.about}</option>{/each}
			</Select>
		</label>
		<div class="grid grid-cols-2 gap-x-3 gap-y-2 sm:grid-cols-3">
			{#each kind.params as param (param.id)}
				<Field
					id="{kindId}-{param.id}"
					path="params.{param.id}"
					label={paramName(param)}
					bind:value={() => typed[kindId]?.[param.id] ?? '', (text) => (typed[kindId] = { ...typed[kindId], [param.id]: text })}
					{errors}
					inputmode="decimal"
				/>
			{/each}
			<Field
				id="piece-code"
				path="code"
				label="Bench code on it"
				bind:value={() => code, (text) => (code = text.trim().toUpperCase())}
				errors={codeFault ? [fieldError('code', 'notACodeOnPiece')] : []}
				placeholder="none"
			/>
		</div>
		<p class="small">To look at: {marksLine(kind.marks(faults.length ? usualParams(kind) : params))}.</p>
	</div>
	<div>
		{#if drawn}
			<PieceDrawing
				drawing={drawn.drawing}
				label="{PIECE_WORDS[kindId]?.name}, {upTo(drawn.size.x, 1)} by {upTo(drawn.size.y, 1)} by {upTo(drawn.size.z, 1)} mm"
			/>
			<p class="mt-1" data-testid="piece-facts">
				{upTo(drawn.size.x, 1)} × {upTo(drawn.size.y, 1)} × {upTo(drawn.size.z, 1)} mm · {fixed(drawn.volumeMm3 / 1000, 2)} cm³
				{#if needed}· at most {massWords(needed.grams, 1)}, {fixed(needed.metres, 2)} m{/if}
			</p>
			<p class="small">
				Printed solid, at {upTo(usual.densityGcm3, 2)} g/cm³ and {upTo(usual.diameterMm, 2)} mm; a slicer's infill makes it less.
			</p>
		{:else}
			<p class="small">Drawing it …</p>
		{/if}
	</div>
	<div class="flex flex-wrap items-end gap-3 lg:col-span-2">
		<Button type="button" size="sm" color="alternative" disabled={!drawn || faults.length > 0} onclick={() => void save('3mf')}
			>Save as 3MF</Button
		>
		<Button type="button" size="sm" color="alternative" disabled={!drawn || faults.length > 0} onclick={() => void save('stl')}
			>Save as STL</Button
		>
		<Field id="piece-name" path="name" label="Name" bind:value={name} {errors} placeholder={PIECE_WORDS[kindId]?.name} class="w-56" />
		{#if families.length}
			<label>
				<span class="mb-0.5 block text-[0.85rem] font-medium">New version of</span>
				<Select placeholder="" size="sm" bind:value={replaces}>
					<option value="">none: a new one</option>
					{#each families as one (one.id)}<option value={one.id}>{one.name} {one.version}</option>{/each}
				</Select>
			</label>
		{/if}
		<Button type="submit" size="sm" disabled={faults.length > 0}>Save</Button>
		<span role="status" class="font-semibold">{said}</span>
	</div>
</FormShell>
