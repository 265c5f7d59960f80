import { tQuantile } from '../../kernel/stats/distributions';
import { makeFinding } from '../../judging/finding/make-finding';
import { say, type Message } from '../../judging/finding/message';
import type { Finding } from '../../judging/finding/types';
import { combineUncertainties } from '../../kernel/stats/combined-uncertainty';
import { partsOfBudget, sharedParts } from './budget';
import { claimSentence, instrumentLines } from './claim-sentence';
import { pathLimits } from '../../record/gauge-log/limits';
import { logMessages } from './log-messages';
import { oddReadings } from './odd-readings';
import { diameterMean } from './quantities';
import type { StrandSubject } from './subject';

/** What is called the first metres (common practice, no source). */
const FIRST_METRES = 20;

/**
 * Mean diameter with the verdict's sentence. Both the scatter of the places and the instrument count; the instrument's part does not
 * shrink with more readings.
 * @example findMean(strandSubject(evidence, basis)).interval // { low: 1.742, high: 1.760, level: 0.95, kind: 'confidence' }
 */
export function findMean(subject: StrandSubject): Finding {
	const { strand, nominalMm, claims, common, places, read } = subject;
	const def = diameterMean(subject.basis);
	const given = {
		...common,
		method: 'diameterMean',
		source: 'ISO 2602; JCGM 100 (GUM) for the instrument',
		figure: {
			kind: 'strand' as const,
			nominalMm,
			toleranceMm: claims[0]?.toleranceMm ?? null,
			places: places.map(({ index, positionM, valuesMm }) => ({
				index,
				positionM,
				lowMm: Math.min(...valuesMm),
				highMm: Math.max(...valuesMm)
			}))
		}
	};
	if (!strand) return makeFinding(def, { ...given, sampling: { kind: 'unknown', reason: say('noReadings') } });
	const odd = oddReadings(read?.counted ?? []).map((r): Message => say('diameterOdd', { typed: r.typedText }));
	const known = {
		...given,
		estimate: strand.meanMm,
		n: strand.n,
		nEffective: strand.nEffective,
		word: verdictWord(subject),
		messages: [
			claimSentence(subject, strand),
			...jams(subject),
			...instrumentLines(subject, strand),
			...(read?.leftAside ? [say('finestOnly', { n: strand.n, leftAside: read.leftAside })] : []),
			...(claims.length && firstMetresOnly(places) ? [say('firstMetresOnly')] : []),
			...odd
		]
	};
	if (strand.standardErrorMm === null) {
		// One place says nothing of the rest of the spool: the prior's width is what the pick may draw from.
		return makeFinding(def, { ...known, sampling: { kind: 'unknown', reason: say('onePlace') } });
	}
	const { standardUncertainty, df } = meanUncertainty(strand.standardErrorMm, strand.df, strand.budget.standardUncertaintyMm);
	const { sharedMm, ownMm } = partsOfBudget(strand.budget);
	const own = meanUncertainty(strand.standardErrorMm, strand.df, ownMm);
	const half = tQuantile(0.975, df ?? Infinity) * standardUncertainty;
	return makeFinding(def, {
		...known,
		interval: { low: strand.meanMm - half, high: strand.meanMm + half, level: 0.95, kind: 'confidence' },
		sampling: { kind: 't', mean: strand.meanMm, standardError: own.standardUncertainty, df: own.df },
		shared: sharedParts(strand.budget.source, sharedMm)
	});
}

/** The verdict on the first claim for the sheet; a thickening that can jam outweighs it. */
function verdictWord(subject: StrandSubject): Message | null {
	const [judged] = subject.judged;
	if (jams(subject).length) return say('word.jams');
	if (!judged) return null;
	const { verdict, claim } = judged;
	return verdict === 'onePlace' ? say('word.onePlace') : say(`word.${verdict}`, { tolerance: claim.toleranceMm });
}

/** A strand may keep its tolerance nearly everywhere and still jam once: that is said beside the verdict. */
function jams({ log, nominalMm, basis }: StrandSubject): Message[] {
	return log ? logMessages(log.summary, pathLimits(nominalMm, basis.printer)).filter((m) => m.id === 'thickSpotsJam') : [];
}

/** A quick check notes no positions: it is taken within arm's reach of the loose end. */
function firstMetresOnly(places: StrandSubject['places']): boolean {
	return places.every((p) => p.positionM === null || p.positionM < FIRST_METRES);
}

/** Scatter of the mean and the instrument together; df null where the instrument's stated limit outweighs the scatter. */
function meanUncertainty(standardErrorMm: number, df: number, instrumentMm: number): { standardUncertainty: number; df: number | null } {
	const combined = combineUncertainties([
		{ standardUncertainty: standardErrorMm, df },
		{ standardUncertainty: instrumentMm, df: Infinity }
	]);
	return { ...combined, df: combined.df === null || !Number.isFinite(combined.df) ? null : combined.df };
}
