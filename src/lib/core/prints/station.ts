import { conditionAt } from '../conditions/condition-at';
import type { Attempt, LentScatter, Protocol, Reading, SpoolEvidence } from '../evidence';
import { makeFinding } from '../finding/make-finding';
import { LEAST_REPEATS, lentFor } from '../house/lent-scatter';
import { meanInterval, tQuantile } from '../stats/mean-interval';
import type { ConditionKind, Finding, Message, Missing, QuantityDef } from '../finding/types';
import type { Station } from '../station';
import { wilsonInterval } from '../stats/wilson';
import { contextOf } from './context';
import { ladder, type Rung } from './ladder';
import { ordinal } from './ordinal';
import { outcomes } from './outcomes';
import { bridge, overhang, printSuccess, strings } from './quantities';
import { wetAndDry, wetDryMessage } from './wet-dry';

/** Steps assumed where the piece does not state them. */
const OVERHANG_STEP_DEG = 5;
const BRIDGE_STEP_MM = 5;

/** The readings (marks) each ladder is read from. */
const LADDER_MARKS = {
	overhang: { lastClean: 'overhangLastClean', firstFaulty: 'overhangFirstFaulty' },
	bridge: { lastClean: 'bridgeLongestClean', firstFaulty: 'bridgeFirstFaulty' }
} as const;

export const printsStation: Station = {
	id: 'prints',
	quantities: () => [printSuccess, overhang, bridge, strings],
	find(evidence, protocol) {
		const marks = groups(evidence, protocol).flatMap(({ condition, pieceId, attempts }) => [
			findLadder(overhang, evidence, protocol, condition, pieceId, attempts),
			findLadder(bridge, evidence, protocol, condition, pieceId, attempts),
			findStrings(evidence, protocol, condition, pieceId, attempts)
		]);
		return [findSuccess(evidence), ...withWetDry(marks, evidence)];
	},
	lends: (evidence, protocol) => lends(evidence, protocol),
	next(findings, protocol) {
		const seen = new Map<string, Missing>();
		for (const f of findings.filter((x) => x.subject.pieceId === protocol.mainPieceId || x.subject.pieceId === null))
			for (const m of f.missing) if (!seen.has(m.action)) seen.set(m.action, m);
		return [...seen.values()];
	}
};

/** What drying did is said with the marks printed after it. */
function withWetDry(marks: Finding[], evidence: SpoolEvidence): Finding[] {
	if (!marks.some((f) => f.subject.condition === 'dried' && f.n > 0)) return marks;
	const compared = wetAndDry(evidence);
	return marks.map((finding) => {
		const of = compared.find((w) => w.quantity === finding.quantity);
		return of && finding.subject.condition === 'dried' && finding.n > 0
			? { ...finding, messages: [...finding.messages, wetDryMessage(of)] }
			: finding;
	});
}

type Group = { condition: ConditionKind; pieceId: string; attempts: Attempt[] };

/** A mark belongs to a piece in a condition, never to a spool: the groups that have attempts, and the one the protocol wants. */
function groups(evidence: SpoolEvidence, protocol: Protocol): Group[] {
	const byKey = new Map<string, Group>();
	const wanted: ConditionKind = protocol.conditionPolicy === 'driedFirst' ? 'dried' : 'asReceived';
	byKey.set(`${wanted} ${protocol.mainPieceId}`, { condition: wanted, pieceId: protocol.mainPieceId, attempts: [] });
	for (const attempt of evidence.attempts) {
		const condition = conditionAt(evidence.events, attempt.at).kind;
		const key = `${condition} ${attempt.pieceId}`;
		const group = byKey.get(key) ?? { condition, pieceId: attempt.pieceId, attempts: [] };
		group.attempts.push(attempt);
		byKey.set(key, group);
	}
	return [...byKey.values()];
}

function marksOf(evidence: SpoolEvidence, attempts: readonly Attempt[], quantity: string): Reading[] {
	const ids = new Set(attempts.filter((a) => a.status === 'counts').map((a) => a.id));
	return evidence.readings.filter(
		(r) => r.station === 'prints' && r.quantity === quantity && r.attemptId !== null && ids.has(r.attemptId) && r.value !== null
	);
}

