import type { MarkModel } from './model';
import type { Observed } from './scale';

/** One cell of the record, as priors are learnt from it. */
export type RecordCell = {
	quantity: string;
	/** Kind of piece (all its versions) or of test part; null where there is none. */
	kind: string | null;
	material: string;
	model: MarkModel;
	/** In the unit of the quantity. */
	observed: Observed[];
};
