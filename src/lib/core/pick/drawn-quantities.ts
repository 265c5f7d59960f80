import { mean } from 'd3-array';
import type { QuantityDef } from '../finding/types';
import { say } from '../finding/message';
import { randomSource } from '../random/source';
import { quantileTable, drawFrom } from '../sampling/quantile-table';
import { normalQuantile } from '../stats/distributions';
import { COST } from './cost';
import type { RankedFinding } from './ranked-finding';
import type { Candidate } from './types';
import { valueOf } from './value';

const NOTHING = { kind: 'unknown' as const, reason: say('noReadings') };
/** What a price that nobody knows is worth where none at all is known. */
const MIDDLE = 0.5;

/** One quantity of all candidates, draw by draw. */
type Drawn = { raw: Float64Array[]; values: Float64Array[] };

/**
 * What candidates truly are, drawn again and again from what their findings allow. Each quantity of each spool (by its bench code) has a stream of its own, so that
 * neither a weight that moves nor a spool that joins changes the draws of anything else. An error that spools share is drawn once for all of
 * them, and so cancels where they are compared.
 * Source: inverse transform (Devroye 1986, II.2); errors in common, JCGM 101.
 * @example new DrawnQuantities({ candidates, defs }, 2000, 1).values('overhang')[0].length // 2000
 */
export class DrawnQuantities {
	readonly draws: number;
	readonly #of: { candidates: readonly Candidate[]; defs: readonly QuantityDef[] };
	readonly #seed: number;
	readonly #known = new Map<string, Drawn>();

	constructor(of: { candidates: readonly Candidate[]; defs: readonly QuantityDef[] }, draws: number, seed: number) {
		this.#of = of;
		this.draws = draws;
		this.#seed = seed;
	}

	/**
	 * Drawn values of a quantity in its unit, one list a candidate.
	 * @example drawn.raw('overhang')[0]?.[0] // 66.2
	 */
	raw(quantity: string): readonly Float64Array[] {
		return this.#draw(quantity).raw;
	}

	/**
	 * What the drawn values are worth, 0 to 1, one list a candidate. A price that is not known is worth what the known ones are on average:
	 * neither better nor worse.
	 * @example drawn.values('overhang')[0]?.[0] // 0.72
	 */
	values(quantity: string): readonly Float64Array[] {
		return this.#draw(quantity).values;
	}

	#draw(quantity: string): Drawn {
		const known = this.#known.get(quantity);
		if (known) return known;
		const drawn = this.#drawAnew(quantity);
		this.#known.set(quantity, drawn);
		return drawn;
	}

	#drawAnew(quantity: string): Drawn {
		const { candidates, defs } = this.#of;
		const def = defs.find((d) => d.id === quantity);
		if (!def) {
			const none = candidates.map(() => new Float64Array(this.draws));
			return { raw: none, values: none };
		}
		const shared = new Map<string, Float64Array>();
		const raw = candidates.map(({ code, findings }) => this.#rawOf(findings[quantity], def, code, shared));
		const values = raw.map((of) => of.map((x) => valueOf(x, def)));
		if (quantity === COST) this.#neutral(candidates, values);
		return { raw, values };
	}

	#rawOf(finding: RankedFinding | undefined, def: QuantityDef, code: string, shared: Map<string, Float64Array>): Float64Array {
		const source = randomSource(seedOf(this.#seed, `${def.name ?? def.id} ${code}`));
		const table = quantileTable(finding?.sampling ?? NOTHING, def);
		const of = new Float64Array(this.draws);
		for (let d = 0; d < this.draws; d++) of[d] = drawFrom(table, source());
		for (const part of finding?.shared ?? []) {
			const common = shared.get(part.source) ?? this.#standardNormals(`${def.name ?? def.id} shared ${shared.size}`);
			shared.set(part.source, common);
			for (let d = 0; d < this.draws; d++) of[d] = (of[d] as number) + part.sd * (common[d] as number);
		}
		return of;
	}

	#standardNormals(name: string): Float64Array {
		const source = randomSource(seedOf(this.#seed, name));
		return Float64Array.from({ length: this.draws }, () => normalQuantile(Math.max(1e-9, source())));
	}

	#neutral(candidates: readonly Candidate[], values: Float64Array[]): void {
		const priced = candidates.map(({ findings }) => findings[COST] !== undefined && findings[COST].sampling.kind !== 'unknown');
		const known = values.filter((_, i) => priced[i]);
		const average = Float64Array.from({ length: this.draws }, (_, d) => mean(known, (of) => of[d]) ?? MIDDLE);
		priced.forEach((is, i) => {
			if (!is) values[i] = average;
		});
	}
}

/** A seed for one stream: the same for the same name on every machine (FNV-1a). */
function seedOf(seed: number, name: string): number {
	let hash = 0x811c9dc5 ^ seed;
	for (let i = 0; i < name.length; i++) hash = Math.imul(hash ^ name.charCodeAt(i), 0x01000193);
	return hash;
}
