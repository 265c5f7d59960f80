import { describe, expect, it } from 'vitest';
import { basis, evidence, reading } from '../../../../../tests/support/evidence';
import { intakeStation } from './station';

const seen = (quantity: string, typedText = '', more: { status?: 'excluded' } = {}) =>
	reading({ station: 'intake', quantity, value: quantity === 'nothingOdd' ? 0 : 1, typedText, ...more });
const found = (...readings: ReturnType<typeof seen>[]) => {
	const [finding] = intakeStation.find(evidence({ readings }), basis);
	return { estimate: finding?.estimate, says: finding?.messages.map((m) => m.id), wants: finding?.missing.map((m) => m.action), finding };
};

describe('what was seen at unboxing', () => {
	it('is counted, each thing that is odd as one, in its own words', () => {
		const { estimate, finding } = found(seen('winding', 'crossed'), seen('odour', 'sharp'));
		expect(estimate).toBe(2);
		expect(finding?.messages.map((m) => [m.id, (m.params as { words: string }).words])).toEqual([
			['odd.winding', 'crossed'],
			['odd.odour', 'sharp']
		]);
		expect([finding?.n, finding?.grade]).toEqual([1, 'thin']);
	});
	it('is nothing where somebody said so', () => {
		expect(found(seen('nothingOdd'))).toMatchObject({ estimate: 0, says: ['nothingOdd'], wants: [] });
	});
	it('wants a look where nobody looked, and where what was said was marked invalid', () => {
		expect(found()).toMatchObject({ estimate: null, says: [], wants: ['unbox'] });
		const { estimate, wants, finding } = found(seen('seal', 'open', { status: 'excluded' }));
		expect([estimate, wants, finding?.inputs.excluded.length]).toEqual([null, ['unbox'], 1]);
	});
	it('holds good points as words only: they outweigh nothing and are no look at the rest', () => {
		expect(found(seen('dirt', 'flecks'), seen('goodPoints', 'wound neatly'))).toMatchObject({
			estimate: 1,
			says: ['odd.dirt', 'goodPoints']
		});
		expect(found(seen('goodPoints', 'wound neatly'))).toMatchObject({ estimate: null, says: ['goodPoints'], wants: ['unbox'] });
		expect(found(seen('nothingOdd'), seen('goodPoints', 'wound neatly', { status: 'excluded' })).says).toEqual(['nothingOdd']);
	});
});
