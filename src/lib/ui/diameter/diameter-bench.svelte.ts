import { stated } from '$lib/core/record/claims/stated';
import { instrumentBudget } from '$lib/core/stations/diameter/budget';
import { claimPlan, strandLengthM, type Zone } from '$lib/core/stations/diameter/claim-plan';
import { toleranceClaims } from '$lib/core/stations/diameter/claims';
import { oddReadings } from '$lib/core/stations/diameter/odd-readings';
import { diameterProgress, type DiameterProgress } from '$lib/core/stations/diameter/progress';
import { diameterStation } from '$lib/core/stations/diameter/station';
import { strandOfReadings } from '$lib/core/stations/diameter/strand-of-readings';
import type { Instrument } from '$lib/core/record/evidence/instrument';
import type { SpoolEvidence } from '$lib/core/record/evidence/spool-evidence';
import type { Finding } from '$lib/core/judging/finding/types';
import { materialOf } from '$lib/core/judging/handbook/material-of';
import { USUAL_STRAND } from '$lib/core/judging/pieces/library/material-needed';
import { readReading } from '$lib/core/joins/read-reading';
import type { Basis } from '$lib/core/judging/trial/basis';
import { type FieldError, fieldError } from '$lib/schemas/field-error';
import { refusedReading } from '$lib/schemas/refused-reading';
import { Bench } from '../bench/bench.svelte';
import { ChosenUnit } from '../form/chosen-unit.svelte';
import { Shelf } from '../bench/shelf.svelte';
import { Form } from '../form/form.svelte';
import { plural, upTo } from '../../words/numbers';
import { sentenceOf } from '../../words/refusals';
import { nextReading, placedAfter } from './next-reading';
import type { PastedReading } from './pasted-readings';

/** What the page of the station is given. */
type Given = {
	evidence: SpoolEvidence[];
	/** The spool whose evidence came along whole. */
	opened: string | null;
	/** What the server found of it. */
	found: Finding[];
	progress: DiameterProgress[];
	basis: Basis;
	instruments: Omit<Instrument, 'quantity'>[];
};

/** Where label says nothing: a kilogram. */
const USUAL_MASS_G = 1000;

/** The diameter station at the bench: what is read next, what was read, and what it says so far. */
export class DiameterBench {
	/** The caliper in hand; empty while it is not named. */
	instrumentId = $state('');
	/** Quick check: gross faults. The claim test is for whoever wants to know more. */
	testing = $state(false);
	zone = $state<Zone>('first');
	readonly bench: Bench;
	readonly unit = new ChosenUnit('length');
	readonly #given: () => Given;
	readonly #shelf = new Shelf('diameter');
	readonly #amending = new Form({ fields: [] });

