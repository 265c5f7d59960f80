import { describe, expect, it } from 'vitest';
import { attempt, basis, evidence, mark } from '../../../../../tests/support/evidence';
import { SURFACE_FAULTS } from '../../record/marks/mark-words';
import { MARKS, type MarkDef } from './marks/marks';
import { marksFinder } from './marks/marks-on';
import { printsStation } from './station';
import { printValues } from './marks/print-values';

const surface = MARKS.find((m) => m.def.id === 'surface') as MarkDef;
const SEAM = SURFACE_FAULTS.indexOf('surfaceSeam');

/** Prints with a strong seam and faint dots each; the seams of some are charged to the printer. */
function spool(charged: ('counts' | 'excluded' | null)[]) {
	const attempts = charged.map((_, i) => attempt({ at: 1000 + i }));
	const readings = attempts.flatMap((a, i) => [
		mark(a, 'surfaceSeam', 3),
		mark(a, 'surfaceDots', 1),
		...(charged[i] ? [mark(a, 'printersFault', SEAM, { status: charged[i] ?? 'counts' })] : [])
	]);
	return evidence({ attempts, readings });
}
const values = (e: ReturnType<typeof spool>) => printValues({ marks: marksFinder(e)(e.attempts), basis }, surface).map((v) => v.value);
const found = (e: ReturnType<typeof spool>) => printsStation.find(e, basis).find((f) => f.quantity === 'surface');

describe('a fault of the surface that is the printer’s', () => {
	it('is none of the filament: the next worst one counts', () => expect(values(spool(['counts', null]))).toEqual([1, 3]));
	it('... of that print only, and not once that was marked invalid', () => expect(values(spool(['excluded', 'counts']))).toEqual([3, 1]));
	it('is said with how often, and nothing else is', () => {
		const said = (e: ReturnType<typeof spool>) => found(e)?.messages.filter((m) => m.id === 'faultOfPrinter');
		expect(said(spool(['counts', 'counts', null]))).toEqual([{ id: 'faultOfPrinter', params: { fault: 'surfaceSeam', prints: 2 } }]);
		expect(said(spool([null]))).toEqual([]);
	});
	it('makes the surface better', () => {
		expect(found(spool(['counts', 'counts']))?.estimate).toBeLessThan(found(spool([null, null]))?.estimate as number);
		expect(found(spool(['counts', 'counts']))?.n).toBe(2);
	});
});
