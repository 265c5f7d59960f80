import { describe, expect, it } from 'vitest';
import { attempt, basis, event, evidence, MAIN_PIECE, mark, piece } from '../../../../../../tests/support/evidence';
import { compare } from '../../../judging/compare/compare';
import type { Finding } from '../../../judging/finding/types';
import { additiveEffects } from '../../../kernel/stats/additive-effects';
import { selectFindings } from '../../../answers/sheet/select';
import type { Basis } from '../../../judging/trial/basis';
import { markModel } from './mark-model';
import { MARKS, type MarkDef } from './marks';
import { pieceEffects } from './piece-effect';
import { printsStation } from '../station';

const SPIKES = MAIN_PIECE;
const SHIP = 'ship';
const PIECES = [piece({ id: SPIKES, name: 'spikes' }), piece({ id: SHIP, name: 'ship' })];
const markOf = (id: string) => MARKS.find((m) => m.def.id === id) as MarkDef;
const rules: Basis = { ...basis, pieceIds: [SPIKES, SHIP] };

/** A spool with marks of one quantity on the spikes and on the ship. */
function spool(id: string, onSpikes: number[], onShip: number[], quantity = 'strings') {
	const print = (pieceId: string) => (value: number) => {
		const on = attempt({ pieceId });
		return { on, of: mark(on, quantity, value) };
	};
	const prints = [...onSpikes.map(print(SPIKES)), ...onShip.map(print(SHIP))];
	return evidence({ spool: { id, code: id }, pieces: PIECES, attempts: prints.map((p) => p.on), readings: prints.map((p) => p.of) });
}
type Spools = ReturnType<typeof spool>[];

const judged = (spools: Spools, of: Basis = rules): Basis => ({ ...of, pieceEffects: pieceEffects(spools, of) });
const effectsOf = (spools: Spools, quantity = 'strings') => pieceEffects(spools, rules).filter((e) => e.quantity === quantity);
function found(e: Spools[0], of: Basis, quantity = 'strings', pieceId = SPIKES): Finding {
	return printsStation.find(e, of).find((f) => f.quantity === quantity && f.subject.pieceId === pieceId) as Finding;
}

describe('what another piece adds to a mark', () => {
	it('is told by spools printed on both, in words; one such spool is enough', () => {
		const both = [spool('a', [2, 2], [1, 0]), spool('b', [3], []), spool('c', [], [1])];
		const values = [2, 2]
			.map((value) => ({ within: 'a', level: SPIKES, value }))
			.concat([1, 0].map((value) => ({ within: 'a', level: SHIP, value })));
		const [by] = additiveEffects(values, SPIKES, markModel(markOf('strings')).assumed.scatter);
		expect(effectsOf(both)).toEqual([
			{
				quantity: 'strings',
				pieceId: SHIP,
				piece: 'ship 1',
				against: SPIKES,
				againstPiece: 'spikes 1',
				shift: by?.shift,
				standardError: by?.standardError,
				df: by?.df,
				low: by?.low,
				high: by?.high,
				prints: 4,
				spoolIds: ['a']
			}
		]);
		expect(by?.shift).toBeCloseTo(-1.5, 9);
	});
	it('of counts in roots', () => {
		expect(effectsOf([spool('a', [16], [4], 'stringCount')], 'stringCount')[0]?.shift).toBeCloseTo(-2, 9);
	});
	it('of a ladder beyond its last step half of what matters', () => {
		const [effect] = effectsOf([spool('a', [55], [80], 'overhangLastClean')], 'overhang');
		// 55 to 60, and open above 80: 57.5 and 82.5.
		expect(effect?.shift).toBeCloseTo(25, 9);
	});
	it('is nothing without a spool on both, on one piece alone, or where the other piece does not carry the mark', () => {
		expect(effectsOf([spool('a', [2], []), spool('b', [], [1])])).toEqual([]);
		expect(pieceEffects([spool('a', [2], [1])], { ...rules, pieceIds: [SPIKES] })).toEqual([]);
		const bare = [PIECES[0] as (typeof PIECES)[0], piece({ id: SHIP, marks: [] })];
		expect(pieceEffects([{ ...spool('a', [2], [1]), pieces: bare }], rules)).toEqual([]);
	});
	it('another version of the piece is such a piece', () => {
		const versions = { ...rules, pieceIds: [SPIKES], markPieces: { strings: [SPIKES, SHIP] } };
		expect(pieceEffects([spool('a', [2], [1])], versions).map((e) => e.pieceId)).toEqual([SHIP]);
	});
});

