import { describe, expect, it } from 'vitest';
import { learnSet } from './learn-set';
import { NO_RECORD, wastePriorOf } from './prior-set';
import { learnWaste } from './waste';

const meanOf = ({ wasted, spared }: { wasted: number; spared: number }) => wasted / (wasted + spared);

describe('what failures waste', () => {
	it('is anything while nothing failed', () => {
		expect(learnWaste([])).toEqual({ wasted: 1, spared: 1 });
		expect(learnWaste([[], []])).toEqual({ wasted: 1, spared: 1 });
		expect(wastePriorOf(NO_RECORD)).toEqual({ wasted: 1, spared: 1, cells: 0 });
	});
	it('by hand: two spools at a fifth, four assumed at a half with a twelfth of variance', () => {
		// Mean (2 * 0.2 + 4 * 0.5) / 6 = 0.4; variance (2 * 0.04 + 4 * (1/12 + 0.01)) / 6 = 0.0755556; 0.24 / 0.0755556 - 1 = 2.176471.
		const found = learnWaste([[0.1, 0.3], [0.2]]);
		expect(found.wasted).toBeCloseTo(0.4 * 2.176471, 6);
		expect(found.spared).toBeCloseTo(0.6 * 2.176471, 6);
	});
	it('many spools alike make one sure of no more than five prints', () => {
		const found = learnWaste(Array.from({ length: 400 }, () => [0.1]));
		expect(found.wasted + found.spared).toBeCloseTo(5, 9);
		expect(meanOf(found)).toBeCloseTo((400 * 0.1 + 4 * 0.5) / 404, 9);
	});
	it('spools that waste all or nothing leave it as open as it was', () => {
		const found = learnWaste(Array.from({ length: 400 }, (_, i) => [i % 2]));
		expect(found).toEqual({ wasted: 1, spared: 1 });
	});
	it('stands in a set of priors with the spools that failed, and is left out where none did', () => {
		const cell = { kind: 'ladder', material: 'PETG', finished: 1, failed: 0, reached: [] as number[] };
		expect(learnSet([], [cell]).waste).toBeUndefined();
		expect(learnSet([], [cell, { ...cell, failed: 2, reached: [0.1, 0.3] }]).waste).toEqual({ ...learnWaste([[0.1, 0.3]]), cells: 1 });
	});
});
