import { describe, expect, it } from 'vitest';
import { attempt, event, evidence, mark, piece, basis } from '../../../../../../tests/support/evidence';
import { modelled } from '../../../../../../tests/support/modelled';
import { agreements } from './agreement';
import { scoringQueue } from './scoring';
import { ladderAs, wordAs } from '../../../judging/posterior/observed';
import { printsStation } from '../station';
import { comparePaired } from '../ways/paired-comparison';
import { wetAndDry } from '../ways/wet-dry';

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
		expect(strings).toMatchObject({
			raters: [
				{ scorer: 'Ada', round: 0 },
				{ scorer: 'Ben', round: 0 }
			],
			n: 3,
			kappa: null,
			difference: { mean: 5, low: 5, high: 5 }
		});
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
		const found = printsStation.find(both, basis);
		expect(found.find((f) => f.quantity === 'overhang')).toMatchObject({ ...modelled('overhang', ladderAs(62.5, 65)), n: 1 });
		expect(found.find((f) => f.quantity === 'strings')).toMatchObject({ ...modelled('strings', wordAs(2, 4)), n: 1 });
	});
	it('every comparison takes the same value of a print: wet and dry, and two ways', () => {
		const both = scored(
			[
				[2, 3],
				[0, 1]
			],
			[
				[60, 65],
				[50, 60]
			]
		);
		const dried = { ...both, events: [event({ kind: 'dried' as const, at: 1001 })] };
		expect(wetAndDry(dried, basis).map((w) => [w.quantity, w.pairs[0]?.wet, w.pairs[0]?.dry])).toEqual([
			['overhang', 62.5, 55],
			['strings', 3, 1]
		]);
		const { results } = comparePaired([dried], { id: 'condition', first: 'asReceived', second: 'dried' }, basis);
		expect(results.find((r) => r.def.id === 'strings')?.pairs[0]).toMatchObject({ first: 3, second: 1 });
		expect(results.find((r) => r.def.id === 'overhang')?.pairs[0]).toMatchObject({ first: 62.5, second: 55 });
	});
	it('what others have scored waits for who scores again, and for nobody else', () => {
		const only = piece({ marks: [{ mark: 'strings', steps: null }] });
		const ada = attempt();
		const spool = evidence({ attempts: [ada], readings: [mark(ada, 'strings', 1, { scorer: 'Ada' })] });
		expect(scoringQueue([spool], only, 1)).toEqual([]);
		expect(scoringQueue([spool], only, 1, { kind: 'after', scorer: 'Ada' })).toEqual([]);
		expect(scoringQueue([spool], only, 1, { kind: 'after', scorer: 'Ben' })).toHaveLength(1);
	});
});
