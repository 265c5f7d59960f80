import { describe, expect, it } from 'vitest';
import { attempt, diameters, evidence, mark, basis, quote, reading, weighed } from '../../../../../tests/support/evidence';
import { makeFinding } from '../../judging/finding/make-finding';
import type { QuantityDef } from '../../judging/finding/types';
import { candidatesFrom } from '../pick/candidates';
import { blocksOf, pickFrom } from '../pick/pick-from';
import { moistureStation } from '../../stations/moisture/station';
import { STATIONS } from '../../joins/registry';
import { strengthStation } from '../../stations/strength/station';
import type { Station } from '../../judging/station/station';
import { buildSheet } from './build-sheet';

const unboxed = () => reading({ station: 'intake', quantity: 'nothingOdd', value: 0 });
const build = (
	spools: ReturnType<typeof evidence>[],
	stations: readonly Station[] = STATIONS,
	weights: Record<string, number> = { overhang: 3, costPerGoodKg: 2 }
) => buildSheet({ spools, basis, stations, weights });

describe('trial sheet', () => {
	it('of an empty trial has columns, no rows and no next act', () => {
		const sheet = build([]);
		expect(sheet.rows).toEqual([]);
		expect(sheet.next).toBeNull();
		expect(sheet.columns.map((c) => c.id)).toEqual(['diameterMean', 'printSuccess', 'overhang', 'bridge', 'strings', 'costPerGoodKg']);
	});
	it('names unboxing first, then what weighs and is missing', () => {
		const fresh = evidence({ spool: { code: 'KA1' } });
		expect(build([fresh]).next).toMatchObject({ station: 'intake', spoolId: fresh.spool.id });
		const opened = evidence({ readings: [unboxed()] });
		expect(build([opened]).next).toMatchObject({ station: 'prints', action: 'printPiece' });
	});
	it('is silent when all that was asked is there', () => {
		const print = attempt();
		const whole = evidence({
			readings: [
				unboxed(),
				...diameters([1.75, 1.76, 1.75, 1.75, 1.74, 1.75, 1.76, 1.75, 1.75, 1.75]),
				mark(print, 'overhangLastClean', 65),
				mark(print, 'bridgeLongestClean', 30),
				mark(print, 'strings', 1)
			],
			attempts: [print],
			quotes: [quote()]
		});
		const sheet = build([whole]);
		expect(sheet.next).toBeNull();
		const invited = ['moisture', 'drying', 'strength'];
		expect(sheet.progress.filter((p) => !invited.includes(p.station)).every((p) => p.done === p.total)).toBe(true);
	});
	it('has a column for water or strength where it is weighed or was measured', () => {
		const ids = (spools: ReturnType<typeof evidence>[], weights: Record<string, number>) =>
			build(spools, STATIONS, weights).columns.map((c) => c.id);
		expect(ids([], { waterUptake: 1, strengthLoad: 1 })).toEqual(expect.arrayContaining(['waterUptake', 'strengthLoad']));
		const weighedTwice = evidence({
			readings: weighed([
				[1000, null],
				[1001, 'air']
			])
		});
		expect(ids([weighedTwice], {})).toContain('waterUptake');
		expect(ids([weighedTwice], {})).not.toContain('dryingLoss');
	});
	it('shows what is only sometimes of interest where the pick weighs it, and a look-up never', () => {
		const ids = (weights: Record<string, number>) => build([evidence()], STATIONS, weights).columns.map((c) => c.id);
		expect(ids({})).not.toContain('cornerLift');
		expect(ids({ cornerLift: 3, diameterInside: 2, softening: 1 })).toEqual(expect.arrayContaining(['cornerLift', 'diameterInside']));
		expect(ids({ softening: 1 })).not.toContain('softening');
	});
	it('invites to weigh, dry and load only where that is weighed', () => {
		const looked = evidence({ readings: [unboxed(), ...diameters([1.75, 1.75])], attempts: [attempt()], quotes: [quote()] });
		const nextWith = (weights: Record<string, number>) => build([looked], [moistureStation, strengthStation], weights).next?.action ?? null;
		expect(nextWith({})).toBeNull();
		expect(nextWith({ waterUptake: 2 })).toBe('weigh');
		expect(nextWith({ strengthLoad: 2 })).toBe('loadSpecimen');
	});
	it('is plain JSON: nothing is lost on the wire', () => {
		const sheet = build([evidence({ readings: diameters([1.75, 1.76, 1.74]) }), evidence()]);
		expect(JSON.parse(JSON.stringify(sheet))).toEqual(sheet);
	});
});

describe('a new station', () => {
	const dummyQuantity: QuantityDef = {
		id: 'squeak',
		station: 'dummy',
		unit: 'dB',
		direction: 'less',
		target: null,
		scale: { low: 0, high: 100 },
		prior: { low: 0, high: 100 },
		differenceThatMatters: 5,
		figure: 'dot',
		onSheet: true,
		family: null,
		name: 'Squeak'
	};
	const dummy: Station = {
		id: 'dummy',
		quantities: () => [dummyQuantity],
		find: (e) => [
			makeFinding(dummyQuantity, {
				subject: { spoolId: e.spool.id, condition: null, pieceId: null },
				estimate: e.spool.code === 'KA1' ? 20 : 60,
				n: 3,
				interval: { low: 18, high: 62, level: 0.95, kind: 'confidence' },
				sampling: { kind: 'exact', value: e.spool.code === 'KA1' ? 20 : 60 },
				method: 'dummy',
				source: 'test',
				figure: { kind: 'dot', points: [20] }
			})
		],
		next: () => []
	};

	it('shows in sheet and pick through one line in the registry', () => {
		const registry = [...STATIONS, dummy];
		const spools = [evidence({ spool: { code: 'KA1' } }), evidence({ spool: { code: 'KA2' } })];
		const sheet = build(spools, registry);
		expect(sheet.columns.at(-1)?.id).toBe('squeak');
		expect(sheet.rows[0]?.cells.at(-1)?.findings[0]?.estimate).toBe(20);
		const { candidates, defs } = candidatesFrom({ spools, basis, stations: registry });
		const input = { candidates, defs, criteria: [{ quantity: 'squeak', weight: 5, gate: null }], rule: 'weighted' as const };
		const { rows } = pickFrom(input, blocksOf(input, 100, 1));
		expect(rows.map((r) => [r.code, Number(r.score.toFixed(9))])).toEqual([
			['KA1', 0.8],
			['KA2', 0.4]
		]);
	});
});
