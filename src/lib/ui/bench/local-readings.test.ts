import { describe, expect, it } from 'vitest';
import { diameters, evidence } from '../../../../tests/support/evidence';
import { readingOfItem, withLocal } from './local-readings';

const item = (body: Record<string, unknown>, refused: null | { title: string; errors: [] } = null) => ({
	id: 'r1',
	path: 'readings',
	madeAt: 0,
	refused,
	body: { spoolId: 's', quantity: 'diameter', typed: '1,76', takenAt: '2026-10-01T10:00:00Z', placeIndex: 2, direction: 'across', ...body }
});

describe('what the bench shows before the server has it', () => {
	it('a waiting capture is the reading it will become', () => {
		expect(readingOfItem(item({}), 'diameter')).toMatchObject({
			id: 'r1',
			spoolId: 's',
			value: 1.76,
			typedText: '1,76',
			resolution: 0.01,
			placeIndex: 2,
			direction: 'across',
			status: 'counts'
		});
	});
	it('what was refused, or is no reading, is none', () => {
		expect(readingOfItem(item({}, { title: 'no', errors: [] }), 'diameter')).toBeNull();
		expect(readingOfItem({ ...item({}), path: 'amendments' }, 'diameter')).toBeNull();
		expect(readingOfItem(item({ typed: 'wide' }), 'diameter')).toBeNull();
	});
	it('is the very same evidence where nothing is laid over it', () => {
		const [kept, other] = diameters([1.75, 1.76]);
		if (!kept || !other) throw new Error('two readings were made');
		const given = evidence({ readings: [kept] });
		expect(withLocal(given, [], new Set())).toBe(given);
		expect(withLocal(given, [kept], new Set([other.id]))).toBe(given);
		expect(withLocal(given, [], new Set([kept.id])).readings[0]?.status).toBe('excluded');
		expect(withLocal(given, [other], new Set()).readings).toHaveLength(2);
	});
	it('is shown once when the server has it too, and marked invalid when taken back', () => {
		const [kept, local] = diameters([1.75, 1.76]);
		if (!kept || !local) throw new Error('two readings were made');
		const shown = withLocal(evidence({ readings: [kept] }), [kept, local], new Set([local.id]));
		expect(shown.readings.map((r) => [r.value, r.status])).toEqual([
			[1.75, 'counts'],
			[1.76, 'excluded']
		]);
	});
});
