import type { SpoolEvidence } from '../../../record/evidence/spool-evidence';
import type { Basis } from '../../../judging/trial/basis';
import { makeFinding } from '../../../judging/finding/make-finding';
import { materialClass } from '../../../judging/handbook/material-class';
import { findingOfCell } from '../../../judging/cells/finding-of-cell';
import { modelOf } from '../../../judging/posterior/model';
import { wordAs } from '../../../judging/posterior/observed';
import type { RecordCell } from '../../../judging/posterior/record-cell';
import { say, type Message } from '../../../judging/finding/message';
import type { Finding } from '../../../judging/finding/types';
import { contextOf } from '../marks/context';
import { marksFinder } from '../marks/marks-on';
import { outcomes } from './outcomes';
import { feedRate, loadEffort } from './quantities';

/**
 * Whether a material is one of the flexible ones, which are a class apart: slow to feed, hard to load.
 * Source: names of thermoplastic elastomers (ISO 18064), and PEBA as it is sold.
 * @example isFlexible('TPU') // true
 */
export const isFlexible = (material: string): boolean => /^(TP[ACEOSUV]|PEBA)\b/i.test(material.trim());

/**
 * What is asked of flexibles beside the marks of pieces: the fastest feed rate that still prints, and how the strand loads. Nothing for
 * other materials, unless somebody noted how they load.
 * @example findFlexible(evidence, basis).map((f) => f.quantity) // ['feedRate', 'loadEffort']
 */
export function findFlexible(evidence: SpoolEvidence, basis: Basis): Finding[] {
	const flexible = isFlexible(evidence.spool.material);
	const loading = findLoading(evidence, basis);
	return [...(flexible ? [findFeedRate(evidence, basis)] : []), ...(flexible || loading.n > 0 ? [loading] : [])];
}

/**
 * Between the fastest print that finished and the slowest above it that failed by the filament's fault. Bounds, for a few prints at a few
 * rates have no distribution.
 */
function findFeedRate(evidence: SpoolEvidence, basis: Basis): Finding {
	const counted = outcomes(evidence.attempts, basis.failureRule).counted.flatMap((attempt) =>
		attempt.settings.speedPct === null ? [] : [{ attempt, pct: attempt.settings.speedPct, finished: attempt.outcome === 'finished' }]
	);
	const printed = counted.filter((a) => a.finished).map((a) => a.pct);
	const common = {
		subject: { spoolId: evidence.spool.id, condition: null, pieceId: null },
		context: contextOf(
			evidence,
			counted.map((c) => c.attempt)
		),
		method: 'feedRateBounds',
		source: 'between what printed and what failed; house rule',
		inputs: { used: counted.map((c) => c.attempt.id), excluded: [], revision: evidence.spool.revision }
	};
	if (printed.length === 0) {
		const slowest = counted.length === 0 ? null : Math.min(...counted.map((c) => c.pct));
		const messages: Message[] = slowest === null ? [] : [say('feedRateNone', { slowest, n: counted.length })];
		return makeFinding(feedRate, { ...common, sampling: { kind: 'unknown', reason: say('noFeedRate') }, messages });
	}
	const best = Math.max(...printed);
	const failed = counted.filter((c) => !c.finished && c.pct > best).map((c) => c.pct);
	const high = failed.length ? Math.min(...failed) : null;
	const top = Math.max(feedRate.scale.high, best);
	return makeFinding(feedRate, {
		...common,
		estimate: best,
		n: counted.length,
		interval: { low: best, high: high ?? top, level: null, kind: 'bounds' },
		sampling: { kind: 'bounds', low: best, high: high ?? top },
		messages: [high === null ? say('feedRateOpen', { best }) : say('feedRateBetween', { best, high })],
		figure: { kind: 'steps', lastClean: [best], firstFaulty: [high] }
	});
}

const LOADING = modelOf(loadEffort, 'words');
const WORDS = LOADING.words ?? 0;

function loadingMarks(evidence: SpoolEvidence) {
	const marks = marksFinder(evidence)(evidence.attempts).get(loadEffort.id) ?? [];
	return { marks, counts: marks.filter((r) => r.status === 'counts') };
}

/**
 * How the strand loaded, as priors are learnt from it.
 * @example loadingCells(evidence, basis)[0]?.quantity // 'loadEffort'
 */
export function loadingCells(evidence: SpoolEvidence, basis: Basis): RecordCell[] {
	const { counts } = loadingMarks(evidence);
	if (counts.length === 0) return [];
	const material = materialClass(evidence.spool.material, basis.handbook);
	return [{ quantity: loadEffort.id, kind: null, material, model: LOADING, observed: counts.map((r) => wordAs(r.value, WORDS)) }];
}

function findLoading(evidence: SpoolEvidence, basis: Basis): Finding {
	const { marks, counts } = loadingMarks(evidence);
	const ranks = counts.map((r) => r.value);
	const { parts, cells } = findingOfCell({
		evidence,
		basis,
		quantity: loadEffort.id,
		kind: null,
		model: LOADING,
		observed: ranks.map((rank) => wordAs(rank, WORDS)),
		none: say('noMarks')
	});
	return makeFinding(loadEffort, {
		...parts,
		subject: { spoolId: evidence.spool.id, condition: null, pieceId: null },
		context: contextOf(
			evidence,
			evidence.attempts.filter((a) => counts.some((r) => r.attemptId === a.id))
		),
		inputs: {
			used: counts.map((r) => r.id),
			excluded: marks.filter((r) => r.status === 'excluded').map((r) => r.id),
			revision: evidence.spool.revision
		},
		messages: parts.n === 1 ? [say('onePrint', { cells })] : [],
		figure: { kind: 'words', counts: Array.from({ length: WORDS }, (_, rank) => ranks.filter((r) => r === rank).length) }
	});
}
