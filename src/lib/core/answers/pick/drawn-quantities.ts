import type { QuantityDef } from '../../judging/finding/types';
import { numberOf, remembering } from '../../kernel/memo/remember';
import { normalQuantile } from '../../kernel/stats/distributions';
import { COST } from './cost';
import type { RankedFinding } from './ranked-finding';
import type { Strata } from './strata';
import type { Candidate } from './types';
import { valuesOf } from './value';

/** What a price that nobody knows is worth where none at all is known. */
const MIDDLE = 0.5;

type Of = { candidates: readonly Candidate[]; defs: readonly QuantityDef[] };

/** Equally likely values of one quantity of one candidate, and what they are worth, as rings; few are asked for the values themselves. */
type Rings = { name: string; raw: () => Float64Array; worth: Float64Array; meanWorth: number };

/** A weight that moves, and a spool that changed, leave the rings of all others as they are; each takes up to 32 kB. */
const rememberedRings = remembering<string, Rings>(1000);

/** What does not change from block to block of draws. */
export class DrawnTables {
	readonly of: Of;
	readonly strata: Strata;
	readonly #normal: Float64Array;
	readonly #rings = new Map<string, Rings[] | null>();
	readonly #common = new Map<string, { name: string; ring: Float64Array }>();

	constructor(of: Of, strata: Strata) {
		this.of = of;
		this.strata = strata;
		this.#normal = Float64Array.from({ length: strata.count }, (_, i) => normalQuantile((i + 0.5) / strata.count));
	}

	/**
	 * The definition of a quantity, if there is one.
	 * @example tables.defOf('overhang')?.unit // 'deg'
	 */
	defOf(quantity: string): QuantityDef | null {
		return this.of.defs.find((d) => d.id === quantity) ?? null;
	}

	/**
	 * The rings of a quantity, one a candidate; null where no such quantity is defined.
	 * @example tables.ringsOf('overhang')?.length // 3
	 */
	ringsOf(quantity: string): Rings[] | null {
		return remembered(this.#rings, quantity, () => {
			const def = this.defOf(quantity);
			if (!def) return null;
			const asked = `${this.strata.name} ${JSON.stringify([def.direction, def.scale, def.target, def.spacing, def.prior])}`;
			return this.of.candidates.map(({ code, findings }) => {
				const name = `${def.name ?? def.id} ${code}`;
				const finding = findings[def.id];
				const key = `${asked} ${name} ${finding ? numberOf(finding.sampling) : 0}`;
				return rememberedRings(key, () => ringsOf(this.strata, name, finding, def));
			});
		});
	}

	/**
	 * The ring of an error that spools share, in its standard deviations. Named by the order in which sources come up: a source's own name may hold
	 * an id, which another record would have otherwise.
	 * @example tables.commonOf(overhang, 'scorer 1').ring.length // 4096
	 */
	commonOf(def: QuantityDef, source: string): { name: string; ring: Float64Array } {
		return remembered(this.#common, `${def.id} ${source}`, () => {
			const name = `${def.name ?? def.id} shared ${this.#common.size}`;
			return { name, ring: this.strata.ringOf(this.#normal, name) };
		});
	}
}

function ringsOf(strata: Strata, name: string, finding: RankedFinding | undefined, def: QuantityDef): Rings {
	const values = strata.valuesOf(finding, def);
	const worth = valuesOf(values, def);
	let raw: Float64Array | null = null;
	// The same order for a value and for what it is worth.
	return { name, raw: () => (raw ??= strata.ringOf(values, name)), worth: strata.ringOf(worth, name), meanWorth: meanOf(worth) };
}

/**
 * What candidates truly are, drawn again and again from what their findings allow. Each quantity of each spool (by its bench code) is drawn in an
 * order of its own, so that neither a weight that moves nor a spool that joins changes the draws of anything else. An error that spools share is drawn
 * once for all of them, and so cancels where they are compared. The lists it gives out must not be changed.
 * Source: `strata.ts`; errors in common, JCGM 101.
 * @example [...blocksOf({ candidates, defs }, 2000, 1)][0]?.values('overhang')[0]?.length // 2000
 */
export class DrawnQuantities {
	readonly draws: number;
	readonly #tables: DrawnTables;
	readonly #block: number;
	readonly #raw = new Map<string, Float64Array[]>();
	readonly #values = new Map<string, Float64Array[]>();

