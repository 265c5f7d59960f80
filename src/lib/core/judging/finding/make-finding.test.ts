import { describe, expect, it } from 'vitest';
import { waterUptake } from '../../stations/moisture/quantities';
import { EMPTY_CONTEXT, makeFinding } from './make-finding';
import { say } from './message';

const subject = { spoolId: 's1' };
const exact = { subject, sampling: { kind: 'exact' as const, value: 1 }, estimate: 1, n: 1, method: 'm', source: 's' };

describe('a finding made from what a station computed', () => {
	it('fills what is empty, and takes unit and station from its quantity', () => {
		const found = makeFinding(waterUptake, {
			subject,
			sampling: { kind: 'unknown', reason: say('notWeighed') },
			method: 'm',
			source: 's'
		});
		expect(found).toEqual({
			station: 'moisture',
			quantity: 'waterUptake',
			unit: '%',
			subject: { spoolId: 's1', condition: null, pieceId: null, variant: null },
			estimate: null,
			n: 0,
			nEffective: null,
			shared: [],
			priorSet: null,
			interval: null,
			sampling: { kind: 'unknown', reason: { id: 'notWeighed', params: {} } },
			grade: 'none',
			missing: [],
			context: EMPTY_CONTEXT,
			method: 'm',
			source: 's',
			inputs: { used: [], excluded: [], revision: 0 },
			messages: [],
			word: null,
			figure: { kind: 'none' }
		});
	});
	it('has an empty context that says nothing', () => {
		expect(EMPTY_CONTEXT).toEqual({
			printers: [],
			nozzles: [],
			settings: [],
			conditions: [],
			variants: [],
			exposures: [],
			pieces: [],
			lots: [],
			instruments: [],
			currencies: [],
			priceKinds: [],
			from: null,
			to: null
		});
	});
	it('an exact figure is firm, and a cap only ever lowers a grade', () => {
		expect(makeFinding(waterUptake, exact).grade).toBe('firm');
		expect(makeFinding(waterUptake, { ...exact, gradeAtMost: 'thin' }).grade).toBe('thin');
		expect(makeFinding(waterUptake, { ...exact, gradeAtMost: 'firm' }).grade).toBe('firm');
		expect(makeFinding(waterUptake, { ...exact, n: 0, gradeAtMost: 'fair' }).grade).toBe('none');
	});
});
