import { findCell } from '../../src/lib/core/judging/posterior/find-cell';
import type { Observed } from '../../src/lib/core/judging/posterior/scale';
import { markModel } from '../../src/lib/core/stations/prints/marks/mark-model';
import { MARKS } from '../../src/lib/core/stations/prints/marks/marks';

/** What the model makes of these intervals of a mark while the record is silent: which intervals a print gives is what a test is about. */
export function modelled(quantity: string, ...observed: Observed[]) {
	const mark = MARKS.find((m) => m.def.id === quantity);
	if (!mark) throw new Error(`no mark ${quantity}`);
	const model = markModel(mark);
	const found = findCell(observed, model, model.assumed);
	if (!found) throw new Error('nothing observed');
	return found;
}
