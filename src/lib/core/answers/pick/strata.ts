import { shuffler } from 'd3-array';
import { randomSource } from '../../kernel/random/source';
import { quantileTable, drawFrom } from '../../judging/sampling/quantile-table';
import { say } from '../../judging/finding/message';
import type { QuantityDef } from '../../judging/finding/types';
import type { RankedFinding } from './ranked-finding';

const NOTHING = { kind: 'unknown' as const, reason: say('noReadings') };

/** So many orders in which equally likely values are gone through; each may be begun anywhere and taken in strides. */
const ORDERS = 16;

/**
 * Equally likely values of quantities, each in an order of its own: a block of draws is then a stretch of a list that is closed to a ring, and holds
 * each part of a distribution as often as it should. Orders of two quantities or spools do not know of each other.
 * Source: Latin hypercube sampling (McKay, Beckman & Conover 1979, Technometrics 21, 239-245).
 * @example new Strata(2048, 1).block(ring, 'overhang KA1', 0, 2000).length // 2000
 */
export class Strata {
	/** A power of two. */
	readonly count: number;
	/** Strata of the same name give the same rings. */
	readonly name: string;
	readonly #orders: Uint16Array[];
	readonly #seed: number;

	constructor(count: number, seed: number) {
		this.count = count;
		this.#seed = seed;
		this.name = `${count} ${seed}`;
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
		const values = new Float64Array(this.count);
		for (let i = 0; i < values.length; i++) values[i] = drawFrom(table, (i + 0.5) / values.length);
		return values;
	}

	/**
	 * Equally likely values in an order of their own: the same for the same name on every machine.
	 * @param values as many as there are strata
	 * @returns twice as many: the end is followed by the beginning, so that a stretch can start anywhere
	 * @example strata.ringOf(values, 'overhang KA1').length // 4096
	 */
	ringOf(values: Float64Array, name: string): Float64Array {
		const hash = hashOf(this.#seed, name);
		const order = this.#orders[hash & (ORDERS - 1)] as Uint16Array;
		const mask = this.count - 1;
		// An odd stride visits every place of a power of two once.
		const stride = ((hash >>> 4) & mask) | 1;
		const ring = new Float64Array(2 * this.count);
		for (let k = 0; k < ring.length; k++) ring[k] = values[order[(k * stride) & mask] as number] as number;
		return ring;
	}

	/**
	 * One block of draws: a stretch of a ring, begun where name and block say. Not a copy: it must not be changed.
	 * @param draws at most as many as there are strata
	 * @example strata.block(ring, 'overhang KA1', 0, 2000).length // 2000
	 */
	block(ring: Float64Array, name: string, block: number, draws: number): Float64Array {
		const start = hashOf(this.#seed + 1 + block, name) & (this.count - 1);
		return ring.subarray(start, start + draws);
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
