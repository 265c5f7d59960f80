import { tQuantile } from '../../kernel/stats/distributions';
import { describe, expect, it } from 'vitest';
import { basis, diameters, evidence } from '../../../../../tests/support/evidence';
import type { Finding } from '../../judging/finding/types';
import { diameterStation } from './station';

// What the formulas are fed with and what becomes of their results: every figure of one spool, worked out by hand (arithmetic) from ten readings at
// five places, in millimetres. Place means 1.755, 1.745, 1.755, 1.745, 1.755; all readings: mean 1.751, squares of deviations 490e-6.
const VALUES = [1.75, 1.76, 1.74, 1.75, 1.76, 1.75, 1.75, 1.74, 1.75, 1.76];
const MICROMETER = { id: 'mic', name: 'Micrometer', quantity: 'length', resolution: 0.001, errorLimit: 0.002, checks: [], studies: [] };
const SD = Math.sqrt(490e-6 / 9);
const SD_OF_MEANS = Math.sqrt(120e-6 / 4);
/** Error limit and step as rectangles, both full widths. */
const STEP = 0.001 / Math.sqrt(12);
const U_INSTRUMENT = Math.hypot(0.002 / Math.sqrt(3), STEP);

const near = (value: number) => expect.closeTo(value, 9) as number;

function find(values: number[], more: Parameters<typeof evidence>[0] = {}, place: object = {}): Record<string, Finding> {
	const readings = diameters(values, { instrumentId: 'mic', resolution: 0.001, ...place });
	const found = diameterStation.find(evidence({ readings, instruments: [MICROMETER], ...more }), basis);
	return Object.fromEntries(found.map((f) => [f.quantity, f]));
}
const message = (finding: Finding | undefined, id: string) => finding?.messages.find((m) => m.id === id);

describe('the mean of a strand, joined', () => {
	const { diameterMean } = find(VALUES);
	const u = Math.hypot(SD_OF_MEANS / Math.sqrt(5), U_INSTRUMENT);
	const df = u ** 4 / ((SD_OF_MEANS / Math.sqrt(5)) ** 4 / 4);

	it('is the mean of the places, with their scatter and the instrument’s uncertainty', () => {
		expect(diameterMean).toMatchObject({ estimate: near(1.751), n: 10, nEffective: 9 });
		// Its own part: the scatter of the places and the step, which rounds each strand in its own way.
		const own = Math.hypot(SD_OF_MEANS / Math.sqrt(5), STEP);
		const ownDf = own ** 4 / ((SD_OF_MEANS / Math.sqrt(5)) ** 4 / 4);
		expect(diameterMean?.sampling).toEqual({ kind: 't', mean: near(1.751), standardError: near(own), df: near(ownDf) });
		// What all strands have in common that were measured with it.
		expect(diameterMean?.shared).toEqual([{ source: 'instrument mic unchecked', sd: near(0.002 / Math.sqrt(3)) }]);
		const half = tQuantile(0.975, df) * u;
		expect(diameterMean?.interval).toEqual({ low: near(1.751 - half), high: near(1.751 + half), level: 0.95, kind: 'confidence' });
	});
	it('draws its places beside the tolerance', () => {
		expect(diameterMean?.figure).toMatchObject({ kind: 'strand', nominalMm: 1.75, toleranceMm: 0.02 });
		expect(diameterMean?.figure.kind === 'strand' && diameterMean.figure.places[1]).toEqual({
			index: 1,
			positionM: null,
			lowMm: 1.74,
			highMm: 1.75
		});
	});
	it('says that only the first metres were read, where no position lies beyond them', () => {
		expect(message(diameterMean, 'firstMetresOnly')).toBeDefined();
		expect(message(find(VALUES, {}, { positionM: 19.9 }).diameterMean, 'firstMetresOnly')).toBeDefined();
		expect(message(find(VALUES, {}, { positionM: 20 }).diameterMean, 'firstMetresOnly')).toBeUndefined();
		expect(message(find(VALUES, { claims: [] }).diameterMean, 'firstMetresOnly')).toBeUndefined();
	});
	it('of one place alone has no interval, and nothing to draw from', () => {
		const { diameterMean: one } = find([1.75, 1.76]);
		expect(one).toMatchObject({ estimate: near(1.755), n: 2, interval: null, word: { id: 'word.onePlace', params: {} } });
		expect(one?.sampling).toEqual({ kind: 'unknown', reason: { id: 'onePlace', params: {} } });
	});
	it('names a reading far from its neighbours', () => {
		const odd = find([1.75, 1.76, 1.74, 1.75, 1.76, 1.75, 1.75, 1.74, 1.75, 1.95]).diameterMean;
		expect(message(odd, 'diameterOdd')?.params).toEqual({ typed: '1.95' });
		expect(message(diameterMean, 'diameterOdd')).toBeUndefined();
	});
});

