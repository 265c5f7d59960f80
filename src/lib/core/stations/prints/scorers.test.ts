import { describe, expect, it } from 'vitest';
import { attempt, evidence, mark, piece, basis } from '../../../../../tests/support/evidence';
import { modelled } from '../../../../../tests/support/modelled';
import { agreements, agreementsOfAll } from './marks/agreement';
import { roundsOf } from './marks/scoring-rounds';
import { MARKS } from './marks/marks';
import { marksFinder, type Marked } from './marks/marks-on';
import { printValues } from './marks/print-values';
import { onRequest, questionsOf, scoringQueue } from './marks/scoring';
import { scorerEffects, unbridgedScorers } from './marks/scorer-effect';
import { scoringsOf } from './marks/scorings';
import { ladderAs, wordAs } from '../../judging/posterior/observed';
import { printsStation } from './station';

const STRINGS = MARKS.find((m) => m.def.id === 'strings') as (typeof MARKS)[0];
const SURFACE = MARKS.find((m) => m.def.id === 'surface') as (typeof MARKS)[0];

/** Prints of one spool with what each scorer said of their overhangs; null where he did not look. */
function overhangs(by: Record<string, (number | null)[]>, code = 'KA1') {
	const attempts = Array.from({ length: Math.max(...Object.values(by).map((v) => v.length)) }, (_, i) => attempt({ at: 1000 + i }));
	const readings = Object.entries(by).flatMap(([scorer, values]) =>
		attempts.flatMap((a, i) => {
			const value = values[i] ?? null;
			return value === null ? [] : [mark(a, 'overhangLastClean', value, { scorer }), mark(a, 'overhangFirstFaulty', value + 5, { scorer })];
		})
	);
	return evidence({ spool: { id: code, code }, attempts, readings });
}

describe('the same scorer again', () => {
	const a = attempt();
	const twice = evidence({
		attempts: [a],
		readings: [mark(a, 'strings', 1, { scorer: 'Ada', takenAt: 10 }), mark(a, 'strings', 3, { scorer: 'Ada', takenAt: 20 })]
	});
	it('is a second look, told apart from the first', () => {
		expect(roundsOf(twice.readings as Marked[])).toEqual([0, 1]);
		expect(roundsOf([...twice.readings].reverse() as Marked[])).toEqual([1, 0]);
		expect(agreements([twice])).toMatchObject([
			{
				n: 1,
				raters: [
					{ scorer: 'Ada', round: 0 },
					{ scorer: 'Ada', round: 1 }
				],
				difference: { mean: 2 }
			}
		]);
	});
	it('is no second print: the value lies between the looks', () => {
		expect(printValues({ marks: marksFinder(twice)([a]), basis }, STRINGS)).toEqual([{ attemptId: a.id, value: 2 }]);
		expect(printsStation.find(twice, basis).find((f) => f.quantity === 'strings')).toMatchObject({
			...modelled('strings', wordAs(2, 4)),
			n: 1
		});
	});
	it('several faults of one look are one look: the worst counts', () => {
		const faults = evidence({
			attempts: [a],
			readings: [mark(a, 'surfaceDots', 1, { scorer: 'Ada' }), mark(a, 'surfaceSeam', 3, { scorer: 'Ada' })]
		});
		expect(scoringsOf([faults], SURFACE)).toEqual([{ attemptId: a.id, scorer: 'Ada', round: 0, value: 3 }]);
	});
	it('waits for what was scored once, and no longer after the second look', () => {
		const only = piece({ marks: [{ mark: 'strings', steps: null }] });
		const once = evidence({ attempts: [a], readings: [mark(a, 'strings', 1, { scorer: 'Ada' })] });
		const again = { kind: 'again', scorer: 'Ada' } as const;
		expect(scoringQueue([once], only, 1, again)).toHaveLength(1);
		expect(scoringQueue([twice], only, 1, again)).toEqual([]);
		expect(scoringQueue([evidence({ attempts: [attempt()] })], only, 1, again)).toEqual([]);
		expect(scoringQueue([once], only, 1, { kind: 'again', scorer: 'Ben' })).toEqual([]);
	});
});

describe('three scorers', () => {
	it('have one alpha a mark; two have none', () => {
		const spool = overhangs({ Ada: [60, 65, 50, 70], Ben: [60, 65, 55, 70], Cy: [60, null, 50, 70] });
		const [found] = agreementsOfAll([spool]);
		expect(found).toMatchObject({ def: { id: 'overhang' }, raters: [{ scorer: 'Ada' }, { scorer: 'Ben' }, { scorer: 'Cy' }] });
		expect(found?.alpha.alpha).toBeGreaterThan(0.8);
		expect(found?.alpha).toMatchObject({ n: 4, scorings: 11 });
		expect(agreementsOfAll([overhangs({ Ada: [60, 65], Ben: [60, 65] })])).toEqual([]);
	});
});