describe('several pieces of one mark', () => {
	const both = () => spool('a', [2, 2, 2], [1, 1, 1]);
	it('all count, each with its effect taken off; a spool seen on the other alone stands beside those of the compared one', () => {
		const spools = [both(), spool('b', [2], []), spool('c', [], [1])];
		const of = judged(spools);
		expect(found(spools[0] as Spools[0], of).n).toBe(6);
		const [onSpikes, onShip] = [found(spools[1] as Spools[0], of), found(spools[2] as Spools[0], of)];
		expect([onSpikes.n, onShip.n]).toEqual([1, 1]);
		// A word less on the ship: "wisp" there is "slight" on the spikes.
		expect(onShip.estimate).toBeCloseTo(onSpikes.estimate as number, 1);
		expect(onShip.interval?.high).toBeGreaterThan(onSpikes.interval?.high as number);
		expect(onShip.shared).toEqual([{ source: 'piece ship 1', sd: of.pieceEffects.find((e) => e.quantity === 'strings')?.standardError }]);
		expect(onSpikes.shared).toEqual([]);
		expect(found(spools[0] as Spools[0], of).shared[0]?.sd).toBeCloseTo((onShip.shared[0]?.sd as number) / 2, 9);
		expect(onShip.inputs.used).toHaveLength(1);
		expect(onShip.figure).toEqual({ kind: 'words', counts: [0, 1, 0, 0] });
	});
	it('what is said: the effect, and each piece where they differ', () => {
		const spools = [both()];
		const said = found(spools[0] as Spools[0], judged(spools)).messages;
		expect(said.filter((m) => m.id === 'onPiece').map((m) => m.params)).toEqual([
			{ quantity: 'strings', piece: 'spikes 1', middle: 2, prints: 3 },
			{ quantity: 'strings', piece: 'ship 1', middle: 1, prints: 3 }
		]);
		expect(said.filter((m) => m.id === 'pieceTakenOut')).toMatchObject([
			{ params: { piece: 'ship 1', against: 'spikes 1', shift: -1, prints: 6 } }
		]);
		const alike = [spool('a', [1], [1])];
		expect(found(alike[0] as Spools[0], judged(alike)).messages.map((m) => m.id)).not.toContain('onPiece');
	});
	it('the error of a count is that of its root, twice the root as large', () => {
		const spools = [spool('a', [16, 16], [4, 4], 'stringCount'), spool('c', [], [4], 'stringCount')];
		const of = judged(spools);
		const effect = of.pieceEffects.find((e) => e.quantity === 'stringCount');
		// Of the count as it was seen: 4, its upper end 4.5.
		expect(found(spools[1] as Spools[0], of, 'stringCount').shared[0]?.sd).toBeCloseTo(
			2 * Math.sqrt(4.5) * (effect?.standardError ?? 0),
			9
		);
	});
	it('states are never mixed', () => {
		const e = both();
		const later = {
			...e,
			events: [event({ kind: 'dried', at: 2000 })],
			attempts: e.attempts.map((a) => (a.pieceId === SHIP ? { ...a, at: 3000 } : a))
		};
		expect(found(later, judged([both()])).n).toBe(3);
	});
	it('where nothing ties the pieces a spool shows its own, no surer than a difference that matters, with no letter and with a flag', () => {
		const spools = [spool('a', [2], []), spool('b', [2], []), spool('c', [], [1])];
		const of = judged(spools);
		expect(of.pieceEffects).toEqual([]);
		const primary = spools.map((e) => selectFindings(printsStation.find(e, of), 'strings', of)[0] as Finding);
		expect(primary.map((f) => [f.subject.pieceId, f.n])).toEqual([
			[SPIKES, 1],
			[SPIKES, 1],
			[SHIP, 1]
		]);
		expect(primary[2]?.shared).toEqual([{ source: 'piece ship', sd: 1 }]);
		const { letters, flags } = compare(primary, markOf('strings').def, of);
		expect(Object.keys(letters)).toEqual(['a', 'b']);
		expect(flags.find((f) => f.kind === 'unlikePiece')?.spoolIds).toEqual(['c']);
	});
	it('... and where a spool ties them all have letters and none is flagged', () => {
		const spools = [both(), spool('b', [2], []), spool('c', [], [1])];
		const of = judged(spools);
		const primary = spools.map((e) => selectFindings(printsStation.find(e, of), 'strings', of)[0] as Finding);
		const { letters, flags } = compare(primary, markOf('strings').def, of);
		expect(Object.keys(letters).sort()).toEqual(['a', 'b', 'c']);
		expect(flags.filter((f) => f.kind === 'unlikePiece')).toEqual([]);
	});
});
