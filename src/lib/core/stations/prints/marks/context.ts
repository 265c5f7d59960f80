import { conditionOf } from '../../../record/conditions/condition-at';
import { UNCHANGED, type Attempt } from '../../../record/evidence/attempt';
import type { SpoolEvidence } from '../../../record/evidence/spool-evidence';
import { EMPTY_CONTEXT } from '../../../judging/finding/make-finding';
import type { FindingContext } from '../../../judging/finding/types';

const distinct = (values: (string | null)[]): string[] => [...new Set(values.filter((v): v is string => v !== null))].sort();

/**
 * What a set of attempts had in common or not: the printers, nozzles, settings and conditions behind a finding.
 * A setting that was not noted is left out: it may have been equal.
 * @example contextOf(evidence, attempts).printers // ['North']
 */
export function contextOf(evidence: SpoolEvidence, attempts: readonly Attempt[]): FindingContext {
	const times = attempts.map((a) => a.at);
	return {
		...EMPTY_CONTEXT,
		printers: distinct(attempts.map((a) => a.printer)),
		nozzles: distinct(attempts.map((a) => a.nozzle)),
		settings: [...settingsOf(attempts), ...changesOf(attempts)],
		conditions: [...new Set(attempts.map((a) => conditionOf(evidence, a).kind))],
		pieces: distinct(attempts.map((a) => pieceName(evidence, a.pieceId))),
		lots: evidence.spool.lot ? [evidence.spool.lot] : [],
		from: times.length ? Math.min(...times) : null,
		to: times.length ? Math.max(...times) : null
	};
}

/** Changes while it printed; of prints that were left alone nothing is said unless others were not. */
function changesOf(attempts: readonly Attempt[]): FindingContext['settings'] {
	if (attempts.every((a) => a.midPrint === null)) return [];
	return distinct(attempts.map((a) => a.midPrint ?? UNCHANGED)).map((value) => ({ name: 'midPrint', value }));
}

function settingsOf(attempts: readonly Attempt[]): FindingContext['settings'] {
	const seen = new Map<string, { name: string; value: number | string }>();
	for (const { settings, setUp } of attempts)
		for (const [name, value] of [...Object.entries(settings), ...Object.entries(setUp)])
			if (value !== null && value !== '') seen.set(`${name} ${value}`, { name, value });
	const order = (a: number | string, b: number | string) => (typeof a === 'number' && typeof b === 'number' ? a - b : a < b ? -1 : 1);
	return [...seen.values()].sort((a, b) => (a.name === b.name ? order(a.value, b.value) : a.name < b.name ? -1 : 1));
}

/**
 * Name and version of a piece; null where it is not known.
 * @example pieceName(evidence, 'ladder-2') // 'Ladder 2'
 */
export function pieceName(evidence: SpoolEvidence, pieceId: string): string | null {
	const piece = evidence.pieces.find((p) => p.id === pieceId);
	return piece ? `${piece.name} ${piece.version}` : null;
}