function missingPrints(have: number, protocol: Protocol, action: 'printPiece' | 'markPiece', pieceId: string): Missing[] {
	const wanted = protocol.repeats - have;
	return wanted <= 0
		? []
		: [
				{
					action,
					station: 'prints',
					count: wanted,
					minutes: wanted * (action === 'printPiece' ? 60 : 1),
					params: { count: wanted, pieceId }
				}
			];
}

/** A print without its mark wants looking at, not printing again. */
function missingMarks(marked: number, attempts: readonly Attempt[], protocol: Protocol, pieceId: string): Missing[] {
	if (pieceId !== protocol.mainPieceId) return [];
	const printed = attempts.filter((a) => a.status === 'counts' && a.outcome === 'finished').length;
	return printed > marked && marked < protocol.repeats
		? missingPrints(marked, { ...protocol, repeats: Math.min(printed, protocol.repeats) }, 'markPiece', pieceId)
		: missingPrints(marked, protocol, 'printPiece', pieceId);
}

function inputs(evidence: SpoolEvidence, marks: readonly Reading[]) {
	return {
		used: marks.filter((r) => r.status === 'counts').map((r) => r.id),
		excluded: marks.filter((r) => r.status === 'excluded').map((r) => r.id),
		revision: evidence.spool.revision
	};
}

function findLadder(
	def: QuantityDef & { id: string },
	evidence: SpoolEvidence,
	protocol: Protocol,
	condition: ConditionKind,
	pieceId: string,
	attempts: readonly Attempt[]
): Finding {
	const names = LADDER_MARKS[def.id as keyof typeof LADDER_MARKS];
	const piece = evidence.pieces.find((p) => p.id === pieceId);
	const step = def.id === 'overhang' ? (piece?.overhangStepDeg ?? OVERHANG_STEP_DEG) : (piece?.bridgeStepMm ?? BRIDGE_STEP_MM);
	const cleanMarks = marksOf(evidence, attempts, names.lastClean);
	const faultyMarks = marksOf(evidence, attempts, names.firstFaulty);
	const rungs: Rung[] = cleanMarks
		.filter((r) => r.status === 'counts')
		.map((clean) => {
			const faulty = faultyMarks.find((f) => f.attemptId === clean.attemptId && f.status === 'counts');
			return { lastClean: clean.value as number, firstFaulty: faulty?.value ?? null };
		});
	const lent = lentFor(protocol, def.id, pieceId);
	const result = ladder(rungs, step, lent);
	const common = {
		subject: { spoolId: evidence.spool.id, condition, pieceId },
		context: contextOf(
			evidence,
			attempts.filter((a) => a.status === 'counts')
		),
		method: rungs.length > 1 ? 'ladderMean' : lent ? 'ladderBorrowed' : 'ladderBounds',
		source: 'ISO 2602; GUM 4.3.7; one print widened by one step (common practice, no source)',
		inputs: inputs(evidence, [...cleanMarks, ...faultyMarks]),
		missing: missingMarks(rungs.length, attempts, protocol, pieceId)
	};
	if (result === null) return makeFinding(def, { ...common, sampling: { kind: 'unknown', reason: { id: 'noMarks', params: {} } } });
	return makeFinding(def, {
		...common,
		...result,
		messages: result.n === 1 ? [oneOnly(lent)] : [],
		figure: { kind: 'steps', lastClean: rungs.map((r) => r.lastClean), firstFaulty: rungs.map((r) => r.firstFaulty) }
	});
}

function findStrings(
	evidence: SpoolEvidence,
	protocol: Protocol,
	condition: ConditionKind,
	pieceId: string,
	attempts: readonly Attempt[]
): Finding {
	const marks = marksOf(evidence, attempts, 'strings');
	const counted = marks.filter((r) => r.status === 'counts');
	const words = strings.words?.length ?? 0;
	const result = ordinal(
		counted.map((r) => r.value as number),
		words
	);
	const common = {
		subject: { spoolId: evidence.spool.id, condition, pieceId },
		context: contextOf(
			evidence,
			attempts.filter((a) => a.status === 'counts')
		),
		method: 'ordinal',
		source: 'Dirichlet counts, prior 1/2 a word',
		inputs: inputs(evidence, marks),
		missing: missingMarks(counted.length, attempts, protocol, pieceId)
	};
	if (result === null) return makeFinding(strings, { ...common, sampling: { kind: 'unknown', reason: { id: 'noMarks', params: {} } } });
	const lent = counted.length === 1 ? lentFor(protocol, strings.id, pieceId) : null;
	return makeFinding(strings, {
		...common,
		n: counted.length,
		...(lent
			? borrowedMark(result.estimate, words, lent)
			: { estimate: result.estimate, interval: result.interval, sampling: result.sampling }),
		messages: counted.length === 1 ? [oneOnly(lent)] : [],
		figure: { kind: 'words', counts: result.counts }
	});
}

