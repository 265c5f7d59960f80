import { conditionAt } from '../conditions/condition-at';
import type { Attempt, Protocol, Reading, SpoolEvidence } from '../evidence';
import { makeFinding } from '../finding/make-finding';
import type { ConditionKind, Finding, Message, Missing, QuantityDef } from '../finding/types';
import type { Station } from '../station';
import { wilsonInterval } from '../stats/wilson';
import { contextOf } from './context';
import { ladder, type Rung } from './ladder';
import { ordinal } from './ordinal';
import { outcomes } from './outcomes';
import { bridge, overhang, printSuccess, strings } from './quantities';

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
		return [findSuccess(evidence), ...marks];
	},
	next(findings, protocol) {
		const seen = new Map<string, Missing>();
		for (const f of findings.filter((x) => x.subject.pieceId === protocol.mainPieceId || x.subject.pieceId === null))
			for (const m of f.missing) if (!seen.has(m.action)) seen.set(m.action, m);
		return [...seen.values()];
	}
};

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
	const result = ladder(rungs, step);
	const common = {
		subject: { spoolId: evidence.spool.id, condition, pieceId },
		context: contextOf(
			evidence,
			attempts.filter((a) => a.status === 'counts')
		),
		method: rungs.length > 1 ? 'ladderMean' : 'ladderBounds',
		source: 'ISO 2602; GUM 4.3.7; one print widened by one step (common practice, no source)',
		inputs: inputs(evidence, [...cleanMarks, ...faultyMarks]),
		missing: missingMarks(rungs.length, attempts, protocol, pieceId)
	};
	if (result === null) return makeFinding(def, { ...common, sampling: { kind: 'unknown', reason: { id: 'noMarks', params: {} } } });
	return makeFinding(def, {
		...common,
		...result,
		messages: result.n === 1 ? [{ id: 'onePrint', params: {} }] : [],
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
	return makeFinding(strings, {
		...common,
		estimate: result.estimate,
		n: counted.length,
		interval: result.interval,
		sampling: result.sampling,
		messages: counted.length === 1 ? [{ id: 'onePrint', params: {} }] : [],
		figure: { kind: 'words', counts: result.counts }
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