describe('leniency', () => {
	// Ada and Ben share four prints, on which Ben gives ten more, give or take; a fifth only Ben has seen.
	const shared = overhangs({ Ada: [60, 65, 50, 55, null], Ben: [70, 75, 60, 66, 75] });
	const effects = scorerEffects([shared]);
	it('is told by prints that both have scored, against who scored most', () => {
		expect(effects).toHaveLength(1);
		expect(effects[0]).toMatchObject({ quantity: 'overhang', scorer: 'Ada', against: 'Ben', scorings: 8 });
		expect(effects[0]?.shift).toBeCloseTo(-10.25, 9);
		expect(effects[0]?.high).toBeLessThan(0);
	});
	it('taken out, a print counts as if the other had scored it, and is wider for it', () => {
		const out = { ...basis, scorerEffects: effects };
		const [ada, ben] = [overhangs({ Ada: [60, 60] }, 'KA2'), overhangs({ Ben: [70, 70] }, 'KA3')];
		const find = (spool: typeof ada, rule = basis) => {
			const found = printsStation.find(spool, rule).find((f) => f.quantity === 'overhang');
			if (!found) throw new Error('no finding');
			return found;
		};
		const twice = (clean: number) => modelled('overhang', ladderAs(clean, clean + 5), ladderAs(clean, clean + 5)).estimate;
		expect(find(ada).estimate).toBe(twice(60));
		expect(find(ada, out).estimate).toBeCloseTo(twice(70.25), 9);
		expect(find(ben, out).estimate).toBe(twice(70));
		expect(find(ada, out).shared).toEqual([{ source: 'scorer Ada', sd: effects[0]?.standardError }]);
		expect(find(ada, out).messages.map((m) => m.id)).toContain('leniencyTakenOut');
		expect(find(ben, out).messages.map((m) => m.id)).not.toContain('leniencyTakenOut');
		const width = (f: ReturnType<typeof find>) => (f.interval?.high ?? 0) - (f.interval?.low ?? 0);
		expect(width(find(ada, out))).toBeGreaterThan(width(find(ada)));
		// The first faulty step moves with the last clean one.
		expect(find(ada, out).figure).toMatchObject({ lastClean: [70.25, 70.25], firstFaulty: [75.25, 75.25] });
	});
	it('a scorer that no print ties to the others may differ by half of what matters', () => {
		const [ada, cleo] = [overhangs({ Ada: [60, 60] }, 'KA2'), overhangs({ Cleo: [60] }, 'KA3')];
		const rule = { ...basis, unbridged: unbridgedScorers([ada, cleo]) };
		expect(rule.unbridged).toEqual([{ quantity: 'overhang', kind: 'scorer', name: 'Cleo' }]);
		const find = (spool: typeof ada) => printsStation.find(spool, rule).find((f) => f.quantity === 'overhang');
		expect(find(cleo)?.shared).toEqual([{ source: 'scorer Cleo', sd: 2.5 }]);
		expect(find(ada)?.shared).toEqual([]);
		expect(unbridgedScorers([shared])).toEqual([]);
	});
	it('of words moves them by whole words, and never beyond the last', () => {
		const a = attempt();
		const effect = {
			quantity: 'strings',
			scorer: 'Ada',
			against: 'Ben',
			shift: -1.2,
			standardError: 0.1,
			low: -1.4,
			high: -1,
			scorings: 8
		};
		const said = (value: number) => evidence({ attempts: [a], readings: [mark(a, 'strings', value, { scorer: 'Ada' })] });
		const value = (given: number) =>
			printValues({ marks: marksFinder(said(given))([a]), basis: { scorerEffects: [effect] } }, STRINGS)[0]?.value;
		expect([value(0), value(1), value(3)]).toEqual([1, 2, 3]);
	});
	it('is not told by strangers, by nobody in particular, nor by one shared print', () => {
		expect(scorerEffects([overhangs({ Ada: [60, null], Ben: [null, 70] })])).toEqual([]);
		expect(scorerEffects([overhangs({ Ada: [60], Ben: [70] })])).toEqual([]);
		const a = attempt();
		expect(scorerEffects([evidence({ attempts: [a], readings: [mark(a, 'strings', 1), mark(a, 'strings', 2)] })])).toEqual([]);
	});
});

describe('what is asked only on request', () => {
	const spikes = piece({ marks: [{ mark: 'strings', steps: null }] });
	it('is not asked unless somebody wants it; what a photograph measures never is', () => {
		expect(questionsOf(spikes).map((q) => q.id)).toEqual(['strings']);
		expect(onRequest(spikes, []).map((q) => q.id)).toEqual(['stringCount', 'ease', 'softness']);
		expect(questionsOf(spikes, onRequest(spikes, [])).map((q) => q.id)).toEqual(['strings', 'ease', 'softness', 'stringCount']);
		// How it went is told by every print, whatever its piece carries.
		expect(onRequest(piece({ marks: [] }), []).map((q) => q.id)).toEqual(['ease', 'softness']);
	});
	it('waits alone where the rest was said', () => {
		const a = attempt();
		const spool = evidence({ attempts: [a], readings: [mark(a, 'strings', 1)] });
		expect(scoringQueue([spool], spikes, 1)).toEqual([]);
		expect(scoringQueue([spool], spikes, 1, { kind: 'unscored' }, onRequest(spikes, []))[0]?.questions.map((q) => q.id)).toEqual([
			'ease',
			'softness',
			'stringCount'
		]);
	});
	it('own measures are asked one by one, each by its own name', () => {
		const measure = (id: string, name: string) => ({
			id,
			name,
			unit: 'N',
			direction: 'more' as const,
			low: 0,
			high: 30,
			words: null,
			family: null,
			here: true
		});
		const extra = onRequest(spikes, [measure('m1', 'Grip'), measure('m2', 'Squeak')]).filter((q) => q.id.startsWith('own.'));
		const a = attempt();
		const own = (ownMeasureId: string) => mark(a, 'own', 12, { station: 'own', ownMeasureId });
		const left = (readings: ReturnType<typeof own>[]) =>
			scoringQueue([evidence({ attempts: [a], readings: [mark(a, 'strings', 1), ...readings] })], spikes, 1, { kind: 'unscored' }, extra)
				.flatMap((w) => w.questions)
				.map((q) => q.id);
		expect(left([])).toEqual(['own.m1', 'own.m2']);
		expect(left([own('m1')])).toEqual(['own.m2']);
		expect(left([own('m1'), own('m2')])).toEqual([]);
	});
});
