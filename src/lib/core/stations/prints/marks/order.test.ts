import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { hasOrder, orderFaults, partnerOf, type OrderedMark } from './order';

const mark = (id: string, quantity: string, value: number, takenAt = 0): OrderedMark => ({ id, quantity, value, takenAt });

describe('marks that contradict each other', () => {
	it('a faulty step at or before the clean one', () => {
		for (const faulty of [60, 70])
			expect(orderFaults([mark('a', 'overhangLastClean', 70), mark('b', 'overhangFirstFaulty', faulty)])).toEqual([
				{ id: 'b', quantity: 'overhangFirstFaulty', code: 'notBeyond', than: 70 }
			]);
		expect(orderFaults([mark('a', 'overhangLastClean', 70), mark('b', 'overhangFirstFaulty', 75)])).toEqual([]);
	});
	it('each ladder for itself', () => {
		expect(
			orderFaults([
				mark('a', 'overhangLastClean', 70),
				mark('b', 'bridgeFirstFaulty', 30),
				mark('c', 'bridgeLongestClean', 25),
				mark('d', 'overhangAwayLastClean', 40),
				mark('e', 'overhangAwayFirstFaulty', 35)
			])
		).toEqual([{ id: 'e', quantity: 'overhangAwayFirstFaulty', code: 'notBeyond', than: 40 }]);
	});
	it('a faulty step alone, but not a clean one', () => {
		expect(orderFaults([mark('b', 'bridgeFirstFaulty', 30)])).toEqual([{ id: 'b', quantity: 'bridgeFirstFaulty', code: 'alone' }]);
		expect(orderFaults([mark('a', 'bridgeLongestClean', 30)])).toEqual([]);
	});
	it('a window that ends below its start; one floor is a window', () => {
		expect(orderFaults([mark('a', 'cleanFrom', 210), mark('b', 'cleanTo', 210)])).toEqual([]);
		expect(orderFaults([mark('a', 'cleanFrom', 210), mark('b', 'cleanTo', 205)])).toEqual([
			{ id: 'b', quantity: 'cleanTo', code: 'below', than: 210 }
		]);
		expect(orderFaults([mark('b', 'cleanTo', 205)])).toEqual([]);
	});
	it('a second look is a second pair', () => {
		const looks = [
			mark('a', 'overhangLastClean', 60, 1),
			mark('b', 'overhangFirstFaulty', 65, 1),
			mark('c', 'overhangLastClean', 70, 2),
			mark('d', 'overhangFirstFaulty', 75, 2)
		];
		expect(orderFaults(looks)).toEqual([]);
		expect(orderFaults([...looks.slice(0, 3), mark('d', 'overhangFirstFaulty', 68, 2)])).toEqual([
			{ id: 'd', quantity: 'overhangFirstFaulty', code: 'notBeyond', than: 70 }
		]);
	});
	it('a second look that saw a fault does not contradict a first that saw none', () => {
		expect(
			orderFaults([mark('a', 'overhangLastClean', 70, 1), mark('b', 'overhangLastClean', 65, 2), mark('c', 'overhangFirstFaulty', 70, 2)])
		).toEqual([]);
	});
	it('a faulty step that was taken first is held against the clean one that came after', () => {
		expect(orderFaults([mark('a', 'overhangFirstFaulty', 60, 1), mark('b', 'overhangLastClean', 70, 2)])).toHaveLength(1);
	});
	it('whatever the order they come in', () => {
		const two = fc.record({ clean: fc.integer({ min: 0, max: 90 }), faulty: fc.integer({ min: 0, max: 90 }) });
		fc.assert(
			fc.property(two, ({ clean, faulty }) => {
				const marks = [mark('a', 'overhangLastClean', clean, 1), mark('b', 'overhangFirstFaulty', faulty, 2)];
				expect(orderFaults(marks)).toEqual(orderFaults([...marks].reverse()));
				expect(orderFaults(marks)).toHaveLength(faulty > clean ? 0 : 1);
			})
		);
	});
	it('no other quantity has an order', () => {
		expect(hasOrder('cleanTo')).toBe(true);
		expect(hasOrder('strings')).toBe(false);
		expect(partnerOf('overhangLastClean')).toBe('overhangFirstFaulty');
		expect(partnerOf('overhangAwayFirstFaulty')).toBe('overhangAwayLastClean');
		expect(partnerOf('strings')).toBeNull();
		expect(orderFaults([mark('a', 'cornerLift', 2), mark('b', 'strings', 0)])).toEqual([]);
	});
});
