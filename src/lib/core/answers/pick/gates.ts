import type { RankedFinding } from './ranked-finding';
import type { Gate, GateResult } from './types';

/**
 * Whether a finding meets a gate. Its interval decides: wholly on the good side passes, wholly on the bad side fails, anything else
 * is undecided, and undecided is an answer. `by` is the distance of the estimate from the limit, positive on the good side.
 * An exact value without an interval decides by itself.
 * Source: decision rule with the interval as guard band (JCGM 106, by analogy).
 * @example judgeGate(overhangFinding, 'overhang', { op: 'atLeast', limit: 60 }).state // 'pass'
 */
export function judgeGate(finding: RankedFinding | undefined, quantity: string, gate: Gate): GateResult {
	const none: GateResult = { quantity, gate, state: 'undecided', by: null, n: finding?.n ?? 0 };
	if (!finding || finding.estimate === null) return none;
	const sign = gate.op === 'atLeast' ? 1 : -1;
	const by = sign * (finding.estimate - gate.limit);
	const range = finding.interval ?? (finding.sampling.kind === 'exact' ? { low: finding.estimate, high: finding.estimate } : null);
	if (!range) return { ...none, by };
	const worst = sign === 1 ? range.low : range.high;
	const best = sign === 1 ? range.high : range.low;
	// Nine decimals: a limit of 0.9 must be met by 0.9 computed.
	const meets = (x: number) => sign * (x - gate.limit) >= -1e-9;
	// A figure of the handbook was measured on other spools: alone it leaves a limit undecided.
	const fails = !meets(best) && finding.method !== 'handbook';
	return { ...none, by, state: meets(worst) ? 'pass' : fails ? 'fail' : 'undecided' };
}
