import { describe, expect, it } from 'vitest';
import { event, attempt, evidence, mark, MAIN_PIECE, basis } from '../../../../../tests/support/evidence';
import { modelled } from '../../../../../tests/support/modelled';
import type { Finding } from '../../judging/finding/types';
import { ladderAs, wordAs } from '../../judging/posterior/observed';
import { outcomes } from './success/outcomes';
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
		expect(outcomes(attempts)).toMatchObject({ finished: 1, failed: 1, notCounted: 2, reached: [0.4] });
	});
	it('tells at which attempt the first one was finished, others’ failures aside', () => {
		const failed = (cause: 'filament' | 'printer' | 'unknown', at: number) => attempt({ outcome: 'failed', cause, at });
		expect(outcomes([attempt({ at: 30 }), failed('filament', 10), failed('printer', 20)]).firstSuccess).toBe(2);
		expect(outcomes([failed('filament', 10)]).firstSuccess).toBeNull();
	});
	it('counts failures of unknown cause too where the trial says so', () => {
		const unknown = attempt({ outcome: 'failed', cause: 'unknown', percentReached: 50 });
		expect(outcomes([attempt(), unknown])).toMatchObject({ failed: 0, notCounted: 1 });
		expect(outcomes([attempt(), unknown], 'unknown')).toMatchObject({ failed: 1, notCounted: 0, reached: [0.5] });
	});
	it('knows no waste before a failure', () => expect(outcomes([attempt()]).reached).toEqual([]));
});

describe('station', () => {
	it('wants prints where there are none, of the wanted condition', () => {
		const findings = printsStation.find(evidence(), basis);
		expect(of(findings, 'overhang')).toMatchObject({ n: 0, grade: 'none', subject: { condition: 'asReceived', pieceId: MAIN_PIECE } });
		expect(printsStation.next(findings, basis)).toEqual([expect.objectContaining({ action: 'printPiece', count: 1 })]);
	});
	it('wants marks, not another print, where a print was never marked', () => {
		const findings = printsStation.find(evidence({ attempts: [attempt()] }), basis);
		expect(printsStation.next(findings, basis)).toEqual([expect.objectContaining({ action: 'markPiece', count: 1 })]);
	});
	it('keeps conditions apart: the drying between two prints decides', () => {
		const wet = attempt({ at: 100 });
		const dry = attempt({ at: 300 });
		const e = evidence({
			attempts: [wet, dry],
			events: [event({ kind: 'dried', at: 200 })],
			readings: [
				mark(wet, 'overhangLastClean', 55),
				mark(wet, 'overhangFirstFaulty', 60),
				mark(dry, 'overhangLastClean', 70),
				mark(dry, 'strings', 0)
			]
		});
		const findings = printsStation.find(e, basis);
		expect(of(findings, 'overhang')).toMatchObject(modelled('overhang', ladderAs(55, 60)));
		// No faulty step was noted: it is the next one of the piece.
		expect(of(findings, 'overhang', 'dried')).toMatchObject(modelled('overhang', ladderAs(70, 75)));
		expect(of(findings, 'strings', 'dried')).toMatchObject(modelled('strings', wordAs(0, 4)));
		expect(of(findings, 'strings').estimate).toBeNull();
	});
	it('does not take marks of an excluded attempt or struck-out marks', () => {
		const out = attempt({ status: 'excluded' });
		const kept = attempt();
		const e = evidence({
			attempts: [out, kept],
			readings: [mark(out, 'strings', 3), mark(kept, 'strings', 1), mark(kept, 'bridgeLongestClean', 30, { status: 'excluded' })]
		});
		const findings = printsStation.find(e, basis);
		expect(of(findings, 'strings')).toMatchObject({ ...modelled('strings', wordAs(1, 4)), n: 1 });
		expect(of(findings, 'bridge')).toMatchObject({ estimate: null, n: 0 });
		expect(of(findings, 'bridge').inputs.excluded).toHaveLength(1);
	});
	it('one print has a range, is never more than thin, and says what it rests on', () => {
		const one = attempt();
		const found = of(
			printsStation.find(
				evidence({ attempts: [one], readings: [mark(one, 'overhangLastClean', 10), mark(one, 'overhangFirstFaulty', 15)] }),
				basis
			),
			'overhang'
		);
		expect(found).toMatchObject({ n: 1, grade: 'thin', priorSet: 0, interval: { level: 0.95, kind: 'credible' } });
		expect(found.messages).toEqual([
			{ id: 'stepsSeen', params: { quantity: 'overhang', clean: 10, faulty: 15, prints: 1 } },
			{ id: 'onePrint', params: { cells: 0 } }
		]);
	});
	it('what nobody marked is expected to be as such spools are', () => {
		const { sampling } = of(printsStation.find(evidence({ attempts: [attempt()] }), basis), 'overhang');
		expect(sampling).toMatchObject({ kind: 'unknown', reason: { id: 'noMarks' } });
		const middle = sampling.kind === 'unknown' ? (sampling.expected?.values[16] ?? 0) : 0;
		// The middle of what is assumed of overhangs: half-way from 40 to 75 degrees.
		expect(middle).toBeCloseTo(57.5, 1);
	});
});
