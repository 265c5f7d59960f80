import type { LoadMethod, Orientation, Specimen } from '$lib/core/record/evidence/specimen';
import type { SpoolEvidence } from '$lib/core/record/evidence/spool-evidence';
import { kindsOfTrial, specimenKinds } from '$lib/core/stations/strength/kinds';
import { loadUnitOf } from '$lib/core/record/readings/load-unit';
import { strengthStation } from '$lib/core/stations/strength/station';
import type { Basis } from '$lib/core/judging/trial/basis';
import { fieldError, type FieldError } from '$lib/schemas/field-error';
import { SvelteMap } from 'svelte/reactivity';
import { Bench, lastEntered } from '../bench/bench.svelte';
import { outbox } from '../bench/outbox-state.svelte';
import { newId } from '../form/send';
import { plural } from '../../words/numbers';
import {
	feltByHand,
	nozzleOf,
	NOTHING_LOADED,
	setUpFaults,
	takenBack,
	typedLoad,
	unloaded,
	type Entry,
	type Loading,
	type LoadSetUp
} from './loading';
import { specimenOfItem } from './specimen-of-item';

type Given = { head: { id: string }; evidence: SpoolEvidence[]; basis: Basis };

/** What hangs on the hook is another bucket in another trial. */
const bucketOf = (trialId: string) => `draught-bucket-${trialId}`;
const UNIT = 'draught-load-unit';

/** The strength station at the bench: how things are loaded, which specimen is under load on each spool, and what was captured. */
export class StrengthBench {
	shape = $state('');
	orientation = $state<Orientation>('upright');
	method = $state<LoadMethod>('steps');
	/** Nozzle temperature and how it was printed otherwise, as typed. */
	nozzle = $state('');
	made = $state('');
	/** What was wrong with them when the last load was to be kept. */
	faults = $state.raw<FieldError[]>([]);
	#bucket = $state('');
	#unit = $state('');
	#loading = $state.raw<Loading>(NOTHING_LOADED);
	readonly bench: Bench;
	readonly #given: () => Given;
	/** Specimens made on this page, until the page loads them again. */
	readonly #local = new SvelteMap<string, Specimen & { spoolId: string }>();
	// One after the other, so that a specimen reaches the outbox before its loads.
	#queue: Promise<unknown> = Promise.resolve();

