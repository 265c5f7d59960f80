import { mean } from 'd3-array';
import type { QuantityDef } from '../finding/types';
import { normalQuantile } from '../stats/distributions';
import { COST } from './cost';
import type { Strata } from './strata';
import type { Candidate } from './types';
import { valueOf } from './value';

/** What a price that nobody knows is worth where none at all is known. */
const MIDDLE = 0.5;

type Of = { candidates: readonly Candidate[]; defs: readonly QuantityDef[] };

/** Equally likely values of one quantity for each candidate, in its unit and as what they are worth. */
type Tables = { def: QuantityDef; raw: Float64Array[]; worth: Float64Array[] };

/** What does not change from block to block of draws. */
export class DrawnTables {
	readonly of: Of;
	readonly strata: Strata;
	readonly normal: Float64Array;
	readonly #known = new Map<string, Tables | null>();

	constructor(of: Of, strata: Strata) {
		this.of = of;
		this.strata = strata;
		this.normal = Float64Array.from({ length: strata.count }, (_, i) => normalQuantile((i + 0.5) / strata.count));
	}

	/**
	 * The tables of a quantity; null where no such quantity is defined.
	 * @example tables.tablesOf('overhang')?.raw.length // 3
	 */
	tablesOf(quantity: string): Tables | null {
		const known = this.#known.get(quantity);
		if (known !== undefined) return known;
		const def = this.of.defs.find((d) => d.id === quantity) ?? null;
		const raw = def && this.of.candidates.map(({ findings }) => this.strata.valuesOf(findings[quantity], def));
		const tables = def && raw && { def, raw, worth: raw.map((values) => values.map((x) => valueOf(x, def))) };
		this.#known.set(quantity, tables);
		return tables;
	}
}

/**
 * What candidates truly are, drawn again and again from what their findings allow. Each quantity of each spool (by its bench code) is drawn in an
 * order of its own, so that neither a weight that moves nor a spool that joins changes the draws of anything else. An error that spools share is drawn
 * once for all of them, and so cancels where they are compared.
 * Source: `strata.ts`; errors in common, JCGM 101.
 * @example [...blocksOf({ candidates, defs }, 2000, 1)][0]?.values('overhang')[0]?.length // 2000
 */
export class DrawnQuantities {
	readonly draws: number;
	readonly #tables: DrawnTables;
	readonly #block: number;
	readonly #raw = new Map<string, Float64Array[]>();
	readonly #values = new Map<string, Float64Array[]>();
	readonly #shared = new Map<string, Float64Array>();

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
		return remembered(this.#raw, quantity, () => this.#draw(quantity, 'raw'));
	}

	/**
	 * What the drawn values are worth, 0 to 1, one list a candidate. A price that is not known is worth what the known ones are on average:
	 * neither better nor worse.
	 * @example drawn.values('overhang')[0]?.[0] // 0.72
	 */
	values(quantity: string): readonly Float64Array[] {
		return remembered(this.#values, quantity, () => this.#worth(quantity));
	}

	#worth(quantity: string): Float64Array[] {
		const { candidates } = this.#tables.of;
		const def = this.#tables.tablesOf(quantity)?.def;
		const drawn = this.#draw(quantity, 'worth');
		candidates.forEach(({ findings }, i) => {
			// A shared error moves the value itself, which then is worth something else.
			if (def && findings[quantity]?.shared.length) drawn[i] = (this.raw(quantity)[i] as Float64Array).map((x) => valueOf(x, def));
		});
		return quantity === COST ? this.#neutral(drawn) : drawn;
	}

	#draw(quantity: string, what: 'raw' | 'worth'): Float64Array[] {
		const { of, strata } = this.#tables;
		const tables = this.#tables.tablesOf(quantity);
		return of.candidates.map(({ code, findings }, i) => {
			const into = new Float64Array(this.draws);
			if (!tables) return into;
			// The same order for a value and for what it is worth.
			strata.draw(tables[what][i] as Float64Array, `${tables.def.name ?? quantity} ${code}`, this.#block, into);
			if (what === 'raw')
				for (const { source, sd } of findings[quantity]?.shared ?? []) addScaled(into, this.#commonError(tables.def, source), sd);
			return into;
		});
	}

	/** Named by the order in which sources come up: a source's own name may hold an id, which another record would have otherwise. */
	#commonError(def: QuantityDef, source: string): Float64Array {
		return remembered(this.#shared, `${def.id} ${source}`, () => {
			const into = new Float64Array(this.draws);
			this.#tables.strata.draw(this.#tables.normal, `${def.name ?? def.id} shared ${this.#shared.size}`, this.#block, into);
			return into;
		});
	}

	#neutral(values: Float64Array[]): Float64Array[] {
		const priced = this.#tables.of.candidates.map(
			({ findings }) => findings[COST] !== undefined && findings[COST].sampling.kind !== 'unknown'
		);
		const known = values.filter((_, i) => priced[i]);
		if (known.length === values.length) return values;
		const average = Float64Array.from({ length: this.draws }, (_, d) => mean(known, (of) => of[d]) ?? MIDDLE);
		return values.map((of, i) => (priced[i] ? of : average));
	}
}

/**
 * Adds a multiple of one list to another.
 * @param by no unit
 * @example addScaled(Float64Array.of(1), Float64Array.of(2), 3)
 */
export function addScaled(into: Float64Array, values: Float64Array, by: number): void {
	for (let d = 0; d < into.length; d++) into[d] = (into[d] as number) + by * (values[d] as number);
}

function remembered<T>(known: Map<string, T>, key: string, make: () => T): T {
	const before = known.get(key);
	if (before !== undefined) return before;
	const made = make();
	known.set(key, made);
	return made;
}
