import { readReading } from '$lib/core/joins/read-reading';
import type { LoadMethod } from '$lib/core/record/evidence/specimen';

/** A typed load with what happened at it. */
export type LoadTyped = { quantity: 'loadHeld' | 'loadBroke' | 'blowsHeld' | 'blowsBroke'; typed: string };

/** What ends a load with a break: "25 lb x". */
const BROKE = /\s*x\s*$/i;

/**
 * What a tester typed at the load field. In steps a load held unless an x follows; read off a rig or counted in blows it broke there
 * unless an h follows.
 * @example readLoad('25 lb x', 'steps') // { quantity: 'loadBroke', typed: '25 lb' }
 */
export function readLoad(text: string, method: LoadMethod): LoadTyped {
	const blows = method === 'blows';
	const held = blows ? 'blowsHeld' : 'loadHeld';
	const broke = blows ? 'blowsBroke' : 'loadBroke';
	if (method === 'steps')
		return BROKE.test(text) ? { quantity: broke, typed: text.replace(BROKE, '') } : { quantity: held, typed: text.trim() };
	const HELD = /\s*h\s*$/i;
	return HELD.test(text) ? { quantity: held, typed: text.replace(HELD, '') } : { quantity: broke, typed: text.replace(BROKE, '').trim() };
}

/** The unit that a typed load carries, if any. */
export function unitTyped(typed: string): string | null {
	const read = readReading('loadHeld', typed);
	return read.ok && !/^[\d.,\s]+$/.test(typed) ? read.typedUnit : null;
}
