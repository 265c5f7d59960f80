import { describe, expect, it } from 'vitest';
import { attempt, event, evidence, mark, MAIN_PIECE, piece } from '../../../../../../tests/support/evidence';
import { markPieces } from '../../../judging/pieces/library/mark-pieces';
import { questionsOf, scoringQueue } from './scoring';

describe('what is asked of a print', () => {
	it('only what the piece carries, and a ladder only with its steps', () => {
		const ladder = piece({
			marks: [
				{ mark: 'overhang', steps: [30, 40] },
				{ mark: 'surface', steps: null },
				{ mark: 'bridge', steps: null }
			]
		});
		expect(questionsOf(ladder).map((q) => `${q.kind} ${q.id}`)).toEqual(['ladder overhang', 'faults surface', 'measure bridgeSag']);
		expect(questionsOf(piece({ marks: [] }))).toEqual([]);
		expect(questionsOf(piece()).find((q) => q.id === 'strings')).toEqual({
			kind: 'words',
			id: 'strings',
			reading: 'strings',
			words: ['none', 'wisp', 'slight', 'heavy']
		});
	});
	it('finished prints that count, with what is still to be said of each', () => {
		const [whole, half, failed, other] = [
			attempt(),
			attempt(),
			attempt({ outcome: 'failed', cause: 'filament' }),
			attempt({ pieceId: 'x' })
		];
		const only = piece({
			marks: [
				{ mark: 'strings', steps: null },
				{ mark: 'cornerLift', steps: null }
			]
		});
		const spool = evidence({
			attempts: [whole, half, failed, other, attempt({ status: 'excluded' })],
			readings: [
				mark(whole, 'strings', 0),
				mark(whole, 'cornerLift', 0.2),
				mark(half, 'strings', 1),
				mark(half, 'cornerLift', 1, { status: 'excluded' })
			],
			events: [event({ kind: 'dried', at: 1 })]
		});
		expect(scoringQueue([spool], only, 1)).toMatchObject([
			{ attemptId: half.id, code: spool.spool.code, condition: 'dried', questions: [{ id: 'cornerLift' }] }
		]);
	});
	it('in an order of its own, that stays when some are done; another sitting has another', () => {
		const spools = Array.from({ length: 12 }, () => evidence({ attempts: [attempt()] }));
		const order = (seed: number, of = spools) => scoringQueue(of, piece(), seed).map((w) => w.spoolId);
		const first = order(7);
		expect(new Set(first).size).toBe(12);
		expect(first).not.toEqual(spools.map((s) => s.spool.id));
		expect(order(7)).toEqual(first);
		expect(order(8)).not.toEqual(first);
		expect(order(7, spools.slice(3))).toEqual(first.filter((id) => spools.slice(3).some((s) => s.spool.id === id)));
	});
});

describe('the piece a mark is compared on', () => {
	const ladder = piece({ id: 'ladder', familyId: 'ladder', marks: [{ mark: 'overhang', steps: [30, 40] }] });
	const better = piece({ id: 'ladder2', familyId: 'ladder', version: 2, marks: [{ mark: 'overhang', steps: [30, 35, 40] }] });
	const spikes = piece({ id: 'spikes', familyId: 'spikes', marks: [{ mark: 'strings', steps: null }] });
	it('is the first chosen one that carries it; other versions of it follow, the newest first', () => {
		const compared = markPieces(['spikes', 'ladder2'], [ladder, better, spikes]);
		expect(compared.strings).toEqual(['spikes']);
		expect(compared.overhang).toEqual(['ladder2', 'ladder']);
		expect(compared.cornerLift).toBeUndefined();
		expect(markPieces([MAIN_PIECE], [ladder])).toEqual({});
	});
});
