import { extent, group, mean, median, sum } from 'd3-array';
import { say, type Message } from '../../../judging/finding/message';
import type { SharedPart } from '../../../judging/finding/types';
import { middleOf } from '../../../judging/posterior/observed';
import { fromModel, toModel, type ModelScale, type Observed } from '../../../judging/posterior/scale';
import type { PieceEffect } from '../../../judging/trial/worked-out';
import type { Group } from './group';
import { markModel } from './mark-model';
import type { MarkDef } from './marks';
import { halfOf } from './piece-effect';
import { seenOn, takenOut } from './seen';

/** What prints of other pieces add to a mark of the compared one, in whose terms they are put. */
export type SeenElsewhere = {
	groups: readonly Group[];
	observed: readonly Observed[];
	shared: readonly SharedPart[];
	messages: readonly Message[];
};

const NOTHING: SeenElsewhere = { groups: [], observed: [], shared: [], messages: [] };

/**
 * What the prints of other pieces show of a mark, with each piece's effect taken off; only for the piece the mark is compared on, and only of pieces
 * that spools tie to it. Where the pieces do not say the same, each is told.
 * @param groups all of the spool
 * @example seenElsewhere(onShip, groups, strings).observed.length // 2 prints of the spikes
 */
export function seenElsewhere(of: Group, groups: readonly Group[], mark: MarkDef): SeenElsewhere {
	const effects = of.basis.pieceEffects.filter((e) => e.quantity === mark.def.id);
	if (effects.length === 0 || of.basis.markPieces[mark.def.id]?.[0] !== of.pieceId) return NOTHING;
	const here = groups.flatMap((g) => {
		const effect = g.condition === of.condition ? effects.find((e) => e.pieceId === g.pieceId) : undefined;
		const { observed } = effect ? seenOn(g, mark) : NOTHING;
		return effect && observed.length > 0 ? [{ group: g, effect, observed }] : [];
	});
	const own = seenOn(of, mark).observed;
	const prints = own.length + sum(here, (h) => h.observed.length);
	const { scale } = markModel(mark);
	const level = scale === 'root' ? (mean([...own, ...here.flatMap((h) => h.observed)], (o) => o.high ?? o.low ?? 0) ?? 0) : 0;
	return {
		groups: here.map((h) => h.group),
		observed: here.flatMap((h) => h.observed.map((o) => shifted(o, h.effect.shift, scale))),
		shared: together([
			...takenOut(of, mark).shared.map((part) => weighed(part, own.length / prints)),
			...here.flatMap((h) => takenOut(h.group, mark).shared.map((part) => weighed(part, h.observed.length / prints))),
			...here.map((h) => ({
				source: `piece ${h.effect.piece}`,
				// Of a root the error is twice the root as large in the count itself.
				sd: (h.observed.length / prints) * h.effect.standardError * (scale === 'root' ? 2 * Math.sqrt(level) : 1)
			}))
		]),
		messages: [...disagreement(own, here, mark), ...here.map((h) => pieceMessage(h.effect))]
	};
}

const weighed = (part: SharedPart, share: number): SharedPart => ({ ...part, sd: part.sd * share });

/** One part a source: an error in all prints is that in each of them. */
const together = (parts: readonly SharedPart[]): SharedPart[] =>
	[...group(parts, (p) => p.source)].map(([source, of]) => ({ source, sd: sum(of, (p) => p.sd) })).filter((p) => p.sd > 0);

function shifted({ low, high }: Observed, shift: number, scale: ModelScale): Observed {
	const by = (end: number | null) =>
		end === null ? null : scale === 'plain' ? end - shift : fromModel(scale, toModel(scale, Math.max(0, end)) - shift);
	return { low: by(low), high: by(high) };
}

const pieceMessage = ({ quantity, piece, againstPiece, shift, prints }: PieceEffect): Message =>
	say('pieceTakenOut', { quantity, piece, against: againstPiece, shift, prints });

type Here = { effect: PieceEffect; observed: readonly Observed[] };

/** What each piece showed, as it was seen, where that is not the same. */
function disagreement(own: readonly Observed[], here: readonly Here[], mark: MarkDef): Message[] {
	const main = here[0]?.effect.againstPiece;
	if (main === undefined || own.length === 0) return [];
	const seen = [{ piece: main, observed: own }, ...here.map((h) => ({ piece: h.effect.piece, observed: h.observed }))].map(
		({ piece, observed }) => ({
			piece,
			prints: observed.length,
			middle: median(observed, (o) => middleOf(o, halfOf(mark))) as number
		})
	);
	const [least, most] = extent(seen, (s) => s.middle) as [number, number];
	if (most - least < mark.def.differenceThatMatters) return [];
	return seen.map((s) => say('onPiece', { quantity: mark.def.id, ...s }));
}
