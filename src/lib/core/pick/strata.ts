import { shuffler } from 'd3-array';
import { randomSource } from '../random/source';
import { quantileTable, drawFrom } from '../sampling/quantile-table';
import { say } from '../finding/message';
import type { QuantityDef } from '../finding/types';
import type { RankedFinding } from './ranked-finding';

const NOTHING = { kind: 'unknown' as const, reason: say('noReadings') };

/** So many orders in which equally likely values are gone through; each may be begun anywhere and taken in strides. */
const ORDERS = 16;

/**
 * Equally likely values of quantities, and orders in which to go through them: a draw is then two look-ups, and every block of draws holds each part of a
 * distribution as often as it should. Orders of two quantities or spools do not know of each other.
 * Source: Latin hypercube sampling (McKay, Beckman & Conover 1979, Technometrics 21, 239-245).
 * @example new Strata(2048, 1).indexOf('overhang KA1', 0)(0) // some number below 2048
 */
export class Strata {
	/** A power of two. */
	readonly count: number;
	readonly #orders: Uint16Array[];
	readonly #seed: number;

	constructor(count: number, seed: number) {
		this.count = count;
		this.#seed = seed;
		const shuffle = shuffler(randomSource(seed));
		this.#orders = Array.from({ length: ORDERS }, () => shuffle(Uint16Array.from({ length: count }, (_, i) => i)));
	}

	/**
	 * The equally likely values a finding allows, from the least on.
	 * @returns in the unit of the quantity
	 * @example new Strata(2048, 1).valuesOf(undefined, overhang)[0] // 40
	 */
	valuesOf(finding: RankedFinding | undefined, def: QuantityDef): Float64Array {
		const table = quantileTable(finding?.sampling ?? NOTHING, def);
		return Float64Array.from({ length: this.count }, (_, i) => drawFrom(table, (i + 0.5) / this.count));
	}

	/**
	 * Some draws of equally likely values, in an order of their own: the same for the same name and block on every machine.
	 * @param values as many as there are strata
	 * @param into where the draws go
	 * @example strata.draw(values, 'overhang KA1', 0, new Float64Array(2000))
	 */
	draw(values: Float64Array, name: string, block: number, into: Float64Array): void {
		const hash = hashOf(this.#seed + block, name);
		const order = this.#orders[hash & (ORDERS - 1)] as Uint16Array;
		const mask = this.count - 1;
		// An odd stride visits every place of a power of two once.
		const stride = ((hash >>> 4) & mask) | 1;
		let at = (hashOf(hash, name) >>> 3) & mask;
		for (let d = 0; d < into.length; d++) {
			into[d] = values[order[at] as number] as number;
			at = (at + stride) & mask;
		}
	}
}

/** FNV-1a, stirred: names that differ in one letter must not share their low bits. */
function hashOf(seed: number, name: string): number {
	let hash = 0x811c9dc5 ^ seed;
	for (let i = 0; i < name.length; i++) hash = Math.imul(hash ^ name.charCodeAt(i), 0x01000193);
	hash = Math.imul(hash ^ (hash >>> 16), 0x85ebca6b);
	hash = Math.imul(hash ^ (hash >>> 13), 0xc2b2ae35);
	return (hash ^ (hash >>> 16)) >>> 0;
}
