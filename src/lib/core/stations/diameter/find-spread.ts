import { makeFinding } from '../../judging/finding/make-finding';
import { say } from '../../judging/finding/message';
import type { Finding } from '../../judging/finding/types';
import { howeFactor, toleranceFactor } from '../../kernel/stats/tolerance-factor';
import { partsOfBudget, sharedParts } from './budget';
import { capability } from './capability';
import { flowAdvice } from './flow';
import { ownSpread } from './own-spread';
import { driftOfLog, logMessages, ovalityOfLog } from './log-messages';
import { pathLimits } from '../../record/gauge-log/limits';
import { diameterSpread, flowRatio, ovalityOf } from './quantities';
import { drift, ovality } from './shape-of-strand';
import type { StrandSubject } from './subject';

/** Beyond so many independent readings Howe's factor is the exact one to six digits, and a hundred times quicker. */
const MOST_EXACT = 10_000;

/**
 * Spread along the strand with the instrument's scatter taken out; capability, the tolerance interval and the drift as messages.
 * @example findSpread(subject).messages.map((m) => m.id) // ['spreadHidden', 'capability', 'toleranceInterval']
 */
export function findSpread({ strand, claims, common, places, log, nominalMm, basis }: StrandSubject): Finding {
	const given = {
		...common,
		method: 'ownSpread',
		source: 'chi-square interval of a variance (ISO 2854), the instrument taken out (JCGM 100)',
		n: strand?.n ?? 0,
		nEffective: strand?.nEffective ?? null
	};
	if (!strand || strand.sdMm === null || strand.nEffective < 2) {
		const reason = say(strand ? 'onePlace' : 'noReadings');
		return makeFinding(diameterSpread, { ...given, sampling: { kind: 'unknown', reason } });
	}
	const { sdMm, nEffective, meanMm, budget } = strand;
	const own = ownSpread({ sdMm, nEffective, repeatabilityMm: budget.repeatabilityMm });
	const [claim] = claims;
	const able = claim ? capability({ mean: meanMm, sd: sdMm, nEffective }, claim.lowMm, claim.highMm) : null;
	const k = nEffective > MOST_EXACT ? howeFactor(nEffective) : toleranceFactor(nEffective);
	const alongStrand = log ? driftOfLog(log.summary) : drift(places);
	const messages = [
		say(own.hidden ? 'spreadHidden' : 'spreadSeen', { sd: sdMm, own: own.sdMm, repeat: budget.repeatabilityMm }),
		...(able
			? [
					say('capability', {
						pp: able.pp.estimate,
						ppLow: able.pp.low,
						ppHigh: able.pp.high,
						ppk: able.ppk.estimate,
						ppkLow: able.ppk.low,
						ppkHigh: able.ppk.high,
						nEffective
					})
				]
			: claim
				? [say('capabilityUndefined')]
				: []),
		say('toleranceInterval', { low: meanMm - k * sdMm, high: meanMm + k * sdMm, k, nEffective }),
		...(alongStrand
			? [
					say(alongStrand.seen ? 'driftSeen' : 'driftNotSeen', {
						of: log ? 'log' : 'places',
						slope: alongStrand.estimate,
						low: alongStrand.low,
						high: alongStrand.high,
						n: alongStrand.n,
						per: alongStrand.per
					})
				]
			: [])
	];
	return makeFinding(diameterSpread, {
		...given,
		estimate: own.sdMm,
		interval: { low: own.lowMm, high: own.highMm, level: 0.95, kind: 'confidence' },
		sampling: { kind: 'bounds', low: own.lowMm, high: own.highMm },
		messages: [...messages, ...(log ? logMessages(log.summary, pathLimits(nominalMm, basis.printer)) : [])]
	});
}

/**
 * Ovality: the difference of the diameters read at one place, on average.
 * @example findOvality(subject).estimate // 0.008
 */
export function findOvality({ common, places, log }: StrandSubject): Finding {
	const given = { ...common, method: 'ovality', source: 'largest less smallest diameter of a place, averaged; ISO 2602' };
	const over = log ? ovalityOfLog(log.summary) : ovality(places);
	if (!over) return makeFinding(ovalityOf, { ...given, sampling: { kind: 'unknown', reason: say('noTwoDirections') } });
	const standardError = (over.high - over.estimate) / 1.96;
	return makeFinding(ovalityOf, {
		...given,
		estimate: over.estimate,
		n: over.n,
		interval: { low: over.low, high: over.high, level: 0.95, kind: 'confidence' },
		sampling: { kind: 't', mean: over.estimate, standardError, df: null },
		messages: [say(log ? 'ovalityOfLog' : 'ovalityDefined', { n: over.n })]
	});
}

/**
 * Flow ratio that gives the amount the slicer means, with the ripple along the strand.
 * @example findFlow(subject).estimate // 0.989
 */
export function findFlow({ common, strand, nominalMm }: StrandSubject): Finding {
	const given = { ...common, method: 'flowRatio', source: 'volume goes with the square of the diameter (arithmetic)' };
	if (!strand || strand.standardErrorMm === null || strand.sdMm === null) {
		const reason = say(strand ? 'onePlace' : 'noReadings');
		return makeFinding(flowRatio, { ...given, sampling: { kind: 'unknown', reason } });
	}
	const uMm = Math.hypot(strand.standardErrorMm, strand.budget.standardUncertaintyMm);
	const advice = flowAdvice({ n: strand.n, meanMm: strand.meanMm, sdMm: strand.sdMm, uMm }, nominalMm);
	const { sharedMm, ownMm } = partsOfBudget(strand.budget);
	// What a millimetre more of diameter makes of the ratio.
	const perMm = (2 * advice.ratio) / advice.rmsMm;
	return makeFinding(flowRatio, {
		...given,
		estimate: advice.ratio,
		n: strand.n,
		nEffective: strand.nEffective,
		interval: { low: advice.ratioLow, high: advice.ratioHigh, level: 0.95, kind: 'confidence' },
		sampling: { kind: 't', mean: advice.ratio, standardError: perMm * Math.hypot(strand.standardErrorMm, ownMm), df: null },
		shared: sharedParts(strand.budget.source, perMm * sharedMm),
		messages: [
			say('flowAdvice', { rms: advice.rmsMm, nominal: nominalMm }),
			say('flowRipple', { pct: advice.ripplePct, width: advice.lineWidthMm, widthPlus: advice.rippleWidthMm, n: strand.n })
		]
	});
}
