import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { attempt, evidence, mark, MAIN_PIECE, basis } from '../../../../tests/support/evidence';
import type { Finding } from '../finding/types';
import { ladder } from './ladder';
import { ordinal } from './ordinal';
import { outcomes } from './outcomes';
import { printsStation } from './station';

const of = (findings: Finding[], quantity: string, condition: string | null = 'asReceived') =>
	findings.find((f) => f.quantity === quantity && f.subject.condition === condition) as Finding;

describe('outcomes', () => {
	it('charges only failures of the filament', () => {
		const attempts = [
			attempt(),
			attempt({ outcome: 'failed', cause: 'filament', percentReached: 40 }),
			attempt({ outcome: 'failed', cause: 'printer', percentReached: 90 }),
			attempt({ outcome: 'failed', cause: 'unknown', percentReached: 10 }),
			attempt({ outcome: 'failed', cause: 'filament', percentReached: 80, status: 'excluded' })
		];
		expect(outcomes(attempts)).toMatchObject({ finished: 1, failed: 1, notCounted: 2, wasteShare: 0.4 });
	});
	it('tells at which attempt the first one was finished, others’ failures aside', () => {
		const failed = (cause: 'filament' | 'printer' | 'unknown', at: number) => attempt({ outcome: 'failed', cause, at });
		expect(outcomes([attempt({ at: 30 }), failed('filament', 10), failed('printer', 20)]).firstSuccess).toBe(2);
		expect(outcomes([failed('filament', 10)]).firstSuccess).toBeNull();
	});
	it('counts failures of unknown cause too where the trial says so', () => {
		const unknown = attempt({ outcome: 'failed', cause: 'unknown', percentReached: 50 });
		expect(outcomes([attempt(), unknown])).toMatchObject({ failed: 0, notCounted: 1 });
		expect(outcomes([attempt(), unknown], 'unknown')).toMatchObject({ failed: 1, notCounted: 0, wasteShare: 0.5 });
	});
	it('knows no waste before a failure', () => expect(outcomes([attempt()]).wasteShare).toBeNull());
});

describe('ladder', () => {
	it('one print gives bounds a step wider on each side', () => {
		expect(ladder([{ lastClean: 65, firstFaulty: 70 }], 5)).toMatchObject({
			estimate: 65,
			n: 1,
			interval: { low: 60, high: 75, kind: 'bounds' }
		});
		expect(ladder([{ lastClean: 80, firstFaulty: null }], 5)).toMatchObject({ interval: { low: 75, high: 90 } });
	});
	it('equal prints still carry the width of the step', () => {
		const r = ladder(
			[65, 65, 65].map((lastClean) => ({ lastClean, firstFaulty: 70 })),
			5
		);
		// No scatter, so only the rectangular width 5 / sqrt 12 is left, with the normal quantile (arithmetic).
		expect((r?.interval?.high ?? 0) - 65).toBeCloseTo((1.959964 * 5) / Math.sqrt(12), 5);
	});
	it('says nothing of no prints', () => expect(ladder([], 5)).toBeNull());
	it('always holds its estimate', () => {
		fc.assert(
			fc.property(fc.array(fc.integer({ min: 6, max: 16 }), { minLength: 1, maxLength: 12 }), (steps) => {
				const r = ladder(
					steps.map((s) => ({ lastClean: s * 5, firstFaulty: s * 5 + 5 })),
					5
				);
				expect(r?.interval?.low).toBeLessThanOrEqual(r?.estimate as number);
				expect(r?.interval?.high).toBeGreaterThanOrEqual(r?.estimate as number);
			})
		);
	});
});

describe('words', () => {
	it('keeps counts, and one mark is not certainty', () => {
		const r = ordinal([0], 4);
		expect(r).toMatchObject({ estimate: 0, counts: [1, 0, 0, 0] });
		expect(r?.interval?.high).toBeGreaterThan(0.5);
	});
	it('gets surer with more marks', () => {
		const few = ordinal([1, 1], 4);
		const many = ordinal(Array<number>(20).fill(1), 4);
		const width = (r: typeof few) => (r ? r.interval.high - r.interval.low : 0);
		expect(width(many)).toBeLessThan(width(few));
	});
});

describe('station', () => {
	it('wants prints where there are none, of the wanted condition', () => {
		const findings = printsStation.find(evidence(), basis, 0);
		expect(of(findings, 'overhang')).toMatchObject({ n: 0, grade: 'none', subject: { condition: 'asReceived', pieceId: MAIN_PIECE } });
		expect(printsStation.next(findings, basis)).toEqual([expect.objectContaining({ action: 'printPiece', count: 1 })]);
	});
	it('wants marks, not another print, where a print was never marked', () => {
		const findings = printsStation.find(evidence({ attempts: [attempt()] }), basis, 0);
		expect(printsStation.next(findings, basis)).toEqual([expect.objectContaining({ action: 'markPiece', count: 1 })]);
	});
	it('keeps conditions apart: the drying between two prints decides', () => {
		const wet = attempt({ at: 100 });
		const dry = attempt({ at: 300 });
		const e = evidence({
			attempts: [wet, dry],
			events: [{ id: 'e1', kind: 'dried', at: 200, drying: null, status: 'counts', corrected: false, confirmed: false }],
			readings: [
				mark(wet, 'overhangLastClean', 55),
				mark(wet, 'overhangFirstFaulty', 60),
				mark(dry, 'overhangLastClean', 70),
				mark(dry, 'strings', 0)
			]
		});
		const findings = printsStation.find(e, basis, 0);
		expect(of(findings, 'overhang').estimate).toBe(55);
		expect(of(findings, 'overhang', 'dried').estimate).toBe(70);
		expect(of(findings, 'strings', 'dried').estimate).toBe(0);
		expect(of(findings, 'strings').estimate).toBeNull();
	});
	it('does not take marks of an excluded attempt or struck-out marks', () => {
		const out = attempt({ status: 'excluded' });
		const kept = attempt();
		const e = evidence({
			attempts: [out, kept],
			readings: [mark(out, 'strings', 3), mark(kept, 'strings', 1), mark(kept, 'bridgeLongestClean', 30, { status: 'excluded' })]
		});
		const findings = printsStation.find(e, basis, 0);
		expect(of(findings, 'strings')).toMatchObject({ estimate: 1, n: 1 });
		expect(of(findings, 'bridge')).toMatchObject({ estimate: null, n: 0 });
		expect(of(findings, 'bridge').inputs.excluded).toHaveLength(1);
	});
	it('success shows Wilson and names what was not counted', () => {
		const e = evidence({ attempts: [attempt(), attempt(), attempt({ outcome: 'failed', cause: 'printer', percentReached: 30 })] });
		const success = of(printsStation.find(e, basis, 0), 'printSuccess', null);
		expect(success).toMatchObject({ estimate: 1, n: 2 });
		// Wilson for 2 of 2 (arithmetic: n / (n + z^2)).
		expect(success.interval?.low).toBeCloseTo(2 / (2 + 1.959964 ** 2), 6);
		expect(success.messages).toContainEqual({ id: 'failuresNotCounted', params: { count: 1 } });
	});
});
