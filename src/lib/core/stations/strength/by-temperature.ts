import { toldApart } from '../../judging/compare/apart';
import type { Finding, QuantityDef } from '../../judging/finding/types';

/** One kind of test part at several nozzle temperatures, coldest first, C. */
export type ByTemperature = {
	quantity: string;
	kind: string;
	at: { nozzleC: number; finding: Finding }[];
	/** The two neighbouring temperatures between which it changes most, where they can be told apart; C. */
	jump: { fromC: number; toC: number; stronger: boolean } | null;
};

/**
 * Findings of test parts of one spool by the temperature they were printed at, and where strength jumps.
 * Source: neighbours told apart as in a column (Welch, Bonferroni over the steps).
 * @param findings of one spool, those of strength among them
 * @example byTemperature(findings, defs)[0]?.jump // { fromC: 230, toC: 240, stronger: true }
 */
export function byTemperature(findings: readonly Finding[], defs: readonly QuantityDef[]): ByTemperature[] {
	return defs
		.filter((d) => d.station === 'strength')
		.flatMap((def) => {
			const told = findings.flatMap((finding) => {
				const [setting, more] = finding.context.settings.filter((s) => s.name === 'nozzleC');
				const [kind] = finding.context.variants;
				const isOne = finding.quantity === def.id && finding.n > 0 && kind !== undefined && setting !== undefined && more === undefined;
				return isOne ? [{ kind, nozzleC: Number(setting.value), finding }] : [];
			});
			return [...new Set(told.map((t) => t.kind))].flatMap((kind) => {
				const at = told.filter((t) => t.kind === kind).sort((a, b) => a.nozzleC - b.nozzleC);
				return at.length < 2
					? []
					: [{ quantity: def.id, kind, at: at.map(({ nozzleC, finding }) => ({ nozzleC, finding })), jump: jumpOf(at, def) }];
			});
		});
}

function jumpOf(at: readonly { nozzleC: number; finding: Finding }[], def: QuantityDef): ByTemperature['jump'] {
	const steps = at.slice(1).flatMap((to, i) => {
		const from = at[i];
		if (!from || from.finding.estimate === null || to.finding.estimate === null) return [];
		if (!toldApart(from.finding, to.finding, def, at.length - 1)) return [];
		const change = to.finding.estimate - from.finding.estimate;
		return [{ fromC: from.nozzleC, toC: to.nozzleC, stronger: change > 0, size: Math.abs(change) }];
	});
	const [largest] = steps.sort((a, b) => b.size - a.size);
	return largest ? { fromC: largest.fromC, toC: largest.toC, stronger: largest.stronger } : null;
}
