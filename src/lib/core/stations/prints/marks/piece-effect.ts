import type { Piece } from '../../../record/evidence/piece';
import type { SpoolEvidence } from '../../../record/evidence/spool-evidence';
import { middleOf } from '../../../judging/posterior/observed';
import { toModel } from '../../../judging/posterior/scale';
import { additiveEffects, type LevelValue } from '../../../kernel/stats/additive-effects';
import type { Basis } from '../../../judging/trial/basis';
import type { PieceEffect } from '../../../judging/trial/worked-out';
import { carriedOn } from '../../../record/marks/carries';
import { pieceName } from './context';
import { groupsOf, type Group } from './group';
import { markModel } from './mark-model';
import { MARKS, type MarkDef } from './marks';
import { seenOn } from './seen';

/**
 * How a mark comes out on the other pieces of a trial beside the one it is compared on, by spools that were printed on both: spikes that stand far
 * apart string more than those of a small model. On the scale of the mark's model: of words in words, of counts in roots.
 * Source: `additive-effects.ts`; the scatter that is assumed of such marks lets one spool be enough.
 * @param basis pieces that are compared; effects it holds already are not looked at
 * @returns one a mark and piece that some spool ties to the compared one
 * @example pieceEffects(spools, basis)[0]?.shift // 1.2: a word more on the spikes
 */
export function pieceEffects(spools: readonly SpoolEvidence[], basis: Basis): PieceEffect[] {
	const pieces = new Map(spools.flatMap((s) => s.pieces.map((piece) => [piece.id, piece])));
	const several = MARKS.flatMap((mark) => {
		const [main] = basis.markPieces[mark.def.id] ?? [];
		const others = main === undefined ? [] : otherPieces(basis, mark, (id) => pieces.get(id) ?? null);
		return main === undefined || others.length === 0 ? [] : [{ mark, main, others }];
	});
	if (several.length === 0) return [];
	const groups = spools.flatMap((evidence) => groupsOf(evidence, { ...basis, pieceEffects: [] }));
	const nameOf = (id: string) => spools.map((s) => pieceName(s, id)).find((name) => name !== null) ?? id;
	return several.flatMap(({ mark, main, others }) =>
		additiveEffects(valuesOn(groups, mark, [main, ...others]), main, markModel(mark).assumed.scatter).map(
			({ level, n, within, ...effect }) => ({
				quantity: mark.def.id,
				pieceId: level,
				piece: nameOf(level),
				againstPiece: nameOf(main),
				...effect,
				prints: n,
				spoolIds: [...new Set(within.map((w) => w.slice(0, w.lastIndexOf(' '))))]
			})
		)
	);
}

/** Pieces that carry a mark beside the one it is compared on: its other versions, and the other pieces of the trial. Windows have no shift. */
function otherPieces(basis: Basis, mark: MarkDef, pieceOf: (id: string) => Piece | null): string[] {
	if (mark.kind === 'window') return [];
	const [main, ...versions] = basis.markPieces[mark.def.id] ?? [];
	const ids = new Set([...versions, ...basis.pieceIds]);
	ids.delete(main ?? '');
	return [...ids].filter((id) => {
		const piece = pieceOf(id);
		return piece !== null && carriedOn(piece, mark.carriedBy) !== null;
	});
}

function valuesOn(groups: readonly Group[], mark: MarkDef, pieceIds: readonly string[]): LevelValue[] {
	return groups
		.filter((g) => pieceIds.includes(g.pieceId))
		.flatMap((g) => {
			const within = `${g.evidence.spool.id} ${g.condition}`;
			return seenOn(g, mark).observed.map((o) => ({ within, level: g.pieceId, value: onModel(middleOf(o, halfOf(mark)), mark) }));
		});
}

/**
 * Of what is open one way: one half of what matters beyond its end, for words half of the way to the next.
 * @returns in the unit of the mark
 * @example halfOf(MARKS[3]) // 0.25
 */
export const halfOf = ({ def }: MarkDef): number => def.differenceThatMatters / 2;

function onModel(value: number, mark: MarkDef): number {
	const { scale } = markModel(mark);
	return scale === 'plain' ? value : toModel(scale, Math.max(0, value));
}
