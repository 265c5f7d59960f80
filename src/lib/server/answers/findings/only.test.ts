import { describe, expect, it } from 'vitest';
import { attempt, event, evidence, quote, reading, specimen } from '../../../../../tests/support/evidence';
import { lightEvidence, onlyStation } from './only';

const print = attempt();
const whole = evidence({
	readings: [
		reading({ station: 'diameter', quantity: 'diameter', value: 1.75 }),
		reading({ station: 'moisture', quantity: 'grossMass', value: 1200 }),
		reading({ station: 'intake', quantity: 'tareMass', value: 200 }),
		reading({ station: 'prints', quantity: 'overhangLastClean', value: 60, attemptId: print.id }),
		reading({ station: 'own', quantity: 'own', value: 4, attemptId: print.id }),
		reading({ station: 'own', quantity: 'own', value: 5 }),
		reading({ station: 'strength', quantity: 'loadBroke', value: 100 }),
		reading({ station: 'intake', quantity: 'nothingOdd', value: 0 })
	],
	attempts: [print],
	specimens: [specimen()],
	events: [event({ kind: 'opened', at: 1 })],
	quotes: [quote()]
});
const part = (station: string) => {
	const { readings, attempts, specimens, events, quotes } = onlyStation(whole, station);
	return { values: readings.map((r) => r.value), counts: [attempts, specimens, events, quotes].map((list) => list.length).join('') };
};

describe('the part of the evidence a station’s page gets', () => {
	// attempts, specimens, events, quotes
	it.each([
		['diameter', [1.75], '0000'],
		['moisture', [1200, 200], '1010'],
		['drying', [1200, 200], '1010'],
		['prints', [60, 4], '1010'],
		['strength', [100], '0100'],
		['own', [4, 5], '0000'],
		['cost', [], '0001'],
		['intake', [200, 0], '0000']
	])('%s: %o, %s', (station, values, counts) => expect(part(station)).toEqual({ values, counts }));

	it('is made once; the light one is the same without readings and logs', () => {
		expect(onlyStation(whole, 'prints')).toBe(onlyStation(whole, 'prints'));
		const light = lightEvidence(whole, 'prints');
		expect(light).toBe(lightEvidence(whole, 'prints'));
		expect(light).toMatchObject({ readings: [], logs: [], attempts: [{ id: print.id }], spool: whole.spool });
	});
});
