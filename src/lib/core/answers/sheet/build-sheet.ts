import { ascending } from 'd3-array';
import { compare, type Flag } from '../../judging/compare/compare';
import type { SpoolEvidence } from '../../record/evidence/spool-evidence';
import type { Basis } from '../../judging/trial/basis';
import type { Finding, Missing, QuantityDef } from '../../judging/finding/types';
import type { Station } from '../../judging/station/station';
import { selectFindings } from './select';

export type SheetCell = { quantity: string; findings: Finding[]; letters: string };
type SheetRow = { spoolId: string; cells: SheetCell[]; missing: Missing[] };
type NextAct = Missing & { spoolId: string };
type StationProgress = { station: string; done: number; total: number };
export type Sheet = { columns: QuantityDef[]; rows: SheetRow[]; flags: Flag[]; next: NextAct | null; progress: StationProgress[] };

/**
 * The trial sheet: spools down, quantities across, every cell a finding or what is missing. Knows no station by name.
 * @param spools evidence in the order of the trial
 * @param weights weight of each quantity in the pick: an empty cell that weighs more is filled first
 * @example buildSheet({ spools, basis, stations: STATIONS, weights: { overhang: 3 } }).next // the next useful act
 */
export function buildSheet(given: {
	spools: readonly SpoolEvidence[];
	basis: Basis;
	stations: readonly Station[];
	weights: Readonly<Record<string, number>>;
	/** Quantities that the tester does not measure: no column, and nothing asks for them. */
	away?: ReadonlySet<string>;
}): Sheet {
	const { spools, basis, weights, away = NOTHING } = given;
	const stations = given.stations.filter((s) => !isAway(s, basis, away));
	const defs = stations.flatMap((s) => s.quantities(basis));
	const found = spools.map((evidence) => ({
		evidence,
		byStation: stations.map((s) => ({ station: s, findings: s.find(evidence, basis) }))
	}));
	const uninvited = new Set(stations.filter((s) => s.invited).map((s) => s.id));
	// What nobody weighs and nobody measured is no column: an invitation must not fill the sheet with empty cells.
	const seen = new Set(
		found.flatMap(({ byStation }) => byStation.flatMap((b) => b.findings.filter((f) => f.n > 0).map((f) => f.quantity)))
	);
	const columns = defs.filter((d) => {
		if (away.has(d.id)) return false;
		if ((weights[d.id] ?? 0) > 0) return d.onSheet !== false;
		if (d.onSheet === 'seen') return seen.has(d.id);
		return d.onSheet === true && (!uninvited.has(d.station) || seen.has(d.id));
	});
	const chosen = found.map(({ byStation }) => {
		const all = byStation.flatMap((b) => b.findings);
		return new Map(columns.map((def) => [def.id, selectFindings(all, def.id, basis)]));
	});
	const comparisons = new Map(
		columns.map((def) => [
			def.id,
			compare(
				chosen.flatMap((c) => c.get(def.id)?.slice(0, 1) ?? []),
				def,
				basis
			)
		])
	);
	const rows = found.map(({ evidence, byStation }, i): SheetRow => ({
		spoolId: evidence.spool.id,
		cells: columns.map((def) => ({
			quantity: def.id,
			findings: chosen[i]?.get(def.id) ?? [],
			letters: comparisons.get(def.id)?.letters[evidence.spool.id] ?? ''
		})),
		missing: byStation.flatMap(({ station, findings }) => station.next(findings, basis))
	}));
	return {
		columns,
		rows,
		flags: [...comparisons.values()].flatMap((c) => c.flags),
		next: nextAct(rows, stations, weights, defs),
		progress: stations.map((station) => ({
			station: station.id,
			total: rows.length,
			done: rows.filter((row) => !row.missing.some((m) => m.station === station.id)).length
		}))
	};
}

const NOTHING: ReadonlySet<string> = new Set();

/** Whether all that a station measures is put away. */
function isAway(station: Station, basis: Basis, away: ReadonlySet<string>): boolean {
	const quantities = station.quantities(basis).filter((d) => d.onSheet !== false);
	return quantities.length > 0 && quantities.every((d) => away.has(d.id));
}

/** Intake first; then what is weighed and wholly missing, then what is weighed and wants more, then what is only invited, then the rest. */
function urgency(station: string, empty: boolean, weighed: boolean, invited: boolean): number {
	if (station === 'intake') return 0;
	if (invited) return 3;
	if (!weighed) return 4;
	return empty ? 1 : 2;
}

/**
 * One next step for the whole trial: what weighs most and is missing altogether comes first, then working order, then the order of spools.
 * Intake is always first: a spool that has not been looked at cannot be judged. Stations that only invite are left out where nothing
 * of theirs is weighed.
 */
function nextAct(
	rows: readonly SheetRow[],
	stations: readonly Station[],
	weights: Readonly<Record<string, number>>,
	defs: readonly QuantityDef[]
): NextAct | null {
	const stationWeight = (id: string) => Math.max(0, ...defs.filter((d) => d.station === id).map((d) => weights[d.id] ?? 0));
	const order = stations.map((s) => s.id);
	const invited = new Set(stations.filter((s) => s.invited).map((s) => s.id));
	const acts = rows.flatMap((row, position) =>
		row.missing.flatMap((m) => {
			// What would change no answer is not asked for.
			if (invited.has(m.station) && stationWeight(m.station) === 0) return [];
			const empty = row.cells
				.filter((c) => defs.some((d) => d.id === c.quantity && d.station === m.station))
				.every((c) => (c.findings[0]?.n ?? 0) === 0);
			const first = urgency(m.station, empty, stationWeight(m.station) > 0, invited.has(m.station));
			return [
				{ act: { ...m, spoolId: row.spoolId }, key: [first, -stationWeight(m.station), order.indexOf(m.station), position] as const }
			];
		})
	);
	acts.sort(
		(a, b) =>
			ascending(a.key[0], b.key[0]) || ascending(a.key[1], b.key[1]) || ascending(a.key[2], b.key[2]) || ascending(a.key[3], b.key[3])
	);
	return acts[0]?.act ?? null;
}