describe('the spread of a strand, joined', () => {
	const { diameterSpread } = find(VALUES);
	it('has the instrument taken out', () => {
		expect(diameterSpread).toMatchObject({ n: 10, nEffective: 9, estimate: near(Math.sqrt(SD ** 2 - 0.001 ** 2 / 12)) });
		expect(diameterSpread?.sampling).toEqual({
			kind: 'bounds',
			low: diameterSpread?.interval?.low,
			high: diameterSpread?.interval?.high
		});
		expect(message(diameterSpread, 'spreadSeen')?.params).toEqual({
			sd: near(SD),
			own: near(Math.sqrt(SD ** 2 - 0.001 ** 2 / 12)),
			repeat: near(0.001 / Math.sqrt(12))
		});
	});
	it('tells capability against the claim, over all readings', () => {
		expect(message(diameterSpread, 'capability')?.params).toMatchObject({
			pp: near(0.04 / (6 * SD)),
			ppk: near(0.019 / (3 * SD)),
			nEffective: 9
		});
		expect(message(find(VALUES, { claims: [] }).diameterSpread, 'capability')).toBeUndefined();
	});
	it('gives the tolerance interval around the mean of all readings', () => {
		const said = message(diameterSpread, 'toleranceInterval')?.params as { low: number; high: number; k: number; nEffective: number };
		// Two-sided factor for 95 % of the length with 95 % confidence, n = 9 (exact factor; ISO 16269-6).
		expect(said.k).toBeCloseTo(3.546, 3);
		expect(said).toMatchObject({ low: near(1.751 - said.k * SD), high: near(1.751 + said.k * SD), nEffective: 9 });
	});
	it('sees no drift where the places go up and down', () => {
		expect(message(diameterSpread, 'driftNotSeen')?.params).toMatchObject({ of: 'places', slope: near(0), n: 5, per: 'place' });
	});
});

describe('ovality and flow, joined', () => {
	it('ovality is the mean difference of a place’s two readings, drawn by its scatter', () => {
		const { ovality } = find([1.75, 1.76, 1.74, 1.76, 1.75, 1.76, 1.74, 1.76, 1.75, 1.76]);
		// Differences 0.01, 0.02, 0.01, 0.02, 0.01.
		const standardError = Math.sqrt(120e-6 / 4 / 5);
		expect(ovality).toMatchObject({ estimate: near(0.014), n: 5, sampling: { kind: 't', mean: near(0.014), df: null } });
		const half = tQuantile(0.975, 4) * standardError;
		expect(ovality?.interval).toEqual({ low: near(0.014 - half), high: near(0.014 + half), level: 0.95, kind: 'confidence' });
		expect(ovality?.sampling.kind === 't' && ovality.sampling.standardError).toBeCloseTo(half / 1.96, 9);
		expect(ovality?.messages).toEqual([{ id: 'ovalityDefined', params: { n: 5 } }]);
	});
	it('the flow ratio squares nominal over the root mean square', () => {
		const { strandFlowRatio } = find(VALUES);
		// The mean of the squares: the variance over n.
		const rms = Math.sqrt(1.751 ** 2 + (SD ** 2 * 9) / 10);
		expect(strandFlowRatio).toMatchObject({ estimate: near((1.75 / rms) ** 2), n: 10, nEffective: 9 });
		const { low, high } = strandFlowRatio?.interval ?? { low: 0, high: 0 };
		const perMm = (2 * (1.75 / rms) ** 2) / rms;
		const u = Math.hypot(SD_OF_MEANS / Math.sqrt(5), U_INSTRUMENT);
		expect(strandFlowRatio?.sampling).toEqual({
			kind: 't',
			mean: near((1.75 / rms) ** 2),
			standardError: near(perMm * Math.hypot(SD_OF_MEANS / Math.sqrt(5), STEP)),
			df: null
		});
		expect(strandFlowRatio?.shared).toEqual([{ source: 'instrument mic unchecked', sd: near((perMm * 0.002) / Math.sqrt(3)) }]);
		// Both parts together are the range: 1.96 either way of the whole uncertainty, nearly straight.
		expect((high - low) / 3.92 / (perMm * u)).toBeCloseTo(1, 3);
		expect(message(strandFlowRatio, 'flowAdvice')?.params).toEqual({ rms: near(rms), nominal: 1.75 });
		expect(message(strandFlowRatio, 'flowRipple')?.params).toMatchObject({ n: 10, width: 0.45 });
		expect(find([1.75, 1.76]).strandFlowRatio?.sampling).toEqual({ kind: 'unknown', reason: { id: 'onePlace', params: {} } });
		expect(find([]).strandFlowRatio?.sampling).toEqual({ kind: 'unknown', reason: { id: 'noReadings', params: {} } });
	});
});

describe('which readings make a strand', () => {
	it('only diameters of the record that count; a marked invalid one is named', () => {
		const readings = diameters(VALUES, { instrumentId: 'mic', resolution: 0.001 });
		const [first] = readings;
		const out = readings.map((r) => (r === first ? { ...r, status: 'excluded' as const } : r));
		const other = { ...(first as (typeof readings)[0]), id: 'flow', quantity: 'calibratedFlow', value: 0.97 };
		const { diameterMean } = find([], { readings: [...out, other] });
		expect(diameterMean?.n).toBe(9);
		expect(diameterMean?.inputs.excluded).toEqual([first?.id]);
		expect(diameterMean?.inputs.used).not.toContain('flow');
	});
	it('places come in their order, whatever the order of the readings', () => {
		const readings = diameters(VALUES, { instrumentId: 'mic', resolution: 0.001 }).reverse();
		const { diameterMean } = find([], { readings });
		expect(diameterMean?.figure.kind === 'strand' && diameterMean.figure.places.map((p) => p.index)).toEqual([0, 1, 2, 3, 4]);
	});
});
