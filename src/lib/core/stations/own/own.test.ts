import { describe, expect, it } from 'vitest';
import { basis, evidence, reading } from '../../../../../tests/support/evidence';
import type { OwnMeasure } from '../../record/evidence/own-measure';
import { findCell } from '../../judging/posterior/find-cell';
import { modelOf } from '../../judging/posterior/model';
import { readReading } from '../../joins/read-reading';
import { ownQuantity, ownStation } from './station';

const grip: OwnMeasure = {
	id: 'g',
	name: 'Grip',
	unit: 'N',
	direction: 'more',
	low: 0,
	high: 30,
	words: null,
	family: 'holds',
	here: true
};
const feel: OwnMeasure = {
	...grip,
	id: 'f',
	name: 'Feel',
	unit: '',
	low: 0,
	high: 2,
	words: ['sticky', 'rough', 'smooth'],
	family: 'looks'
};
const rules = (...ownMeasures: OwnMeasure[]) => ({ ...basis, ownMeasures });
const taken = (measure: OwnMeasure, ...values: number[]) =>
	evidence({
		readings: values.map((value) => reading({ station: 'own', quantity: 'own', ownMeasureId: measure.id, value, resolution: null }))
	});

describe('a measure of the tester’s own', () => {
	it('in numbers: its scale, a tenth of it matters, and it counts with its family', () => {
		expect(ownQuantity(grip)).toMatchObject({
			id: 'own.g',
			scale: { low: 0, high: 30 },
			differenceThatMatters: 3,
			family: 'holds',
			figure: 'dot'
		});
		expect(ownQuantity({ ...grip, direction: 'nearest', low: 10 }).target).toBe(20);
	});
	it('in words: their ranks are the scale, one word matters, the last is best', () => {
		expect(ownQuantity(feel)).toMatchObject({
			scale: { low: 0, high: 2 },
			differenceThatMatters: 1,
			direction: 'more',
			family: 'looks',
			figure: 'words',
			words: ['sticky', 'rough', 'smooth']
		});
	});
	it('is read by its words, however they are written, or by its unit', () => {
		expect(readReading('own', ' Rough ', feel.words ?? '')).toEqual({
			ok: true,
			value: 1,
			typedText: 'Rough',
			typedUnit: '',
			resolution: null
		});
		expect(readReading('own', 'greasy', feel.words ?? '')).toMatchObject({ ok: false, reason: 'unknownWord', allowed: feel.words });
		expect(readReading('own', '12,5', 'N')).toMatchObject({ ok: true, value: 12.5, typedUnit: 'N' });
	});
	it('finds the mean rank of its words, and draws how often each was said', () => {
		const [found] = ownStation.find(taken(feel, 2, 2, 1), rules(feel));
		const model = modelOf(ownQuantity(feel), 'words');
		const seen = [
			{ low: 1.5, high: null },
			{ low: 1.5, high: null },
			{ low: 0.5, high: 1.5 }
		];
		expect(found).toMatchObject({
			n: 3,
			estimate: findCell(seen, model, model.assumed)?.estimate,
			figure: { kind: 'words', counts: [0, 1, 2] }
		});
	});
	it('one that was struck out says nothing, in what is found and in what is learnt', () => {
		const spool = evidence({
			readings: (
				[
					[20, 'counts'],
					[2, 'excluded'],
					[22, 'counts']
				] as const
			).map(([value, status]) => reading({ station: 'own', quantity: 'own', ownMeasureId: 'g', value, resolution: null, status }))
		});
		expect(ownStation.find(spool, rules(grip))[0]).toMatchObject({ n: 2 });
		expect(ownStation.cells?.(spool, rules(grip))[0]?.observed).toHaveLength(2);
	});
	it('one word is enough, three numbers are wanted; of another trial’s nothing is asked and no column made', () => {
		const wanted = (measure: OwnMeasure, ...values: number[]) => ownStation.find(taken(measure, ...values), rules(measure))[0]?.missing;
		expect(wanted(feel)).toMatchObject([{ count: 1, params: { name: 'Feel' } }]);
		expect(wanted(feel, 1)).toEqual([]);
		expect(wanted(grip, 12)).toMatchObject([{ count: 2 }]);
		expect(wanted({ ...grip, here: false })).toEqual([]);
		expect([ownQuantity(grip).onSheet, ownQuantity({ ...grip, here: false }).onSheet]).toEqual([true, false]);
	});
	it('teaches its own kind: words by their ranks, numbers by a hundredth of what matters', () => {
		expect(ownStation.cells?.(taken(feel, 0), rules(feel, grip))).toMatchObject([
			{ quantity: 'own.f', observed: [{ low: null, high: 0.5 }] }
		]);
		expect(ownStation.cells?.(taken(grip, 12), rules(grip))[0]?.observed).toEqual([{ low: 12 - 0.015, high: 12 + 0.015 }]);
	});
});