/** One mark in words with the scatter that the house spool lends, clipped to the words. */
function borrowedMark(estimate: number, words: number, lent: LentScatter): Pick<Finding, 'estimate' | 'interval' | 'sampling'> {
	const half = tQuantile(0.975, lent.df) * lent.sd;
	return {
		estimate,
		interval: { low: Math.max(0, estimate - half), high: Math.min(words - 1, estimate + half), level: 0.95, kind: 'confidence' },
		sampling: { kind: 't', mean: estimate, standardError: lent.sd, df: lent.df }
	};
}

/** What is said where one print has to do. */
const oneOnly = (lent: LentScatter | null): Message =>
	lent ? { id: 'borrowedScatter', params: { code: lent.code, n: lent.n } } : { id: 'onePrint', params: {} };

/** Scatter between this spool's prints of the main piece, as received; a column without scatter lends half a step (it cannot be none). */
function lends(evidence: SpoolEvidence, protocol: Protocol): LentScatter[] {
	const pieceId = protocol.mainPieceId;
	const attempts = evidence.attempts.filter((a) => a.pieceId === pieceId && conditionAt(evidence.events, a.at).kind === 'asReceived');
	const piece = evidence.pieces.find((p) => p.id === pieceId);
	return [
		{ quantity: overhang.id, mark: LADDER_MARKS.overhang.lastClean, least: (piece?.overhangStepDeg ?? OVERHANG_STEP_DEG) / 2 },
		{ quantity: bridge.id, mark: LADDER_MARKS.bridge.lastClean, least: (piece?.bridgeStepMm ?? BRIDGE_STEP_MM) / 2 },
		{ quantity: strings.id, mark: 'strings', least: 0.5 }
	].flatMap(({ quantity, mark, least }) => {
		const over = meanInterval(
			marksOf(evidence, attempts, mark)
				.filter((r) => r.status === 'counts')
				.map((r) => r.value as number)
		);
		if (over.sd === null || over.n < LEAST_REPEATS) return [];
		return [
			{ quantity, subject: pieceId, sd: Math.max(over.sd, least), df: over.df, n: over.n, code: evidence.spool.code, relative: false }
		];
	});
}

/** Success over all pieces and conditions of the spool; drawn from the Jeffreys beta, shown with Wilson. */
function findSuccess(evidence: SpoolEvidence): Finding {
	const { finished, failed, notCounted, counted } = outcomes(evidence.attempts);
	const n = finished + failed;
	const common = {
		subject: { spoolId: evidence.spool.id, condition: null, pieceId: null },
		context: contextOf(evidence, counted),
		method: 'successShare',
		source: 'Wilson 1927; drawn from Beta(x + 1/2, n - x + 1/2) (Jeffreys)',
		inputs: {
			used: counted.map((a) => a.id),
			excluded: evidence.attempts.filter((a) => a.status === 'excluded').map((a) => a.id),
			revision: evidence.spool.revision
		},
		missing: n === 0 ? [{ action: 'printPiece', station: 'prints', count: 1, minutes: 60, params: { count: 1 } }] : []
	};
	const leftOut: Message[] = notCounted > 0 ? [{ id: 'failuresNotCounted', params: { count: notCounted } }] : [];
	if (n === 0)
		return makeFinding(printSuccess, {
			...common,
			sampling: { kind: 'unknown', reason: { id: 'noPrints', params: {} } },
			messages: leftOut
		});
	const wilson = wilsonInterval(finished, n) as { low: number; high: number };
	return makeFinding(printSuccess, {
		...common,
		estimate: finished / n,
		n,
		interval: { ...wilson, level: 0.95, kind: 'confidence' },
		sampling: { kind: 'beta', a: finished + 0.5, b: failed + 0.5 },
		messages: [{ id: 'successCount', params: { finished, n } }, ...leftOut],
		figure: { kind: 'share', successes: finished, n }
	});
}
