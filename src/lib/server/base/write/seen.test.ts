import { describe, expect, it } from 'vitest';
import { Problem } from '../problem';
import { requireSeen } from './seen';

const refusal = (seen: object | undefined, stands: object, wanted: object) => {
	try {
		requireSeen(seen as never, stands as never, wanted as never);
		return null;
	} catch (error) {
		if (!(error instanceof Problem)) throw error;
		return { status: error.status, errors: error.errors };
	}
};

describe('a change of what somebody else has changed', () => {
	it('is refused with both values, field by field', () => {
		expect(refusal({ repeats: 1, name: 'A' }, { repeats: 3, name: 'A' }, { repeats: 2, name: 'B' })).toEqual({
			status: 409,
			errors: [{ path: 'repeats', code: 'changedMeanwhile', params: { now: '3', yours: '2' } }]
		});
		expect(refusal({ items: [1] }, { items: [2] }, { items: [3] })?.errors).toEqual([
			{ path: 'items', code: 'changedMeanwhile', params: { now: '[2]', yours: '[3]' } }
		]);
		expect(refusal({ printerId: 'x' }, { printerId: null }, { printerId: 'y' })?.errors[0]?.params).toEqual({ now: '', yours: 'y' });
	});
	it('passes where nothing moved, nothing was said of it, or both want the same', () => {
		expect(refusal({ repeats: 1 }, { repeats: 1 }, { repeats: 2 })).toBeNull();
		expect(refusal(undefined, { repeats: 3 }, { repeats: 2 })).toBeNull();
		expect(refusal({ repeats: 1 }, { repeats: 2 }, { repeats: 2 })).toBeNull();
		expect(refusal({ repeats: 1 }, { repeats: 3 }, {})).toBeNull();
		expect(refusal({ lot: '' }, { lot: null }, { lot: 'B7' })?.status ?? null).toBe(409);
		expect(refusal({ a: { x: 1, y: 2 } }, { a: { y: 2, x: 1 } }, { a: { x: 2, y: 2 } })).toBeNull();
	});
});