	constructor(tables: DrawnTables, block: number, draws: number) {
		this.#tables = tables;
		this.#block = block;
		this.draws = draws;
	}

	/**
	 * Drawn values of a quantity in its unit, one list a candidate.
	 * @example drawn.raw('overhang')[0]?.[0] // 66.2
	 */
	raw(quantity: string): readonly Float64Array[] {
		return remembered(this.#raw, quantity, () =>
			this.#of(quantity, ({ name, raw }, def, { findings }) => {
				const drawn = this.#draw(raw(), name);
				const shared = findings[quantity]?.shared ?? [];
				if (shared.length === 0) return drawn;
				const moved = drawn.slice();
				for (const { source, sd } of shared) {
					const common = this.#tables.commonOf(def, source);
					addScaled(moved, this.#draw(common.ring, common.name), sd);
				}
				return moved;
			})
		);
	}

	/**
	 * What the drawn values are worth, 0 to 1, one list a candidate. A price that is not known is worth what the known ones are on average:
	 * neither better nor worse.
	 * @example drawn.values('overhang')[0]?.[0] // 0.72
	 */
	values(quantity: string): readonly Float64Array[] {
		return remembered(this.#values, quantity, () => {
			const values = this.#of(quantity, ({ name, raw, worth }, def, { findings }, i) => {
				// A shared error moves the value itself, which then is worth something else.
				const [shared, ...more] = findings[quantity]?.shared ?? [];
				if (!shared) return this.#draw(worth, name);
				if (more.length > 0) return valuesOf(this.raw(quantity)[i] as Float64Array, def);
				const common = this.#tables.commonOf(def, shared.source);
				return valuesOf(this.#draw(raw(), name), def, { by: this.#draw(common.ring, common.name), times: shared.sd });
			});
			return quantity === COST ? this.#neutral(values) : values;
		});
	}

	/**
	 * What the drawn values of one candidate are worth on average.
	 * @returns 0 to 1
	 * @example drawn.meanWorth('overhang', 0) // 0.72
	 */
	meanWorth(quantity: string, i: number): number {
		const values = this.values(quantity)[i] as Float64Array;
		const ring = this.#tables.ringsOf(quantity)?.[i];
		// A whole turn of a ring holds every value once: its mean is known.
		const whole = ring?.worth.buffer === values.buffer && this.draws === this.#tables.strata.count;
		return whole ? ring.meanWorth : meanOf(values);
	}

	#of(quantity: string, draw: (rings: Rings, def: QuantityDef, candidate: Candidate, i: number) => Float64Array): Float64Array[] {
		const { candidates } = this.#tables.of;
		const [def, rings] = [this.#tables.defOf(quantity), this.#tables.ringsOf(quantity)];
		if (!def || !rings) return candidates.map(() => new Float64Array(this.draws));
		return candidates.map((candidate, i) => draw(rings[i] as Rings, def, candidate, i));
	}

	#draw(ring: Float64Array, name: string): Float64Array {
		return this.#tables.strata.block(ring, name, this.#block, this.draws);
	}

	#neutral(values: Float64Array[]): Float64Array[] {
		const priced = this.#tables.of.candidates.map(
			({ findings }) => findings[COST] !== undefined && findings[COST].sampling.kind !== 'unknown'
		);
		const known = values.filter((_, i) => priced[i]);
		if (known.length === values.length) return values;
		const average = new Float64Array(this.draws);
		if (known.length === 0) average.fill(MIDDLE);
		for (const of of known) addScaled(average, of, 1 / known.length);
		return values.map((of, i) => (priced[i] ? of : average));
	}
}

/**
 * Plain mean; 0 of nothing.
 * @returns in the unit of the values
 * @example meanOf(Float64Array.of(1, 3)) // 2
 */
export function meanOf(values: Float64Array): number {
	let total = 0;
	for (let d = 0; d < values.length; d++) total += values[d] as number;
	return values.length === 0 ? 0 : total / values.length;
}

/** Adds a multiple of one list to another. */
function addScaled(into: Float64Array, values: Float64Array, by: number): void {
	for (let d = 0; d < into.length; d++) into[d] = (into[d] as number) + by * (values[d] as number);
}

function remembered<T>(known: Map<string, T>, key: string, make: () => T): T {
	const before = known.get(key);
	if (before !== undefined) return before;
	const made = make();
	known.set(key, made);
	return made;
}
