import { nth } from '../../kernel/lists/nth';
import { mean } from 'd3-array';
import type { SpoolEvidence } from '../../record/evidence/spool-evidence';
import { EMPTY_CONTEXT, makeFinding } from '../../judging/finding/make-finding';
import { say, type Message } from '../../judging/finding/message';
import type { Finding, Missing } from '../../judging/finding/types';
import type { Station } from '../../judging/station/station';
import { intervalsOf, relativeWater, type Relative } from './account';
import { cardShare, withCard } from './card-reel';
import { waterUptake } from './quantities';
import { tareOf } from './tare';
import { weighings, type Weighing } from './weighings';

const DAY_MS = 86_400_000;

export const moistureStation: Station = {
	id: 'moisture',
	invited: true,
	quantities: () => [waterUptake],
	find: (evidence) => [findUptake(evidence)],
	next: (findings) => findings.flatMap((f) => f.missing)
};

/**
 * The state water is counted from unless another is chosen: the last weighing after a drying that was followed by time in the air,
 * else the first weighing.
 * @example referenceIndex(chain) // 2
 */
export function referenceIndex(chain: readonly Weighing[]): number {
	for (let i = chain.length - 2; i > 0; i--)
		if (chain[i]?.before === 'dried' && chain.slice(i + 1).some((w) => w.before === 'air')) return i;
	return 0;
}

/** How long a spool lay in the air, as coarse as it can be compared. */
function exposureWord(days: number): string {
	if (days <= 2) return 'exposure.days2';
	if (days <= 10) return 'exposure.days10';
	return days <= 45 ? 'exposure.weeks6' : 'exposure.months';
}

/**
 * The top of several weighings, without its lean: the largest of many that are alike is too large by the scatter of the scale, so those that the scale
 * cannot tell from it count together, by their mean. The bounds move along. What they have in common, the weighing they are counted from, plays no part.
 * Source: common practice, no source.
 */
function withoutLean(weighed: readonly { share: number; ownU: number }[], largest: Relative & { ownU: number }): Relative {
	const alike = weighed.filter((w) => largest.share - w.share <= 2 * Math.hypot(w.ownU, largest.ownU));
	const lean = largest.share - (mean(alike, (w) => w.share) ?? largest.share);
	return { ...largest, share: largest.share - lean, low: largest.low - lean, high: largest.high - lean };
}

/** Largest uptake since the reference. Water lost or not seen is an answer too: then the estimate is small or below zero. */
function findUptake(evidence: SpoolEvidence): Finding {
	const chain = weighings(evidence);
	const intervals = intervalsOf(chain);
	const masses = evidence.readings.filter((r) => r.quantity === 'grossMass' || r.quantity === 'tareMass');
	const common = {
		subject: { spoolId: evidence.spool.id },
		method: 'waterChain',
		source: 'chain of net masses (common practice, no source); JCGM 100 for the scale',
		inputs: {
			used: masses.filter((r) => r.status === 'counts').map((r) => r.id),
			excluded: masses.filter((r) => r.status === 'excluded').map((r) => r.id),
			revision: evidence.spool.revision
		}
	};
	const missing = (count: number): Missing[] => [{ action: 'weigh', station: 'moisture', count, minutes: count, params: {} }];
	const since = referenceIndex(chain);
	const tare = tareOf(evidence, chain);
	const after = chain.map((w, i) => ({ w, i })).filter(({ w, i }) => i > since && w.before === 'air');
	if (after.length === 0)
		return makeFinding(waterUptake, {
			...common,
			sampling: { kind: 'unknown', reason: say(chain.length === 0 ? 'notWeighed' : 'noAirInterval') },
			missing: missing(chain.length === 0 ? 2 : 1)
		});
	const water = relativeWater(chain, tare, since);
	const peak = after.reduce((best, { i }) => ((water[i]?.share ?? 0) > (water[best]?.share ?? -Infinity) ? i : best), after[0]?.i ?? 0);
	const netG = nth(chain, since).grossG - tare.highG;
	const top = withoutLean(
		after.map(({ w, i }) => ({ share: nth(water, i).share, ownU: w.uG / netG })),
		{ ...nth(water, peak), ownU: nth(chain, peak).uG / netG }
	);
	const card = cardShare(evidence, tare, netG);
	const { low, high } = withCard(top, card);
	const surely = tare.known && card === 0;
	const days = (nth(chain, peak).at - nth(chain, since).at) / DAY_MS;
	const air = intervals.filter((interval, i) => i >= since && interval.before === 'air');
	const messages: Message[] = [
		say('uptakeOver', { pct: top.share * 100, days, from: chain[since]?.before === 'dried' ? 'dried' : 'first' }),
		...(air.some((interval) => interval.seen) ? [] : [say('waterNotSeen', { limitG: 2 * Math.min(...air.map((a) => a.uG)) })]),
		...(tare.contradictsG === undefined ? [] : [say('tareContradicts', { tareG: tare.contradictsG })]),
		...(card > 0 ? [say('cardReel', { pct: card * 100 })] : []),
		...(tare.from === 'weighed' ? [] : [say(`tareUnknown.${tare.from}`, { low: tare.lowG, high: tare.highG })])
	];
	const pct = (share: number) => share * 100;
	return makeFinding(waterUptake, {
		// Two weighings are a whole difference.
		enough: 2,
		...common,
		estimate: pct(top.share),
		n: chain.slice(since, peak + 1).length,
		interval: { low: pct(low), high: pct(high), level: 0.95, kind: surely ? 'confidence' : 'bounds' },
		sampling: surely
			? { kind: 't', mean: pct(top.share), standardError: pct(top.standardUncertainty), df: null }
			: { kind: 'bounds', low: pct(low), high: pct(high) },
		context: {
			...EMPTY_CONTEXT,
			lots: evidence.spool.lot ? [evidence.spool.lot] : [],
			exposures: [exposureWord(days)],
			from: chain[since]?.at ?? null,
			to: chain[peak]?.at ?? null
		},
		messages,
		figure: {
			kind: 'account',
			points: water.map((p) => ({
				at: p.at,
				grossG: p.grossG,
				before: p.before,
				pct: pct(p.share),
				lowPct: pct(p.low),
				highPct: pct(p.high)
			}))
		}
	});
}