	readonly #basis = $derived.by(() => this.#given().basis);
	readonly perSpool = $derived(this.#basis.diameterPlaces * this.#basis.diameterDirections);
	readonly #progress = $derived.by(() =>
		this.bench.live.map((e, i) => {
			const [here, stored] = [diameterProgress(e), this.#given().progress[i]];
			return this.#isWhole(e) || !stored ? here : { counted: here.counted + stored.counted, loggedM: stored.loggedM };
		})
	);
	readonly counted = $derived.by(() => this.#progress[this.bench.index]?.counted ?? 0);
	/** The server knows how far a spool is whose readings are not here yet. */
	readonly whole = $derived.by(() => this.bench.evidence !== undefined && this.#isWhole(this.bench.evidence));
	/** As the server found them, until something is captured here or another spool is opened. */
	readonly findings = $derived.by<Finding[]>(() => {
		const { evidence, index } = this.bench;
		if (!evidence) return [];
		const given = this.#given();
		const asServed = evidence === given.evidence[index] && evidence.spool.id === given.opened;
		return asServed ? given.found : diameterStation.find(evidence, this.#basis);
	});
	readonly readings = $derived.by(() => (this.bench.evidence?.readings ?? []).filter((r) => r.quantity === 'diameter'));
	readonly counting = $derived(this.readings.filter((r) => r.status === 'counts'));
	readonly odd = $derived(oddReadings(this.counting)[0]);

	/** What maker or shop state, and of which nominal diameter. */
	readonly stated = $derived.by(() => (this.bench.evidence ? toleranceClaims(this.bench.evidence, this.#basis) : null));
	readonly claim = $derived(this.stated?.claims[0] ?? null);
	readonly nominalMm = $derived(this.stated?.nominalMm ?? this.#basis.nominalMm);
	readonly budget = $derived(this.#budgetOf(this.instrumentId, Date.now()));
	readonly #lengthM = $derived.by(() => {
		const evidence = this.bench.evidence;
		const densityGcm3 =
			(evidence && materialOf(evidence.spool.material, this.#basis.handbook)?.densityGcm3?.low) ?? USUAL_STRAND.densityGcm3;
		const massG = (evidence && stated(evidence.claims, 'netMassG')?.value) ?? USUAL_MASS_G;
		return strandLengthM(massG, densityGcm3, this.nominalMm);
	});
	/** Drawn up for the instrument in hand: what a coarser one said before does not count. */
	readonly plan = $derived.by(() => {
		const evidence = this.bench.evidence;
		if (!this.testing || !evidence || !this.claim) return null;
		const mine = this.counting.filter((r) => (r.instrumentId ?? '') === this.instrumentId);
		const strand = strandOfReadings({ ...evidence, readings: mine }, this.nominalMm)?.strand ?? null;
		return claimPlan(
			strand,
			this.claim,
			this.budget,
			this.#lengthM,
			mine.map((r) => r.positionM)
		);
	});
	readonly next = $derived(
		nextReading({
			counted: this.counted,
			places: this.#basis.diameterPlaces,
			directions: this.#basis.diameterDirections,
			test: this.testing ? { plan: this.plan, zone: this.zone } : null
		})
	);

	readonly log = $derived.by(() => this.bench.evidence?.logs.filter((l) => l.status === 'counts').at(-1) ?? null);
	readonly struckLogs = $derived.by(() => this.bench.evidence?.logs.filter((l) => l.status === 'excluded') ?? []);
	/** What the gauge of the log shows too much, by its check. */
	readonly logBiasMm = $derived(this.log ? this.#budgetOf(this.log.instrumentId, this.log.at).biasMm : 0);
	readonly strand = $derived.by(() => (this.bench.evidence ? strandOfReadings(this.bench.evidence, this.nominalMm) : null));

	/** @param first the spool to begin with where the address names none */
	constructor(given: () => Given, first: string | null) {
		this.#given = given;
		this.bench = new Bench({
			station: 'diameter',
			evidence: () => given().evidence.map((e) => this.#shelf.of(e)),
			first,
			status: (_, i) => this.#status(i)
		});
	}

	get problem(): string {
		return this.#amending.problem;
	}

	/** Fetches what the page came without. */
	fill(evidence: readonly SpoolEvidence[], opened: string | null): void {
		void this.#shelf.fill(evidence, opened);
	}

	/** The page is left. */
	stop(): void {
		this.#shelf.stop();
	}

	keep(typed: string): FieldError | null {
		if (!this.bench.evidence) return fieldError('typed', 'noSpoolToMeasure');
		const { place, direction, positionM } = this.next;
		return this.bench.keep('diameter', this.unit.meant(typed), {
			placeIndex: place,
			direction,
			...(positionM === null ? {} : { positionM }),
			...this.#instrument()
		});
	}

	/**
	 * Pasted readings go the same way as typed ones: all of them, or none when one is not understood.
	 * @returns why they were not taken
	 */
	take(pasted: readonly PastedReading[]): string | null {
		if (!this.bench.evidence) return sentenceOf(fieldError('typed', 'noSpoolToMeasure'));
		for (const one of pasted) {
			const read = readReading('diameter', one.typed);
			if (!read.ok) return `${one.typed} ${sentenceOf(refusedReading('typed', read))}`;
		}
		for (const { typed, ...context } of placedAfter(this.counted, this.#basis.diameterDirections, pasted))
			this.bench.keep('diameter', typed, { ...context, ...this.#instrument() });
		return null;
	}

	async reload(): Promise<void> {
		await this.bench.reload();
		this.bench.focus();
	}

	confirm(readingId: string): Promise<void> {
		return this.#amend('reading', readingId, 'confirm', '');
	}

	strikeOutLog(logId: string): Promise<void> {
		return this.#amend('log', logId, 'exclude', 'marked invalid at the bench');
	}

	reinstateLog(logId: string): Promise<void> {
		return this.#amend('log', logId, 'reinstate', 'counts again');
	}

	async #amend(targetKind: 'reading' | 'log', targetId: string, action: string, reason: string): Promise<void> {
		if ((await this.#amending.send('amendments', { targetKind, targetId, action, reason })).ok) await this.reload();
	}

	#isWhole({ spool }: SpoolEvidence): boolean {
		return spool.id === this.#given().opened || this.#shelf.has(spool.id);
	}

	#instrument(): { instrumentId?: string } {
		return this.instrumentId ? { instrumentId: this.instrumentId } : {};
	}

	#budgetOf(instrumentId: string | null, at: number) {
		const found = this.#given().instruments.find((i) => i.id === instrumentId);
		return instrumentBudget(found ? { ...found, quantity: 'length' } : null, this.nominalMm, at);
	}

	#status(index: number): string {
		const { counted: n, loggedM } = this.#progress[index] ?? { counted: 0, loggedM: null };
		if (loggedM !== null) return `log of ${upTo(loggedM, 0)} m`;
		return n === 0 ? 'to do' : n < this.perSpool ? `${n} of ${this.perSpool}` : plural(n, 'reading');
	}
}
