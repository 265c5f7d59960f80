import type { MaterialFigures } from '../../judging/handbook/figures';
import { materialOf } from '../../judging/handbook/material-of';

export type LoadLimit = {
	/** Lowest upper end of the drying ranges; null when no material of the load has one. */
	dryingHighC: number | null;
	dryingHighOf: string | null;
	/** Lowest softening limit; null when no material of the load has one. */
	softeningC: number | null;
	softeningOf: string | null;
	/** Longest of the shortest times, in hours. */
	hours: number | null;
	unknown: string[];
};

/**
 * What a load of several materials allows: the lower limit of all counts, the longest time.
 * Source: common practice, no source; the figures are the handbook's.
 * @example loadLimit(['PLA', 'PETG'], handbook).dryingHighC // 50
 */
export function loadLimit(materials: readonly string[], handbook: readonly MaterialFigures[]): LoadLimit {
	const known = materials.map((name) => ({ name, figures: materialOf(name, handbook) }));
	const lowest = (of: (f: MaterialFigures) => number | undefined) =>
		known
			.flatMap(({ name, figures }) => {
				const value = figures ? of(figures) : undefined;
				return value === undefined ? [] : [{ name, value }];
			})
			.sort((a, b) => a.value - b.value)[0] ?? null;
	const drying = lowest((f) => f.dryingC?.high);
	const soft = lowest(softeningLimit);
	const hours = known.flatMap(({ figures }) => (figures?.dryingH ? [figures.dryingH.low] : []));
	return {
		dryingHighC: drying?.value ?? null,
		dryingHighOf: drying?.name ?? null,
		softeningC: soft?.value ?? null,
		softeningOf: soft?.name ?? null,
		hours: hours.length ? Math.max(...hours) : null,
		unknown: [...new Set(known.filter((k) => !k.figures?.softeningC && !k.figures?.dryingC).map((k) => k.name))]
	};
}

/**
 * The temperature at which a load softens, where that is what limits drying. A material whose drying range reaches its softening
 * limit (polyamides: theirs is that of the dry, unloaded state) is judged by its drying range alone.
 */
function softeningLimit(figures: MaterialFigures | null): number | undefined {
	const soft = figures?.softeningC?.low;
	const high = figures?.dryingC?.high;
	return soft !== undefined && (high === undefined || high < soft) ? soft : undefined;
}

export type SetPointVerdict =
	| { kind: 'ok' }
	/** At or over the softening limit: refused. */
	| { kind: 'softens'; limitC: number; of: string }
	/** Over the drying range but under the softening limit, or nothing known of a material: to be confirmed. */
	| { kind: 'aboveRange'; limitC: number; of: string }
	| { kind: 'unknownMaterial'; of: string };

/**
 * Whether a set-point may be used for a load. At the softening limit the strand deforms and turns of it fuse.
 * Source: handbook figures; common practice, no source, for the rule.
 * @example judgeSetPoint(65, ['PLA'], handbook) // { kind: 'softens', limitC: 55, of: 'PLA' }
 */
export function judgeSetPoint(setPointC: number, materials: readonly string[], handbook: readonly MaterialFigures[]): SetPointVerdict {
	let above: SetPointVerdict = { kind: 'ok' };
	for (const name of materials) {
		const figures = materialOf(name, handbook);
		const high = figures?.dryingC?.high ?? null;
		const soft = softeningLimit(figures) ?? null;
		if (soft !== null && setPointC >= soft) return { kind: 'softens', limitC: soft, of: name };
		if (above.kind !== 'ok') continue;
		if (high !== null && setPointC > high) above = { kind: 'aboveRange', limitC: high, of: name };
		else if (high === null) above = { kind: 'unknownMaterial', of: name };
	}
	return above;
}
