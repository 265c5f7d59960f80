import { describe, expect, it } from 'vitest';
import { attempt, event, evidence, piece, basis } from '../../../../../../tests/support/evidence';
import { printQueue } from './queue';

const pieces = ['a', 'b', 'c'].map((id) => piece({ id, familyId: id, name: id }));
const spool = (code: string, more: Parameters<typeof evidence>[0] = {}) =>
	evidence({ spool: { id: code, code }, pieces, claims: [], ...more });
const rules = { ...basis, pieceIds: ['a', 'b', 'c'] };
const grams =
	(g: number | null, volumeMm3: number | null = null) =>
	() => ({ grams: g, volumeMm3 });

describe('what is left to print', () => {
	it('every piece of every spool up to the repeats; finished ones of that condition are done', () => {
		const done = spool('KA1', { attempts: [attempt({ pieceId: 'a' }), attempt({ pieceId: 'b', outcome: 'failed', cause: 'filament' })] });
		const queue = printQueue([done, spool('KA2')], rules, grams(10));
		expect(queue.grouped.map((p) => `${p.spoolId}${p.pieceId}`)).toEqual(['KA1b', 'KA1c', 'KA2a', 'KA2b', 'KA2c']);
		expect(printQueue([done], { ...rules, repeats: 2 }, grams(10)).grouped.filter((p) => p.pieceId === 'a')).toHaveLength(1);
		expect(printQueue([], rules, grams(10))).toMatchObject({ grouped: [], balanced: [], changes: { balanced: 0, grouped: 0 } });
	});
	it('as received before dried where both are wanted; dried prints count as dried', () => {
		const dried = spool('KA1', { attempts: [attempt({ pieceId: 'a', at: 5000 })], events: [event({ kind: 'dried', at: 4000 })] });
		const queue = printQueue([dried], { ...rules, conditionPolicy: 'both', pieceIds: ['a', 'b'] }, grams(10));
		expect(queue.grouped.map((p) => `${p.pieceId} ${p.condition}`)).toEqual(['a asReceived', 'b asReceived', 'b dried']);
	});
	it('balanced, spools take turns and each begins a round once; grouped spares the changes', () => {
		const three = ['KA1', 'KA2', 'KA3'].map((code) => spool(code));
		const { balanced, grouped, changes } = printQueue(three, rules, grams(10));
		expect(balanced).toHaveLength(9);
		expect([0, 3, 6].map((i) => balanced[i]?.spoolId)).toEqual(['KA1', 'KA2', 'KA3']);
		expect([...balanced].sort((a, b) => (a.spoolId < b.spoolId ? -1 : a.spoolId > b.spoolId ? 1 : a.pieceId < b.pieceId ? -1 : 1))).toEqual(
			grouped
		);
		expect(changes.grouped).toBe(2);
		expect(changes.balanced).toBeGreaterThan(changes.grouped);
	});
	it('a sample of 25 g covers two of three pieces of 10 g, and says which; what was printed is off', () => {
		const net = { id: 'n', quantity: 'netMassG', source: 'label' as const, value: 25 };
		expect(printQueue([spool('KA1', { claims: [net] })], rules, grams(10)).coverage[0]).toEqual({
			spoolId: 'KA1',
			leftG: 25,
			neededG: 30,
			covered: ['a', 'b'],
			short: ['c']
		});
		const half = spool('KA1', {
			claims: [net],
			attempts: [attempt({ pieceId: 'a', outcome: 'failed', cause: 'filament', percentReached: 50 })]
		});
		expect(printQueue([half], rules, grams(10)).coverage[0]).toMatchObject({ leftG: 20, covered: ['a', 'b'], short: ['c'] });
		const weighedPrint = spool('KA1', { claims: [net], attempts: [attempt({ pieceId: 'a', gramsG: 7 })] });
		expect(printQueue([weighedPrint], rules, grams(10)).coverage[0]?.leftG).toBe(18);
		expect(printQueue([spool('KA1')], rules, grams(10)).coverage[0]).toMatchObject({ leftG: null, short: [] });
	});
	it('of a volume the handbook’s density makes grams: 1 cm³ of PETG is 1.27 g', () => {
		const { neededG } = printQueue([spool('KA1')], { ...rules, pieceIds: ['a'] }, grams(null, 1000)).coverage[0] ?? { neededG: 0 };
		expect(neededG).toBeGreaterThan(1.2);
		expect(neededG).toBeLessThan(1.35);
	});
});