	// What was captured a moment ago may be the first of its kind or unit: then that is the one compared, and shown.
	readonly #basis = $derived.by(() => ({
		...this.#given().basis,
		loadUnit: loadUnitOf(this.bench.live),
		specimenKinds: specimenKinds(this.bench.live, this.#given().basis.chosenKinds)
	}));
	/** All kinds that are here, for choosing the one that is compared. */
	readonly all = $derived.by(() => kindsOfTrial(this.bench.live));
	readonly kinds = $derived(this.#basis.specimenKinds);
	readonly defs = $derived(strengthStation.quantities(this.#basis));
	readonly findings = $derived.by(() => (this.bench.evidence ? strengthStation.find(this.bench.evidence, this.#basis) : []));
	/** Whether a specimen is under load now. */
	readonly #open = $derived.by(() => this.#loading.open[this.bench.evidence?.spool.id ?? '']?.id ?? null);
	readonly count = $derived.by(() => counted(this.bench.evidence));
	/** The number the next load belongs to. */
	readonly number = $derived(this.#open ? this.count : this.count + 1);
	readonly steps = $derived.by(() =>
		(this.bench.evidence?.readings ?? []).filter((r) => r.specimenId === this.#open && r.status === 'counts' && r.quantity !== 'bucketMass')
	);
	readonly isLoaded = $derived(this.#open !== null && this.steps.length > 0);
	readonly waiting = $derived.by(() => new Set([...this.bench.captured.waiting, ...outbox.items.map((i) => i.id)]));

	/** How specimens are made and loaded is copied forward from the last one of the trial. */
	constructor(given: () => Given, last: Specimen | undefined) {
		this.#given = given;
		this.shape = last?.shape ?? '';
		this.orientation = last?.orientation ?? 'upright';
		this.method = last?.method ?? 'steps';
		this.nozzle = last?.nozzleC == null ? '' : String(last.nozzleC);
		this.made = last?.made ?? '';
		this.bench = new Bench({
			station: 'strength',
			evidence: () => given().evidence,
			more: (e) => this.#withSpecimens(e),
			status: (e) => (counted(e) ? plural(counted(e), 'test part') : 'to do'),
			onchoose: () => (this.#loading = { ...this.#loading, broken: null, held: null })
		});
	}

	/** What this device was told last, else what the trial's last specimen had. */
	recall(): void {
		const latest = (...quantities: string[]) =>
			this.#given()
				.evidence.flatMap((e) => e.readings)
				.filter((r) => quantities.includes(r.quantity) && r.status === 'counts')
				.toSorted((a, b) => a.takenAt - b.takenAt)
				.at(-1);
		this.#bucket = localStorage.getItem(bucketOf(this.#given().head.id)) ?? latest('bucketMass')?.typedText ?? '';
		this.#unit = localStorage.getItem(UNIT) ?? latest('loadHeld', 'loadBroke')?.typedUnit ?? '';
	}

	get unit(): string {
		return this.#unit;
	}

	/** Typed or tapped: it stays in force, so that only the number has to be typed. */
	set unit(unit: string) {
		this.#unit = unit;
		localStorage.setItem(UNIT, unit);
	}

	get bucket(): string {
		return this.#bucket;
	}

	set bucket(mass: string) {
		this.#bucket = mass;
		localStorage.setItem(bucketOf(this.#given().head.id), mass);
	}

	/** Whether one broke a moment ago and can still be told how. */
	get broken(): boolean {
		return this.#loading.broken !== null;
	}

	/** Whether one held to the end and can still be told what that did to it. */
	get held(): boolean {
		return this.#loading.held !== null;
	}

	/** Loaded in another way from here on: what hangs there is left as it is. */
	another(): void {
		this.#loading = { ...this.#loading, open: {} };
	}

	keep(text: string): FieldError | null {
		const spoolId = this.bench.evidence?.spool.id;
		if (!spoolId) return fieldError('typed', 'nothingToLoad');
		const refusal = this.bench.when.refusal();
		if (refusal) return refusal;
		const entry = typedLoad(this.#loading, this.#setUp, { spoolId, text, newId: newId() });
		this.faults = 'refusals' in entry ? entry.refusals.filter((e) => e.path !== 'typed') : [];
		if ('refusals' in entry) return entry.refusals.find((e) => e.path === 'typed') ?? fieldError('typed', 'setUpRefused');
		if (entry.unit) this.unit = entry.unit;
		this.#store(spoolId, entry);
		return null;
	}

	get #setUp(): LoadSetUp {
		const { shape, orientation, method, nozzle, bucket, unit } = this;
		return { shape, orientation, method, nozzle, bucket, unit };
	}

	byHand(word: string): void {
		const spoolId = this.bench.evidence?.spool.id;
		this.faults = setUpFaults(this.#setUp);
		if (spoolId && this.faults.length === 0 && !this.bench.when.refusal())
			this.#store(spoolId, feltByHand(this.#loading, { spoolId, newId: newId() }, word));
	}

	neverBroke(): void {
		if (this.bench.evidence) this.#loading = unloaded(this.#loading, this.bench.evidence.spool.id);
		this.bench.focus();
	}

	failed(word: string): void {
		const { broken } = this.#loading;
		if (broken) this.#tell(broken, 'failure', word);
	}

	/** What holding did to the one that held. */
	damaged(word: string): void {
		const { held } = this.#loading;
		if (held) this.#tell(held, 'damage', word);
	}

	#tell(of: { spoolId: string; id: string }, quantity: 'failure' | 'damage', word: string): void {
		void this.bench.captured.keep({ spoolId: of.spoolId, quantity, typed: word, specimenId: of.id });
		this.#loading = { ...this.#loading, broken: null, held: null };
		this.bench.focus();
	}

	takeBack(): void {
		const { evidence, captured } = this.bench;
		const latest = lastEntered(evidence?.readings ?? []);
		if (!latest || !evidence) return;
		void captured.takeBack(latest.id);
		this.#loading = takenBack(this.#loading, this.method, evidence.spool.id, latest);
	}

	/** A new specimen shows at once: the next key must find it there. */
	#store(spoolId: string, entry: Entry): void {
		const { captured } = this.bench;
		const of = { spoolId, specimenId: entry.specimenId };
		const made = entry.isNew ? this.#made(spoolId, entry.specimenId) : null;
		this.#loading = entry.loading;
		this.#queue = this.#queue.then(async () => {
			if (made) await outbox.put('specimens', made.body);
			if (made?.bucket) await captured.keep({ ...of, quantity: 'bucketMass', typed: made.bucket });
			await captured.keep({ ...of, quantity: entry.quantity, typed: entry.typed });
		});
	}

	#made(spoolId: string, id: string) {
		const { shape, orientation, method } = this;
		const [nozzleC, made] = [nozzleOf(this.nozzle), this.made.trim()];
		const how = { ...(nozzleC === null ? {} : { nozzleC }), ...(made ? { made } : {}) };
		const body = { id, spoolId, shape: shape.trim(), orientation, method, ...how, ...this.bench.when.moment() };
		this.#local.set(id, {
			...body,
			nozzleC,
			made: made || null,
			at: Date.parse(body.at),
			status: 'counts',
			corrected: false,
			confirmed: false
		});
		return { body, bucket: method === 'steps' ? this.bucket.trim() : '' };
	}

	#withSpecimens(evidence: SpoolEvidence): SpoolEvidence {
		const waiting = outbox.items.flatMap((item) => specimenOfItem(item) ?? []);
		const known = new Set(evidence.specimens.map((s) => s.id));
		const here = [...this.#local.values(), ...waiting.filter((w) => !this.#local.has(w.id))];
		const mine = here.filter((s) => s.spoolId === evidence.spool.id && !known.has(s.id));
		return { ...evidence, specimens: [...evidence.specimens, ...mine] };
	}
}

const counted = (evidence: SpoolEvidence | undefined): number => evidence?.specimens.filter((s) => s.status === 'counts').length ?? 0;
