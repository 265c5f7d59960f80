import { describe, expect, it } from 'vitest';
import type { FigureData } from '../../judging/finding/types';
import { heldAtLeast } from './held';

const loads = (...loads: { low: number; high: number | null }[]): FigureData => ({ kind: 'loads', loads });

describe('what was held where nothing broke', () => {
	it('is what the weakest of them held', () => {
		expect(heldAtLeast({ estimate: null, figure: loads({ low: 90, high: null }, { low: 66.7, high: null }) })).toBe(66.7);
	});
	it('is not asked where the strength is known, nothing was hung, or the figure is another', () => {
		expect(heldAtLeast({ estimate: 80, figure: loads({ low: 70, high: 90 }) })).toBeNull();
		expect(heldAtLeast({ estimate: null, figure: loads() })).toBeNull();
		expect(heldAtLeast({ estimate: null, figure: { kind: 'none' } })).toBeNull();
	});
});
