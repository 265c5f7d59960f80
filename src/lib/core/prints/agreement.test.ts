import { describe, expect, it } from 'vitest';
import { attempt, evidence, mark } from '../../../../tests/support/evidence';
import { agreements } from './agreement';
import { perPrint } from './group';
import { scoringQueue } from './scoring';
import { printsStation } from './station';
import { piece, protocol } from '../../../../tests/support/evidence';

/** One spool whose prints two people scored: ranks of strings, degrees of overhang. */
function scored(strings: [number, number][], degrees: [number, number][] = []) {
	const attempts = strings.map((_, i) => attempt({ at: 1000 + i }));
	const by = (scorer: string, k: 0 | 1) =>
		attempts.flatMap((a, i) => [
			mark(a, 'strings', strings[i]?.[k] ?? 0, { scorer }),
			...(degrees[i] ? [mark(a, 'overhangLastClean', degrees[i][k], { scorer })] : [])
		]);
	return evidence({ attempts, readings: [...by('Ada', 0), ...by('Ben', 1)] });
}

describe('scorers', () => {
	it('who agree in everything, and one who is milder', () => {
		const [strings, overhang] = agreements([
			scored(
				[
					[0, 0],
					[1, 1],
					[3, 3]
				],
				[
					[60, 65],
					[55, 60],
					[50, 55]
				]
			)
		]);
		expect(strings?.def.id).toBe('overhang');
		expect(strings).toMatchObject({ scorers: ['Ada', 'Ben'], n: 3, kappa: null, difference: { mean: 5, low: 5, high: 5 } });
		expect(overhang).toMatchObject({ n: 3, kappa: { kappa: 1 }, difference: { mean: 0 } });
	});
	it('one print has no interval, nobody in particular agrees with nobody', () => {
		expect(agreements([scored([[1, 2]])])[0]).toMatchObject({ n: 1, kappa: null, difference: { mean: 1, low: null, high: null } });
		const a = attempt();
		expect(agreements([evidence({ attempts: [a], readings: [mark(a, 'strings', 1), mark(a, 'strings', 2, { scorer: 'Ada' })] })])).toEqual(
			[]
		);
	});
	it('two scorings of one print are one print: their mean, the worse word where it lies between', () => {
		const both = scored([[1, 2]], [[60, 65]]);
		const found = printsStation.find(both, protocol, 0);
		expect(found.find((f) => f.quantity === 'overhang')).toMatchObject({ n: 1, estimate: 62.5 });
		expect(found.find((f) => f.quantity === 'strings')).toMatchObject({ n: 1, estimate: 2 });
		expect(perPrint([])).toEqual([]);
	});
	it('what others have scored waits for who scores again, and for nobody else', () => {
		const only = piece({ marks: [{ mark: 'strings', steps: null }] });
		const ada = attempt();
		const spool = evidence({ attempts: [ada], readings: [mark(ada, 'strings', 1, { scorer: 'Ada' })] });
		expect(scoringQueue([spool], only, 1)).toEqual([]);
		expect(scoringQueue([spool], only, 1, 'Ada')).toEqual([]);
		expect(scoringQueue([spool], only, 1, 'Ben')).toHaveLength(1);
	});
});
