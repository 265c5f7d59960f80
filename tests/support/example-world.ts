import { HANDBOOK } from '../../src/lib/core/judging/handbook/defaults';
import { MARKS } from '../../src/lib/core/stations/prints/marks/marks';
import { basis } from './evidence';

const defOf = (id: string) => {
	const found = MARKS.find(({ def }) => def.id === id);
	if (!found) throw new Error(`no mark ${id}`);
	return found.def;
};

/** The few names an example may use beside core's own exports. */
export const WORLD: Readonly<Record<string, unknown>> = {
	overhang: defOf('overhang'),
	strings: defOf('strings'),
	basis,
	handbook: HANDBOOK,
	/** A pyramid of four faces, 10 mm along its edges on the axes. */
	mesh: { corners: [0, 0, 0, 10, 0, 0, 0, 10, 0, 0, 0, 10], triangles: [0, 2, 1, 0, 1, 3, 0, 3, 2, 1, 2, 3] }
};
