import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testDatabase, type TestDatabase } from '../../../tests/support/database';
import { instrumentBody, instrumentCheckBody } from '../schemas/amendment';
import type { FieldError } from '../schemas/field-error';
import { read } from '../schemas/read';
import { readingBody } from '../schemas/reading';
import { intakeBody } from '../schemas/spool';
import { instrumentCheck } from './db/schema';
import { takeIn } from './intake/take-in';
import { Problem } from './problem';
import { postReading } from './readings/post';
import { loadSpool } from './spools/load';
import { postInstrumentCheck } from './workshop/checks';
import { listWorkshop, postInstrument } from './workshop/workshop';

const NOW = Date.parse('2026-10-10T12:00:00Z');
const AT = new Date(NOW).toISOString();
let t: TestDatabase;
beforeAll(async () => (t = await testDatabase()));
afterAll(() => t.close());

function checked<S extends Parameters<typeof read>[0]>(schema: S, input: object) {
	const parsed = read(schema, { id: v7(), ...input });
	if (!parsed.ok) throw new Problem(422, 'schema', parsed.errors);
	return parsed.value;
}
async function errorsOf(work: () => Promise<unknown>): Promise<FieldError[]> {
	try {
		await work();
	} catch (error) {
		if (error instanceof Problem) return error.errors;
		throw error;
	}
	throw new Error('was not refused');
}
const caliper = async () =>
	(await postInstrument(t.db, checked(instrumentBody, { name: 'Caliper', errorLimit: '0.02 mm', resolution: '0.01 mm' }), NOW)).answer.id;
const check = async (instrumentId: string, given: object) =>
	await postInstrumentCheck(t.db, checked(instrumentCheckBody, { instrumentId, reference: '1.700 mm', at: AT, ...given }), NOW);

describe('check of an instrument', () => {
	it('keeps its raw readings, and what was measured with it is judged anew', async () => {
		const instrumentId = await caliper();
		const { spoolId } = (await takeIn(t.db, checked(intakeBody, { material: 'PETG', at: AT, labelTolerance: '0.02 mm' }), NOW)).answer;
		for (const [i, typed] of ['1.76', '1.77', '1.76', '1.75', '1.76', '1.76'].entries())
			await postReading(
				t.db,
				checked(readingBody, { spoolId, quantity: 'diameter', typed, instrumentId, takenAt: AT, placeIndex: Math.floor(i / 2) }),
				NOW
			);
		const mean = async () => (await loadSpool(t.db, spoolId, NOW)).findings.find((f) => f.quantity === 'diameterMean');
		const before = await mean();
		await check(instrumentId, { referenceLimit: '0.001', readings: ['1.71', '1,71 mm', '1.71', '0.0677 in'] });
		const after = await mean();
		const bias = (1.71 * 3 + 0.0677 * 25.4) / 4 - 1.7;
		expect(after?.estimate).toBeCloseTo((before?.estimate ?? 0) - bias, 9);
		expect(after?.messages.map((m) => m.id)).toContain('biasTaken');
		expect(after?.interval?.high).toBeLessThan(before?.interval?.high as number);
		const [row] = await t.db.select().from(instrumentCheck);
		expect(row?.readings?.map((r) => r.typed)).toEqual(['1.71', '1,71 mm', '1.71', '0.0677 in']);
		expect((await listWorkshop(t.db)).instruments.find((i) => i.id === instrumentId)?.checks).toMatchObject([{ n: 4, reference: 1.7 }]);
	});
	it('refuses a reading by its place, and stores nothing', async () => {
		const instrumentId = await caliper();
		const before = (await t.db.select().from(instrumentCheck)).length;
		expect(await errorsOf(() => check(instrumentId, { readings: ['1.71', 'stone', '1.7 kg'] }))).toMatchObject([
			{ path: 'readings.1' },
			{ path: 'readings.2', code: 'unknownUnit' }
		]);
		expect(await errorsOf(() => check(instrumentId, { readings: ['1.71', '17.1'] }))).toMatchObject([
			{ path: 'readings.1', code: 'outOfRange' }
		]);
		expect(await errorsOf(() => check(instrumentId, { readings: [] }))).toMatchObject([{ path: 'readings' }]);
		expect(await errorsOf(() => check(v7(), { readings: ['1.71'] }))).toMatchObject([{ path: 'instrumentId' }]);
		expect(await t.db.select().from(instrumentCheck)).toHaveLength(before);
	});
	it('the same check sent twice is kept once', async () => {
		const instrumentId = await caliper();
		const body = checked(instrumentCheckBody, { instrumentId, reference: '1.7', readings: ['1.70'], at: AT });
		await postInstrumentCheck(t.db, body, NOW);
		expect((await postInstrumentCheck(t.db, body, NOW)).repeated).toBe(true);
		expect((await listWorkshop(t.db)).instruments.find((i) => i.id === instrumentId)?.checks).toHaveLength(1);
	});
});
