import type { QuantityDef } from '../../../src/lib/core/judging/finding/types';
import { modelOf, type MarkModel } from '../../../src/lib/core/judging/posterior/model';
import { markQuantity } from '../../../src/lib/core/stations/prints/marks/marks';
import { strengthLoad } from '../../../src/lib/core/stations/strength/quantities';
import { countAs, ladderAs, readingAs, wordAs } from '../../../src/lib/core/judging/posterior/observed';
import { fromModel, observedOn, type Observed } from '../../../src/lib/core/judging/posterior/scale';

/** A kind of mark that is made up: how its values scatter, and what a tester would note of one. */
export type Kind = {
	name: string;
	def: QuantityDef;
	model: MarkModel;
	/** True scatter and middle of the means, on the model's scale. */
	sd: number;
	centre: number;
	/** What is noted of a value on the model's scale, as an interval on that scale. */
	note: (value: number) => Observed;
	/** Worth of it, 0 to 1, straight on a scale. */
	value: (x: number) => number;
};

const straight = (worst: number, best: number) => (x: number) => Math.min(1, Math.max(0, (x - worst) / (best - worst)));

/** Steps of a ladder or a load: the last it passes and the first it fails; open beyond either end. */
const between = (value: number, first: number, last: number, step: number): Observed => {
	if (value < first) return ladderAs(null, first);
	const passed = Math.min(last, first + Math.floor((value - first) / step) * step);
	return ladderAs(passed, passed < last ? passed + step : null);
};
const POUND_N = 4.44822;
/** A scale of one decimal, and nothing below it. */
const tenth = (value: number) => Math.max(0, Math.round(value * 10) / 10);

const of = (def: QuantityDef, kind: Parameters<typeof modelOf>[1]) => ({ def, model: modelOf(def, kind) });
const OVERHANG = of(markQuantity('overhang'), 'plain');
const LENGTH = of(markQuantity('bridgeSag'), 'plain');
const WORDS = of(markQuantity('strings'), 'words');
const COUNT = of(markQuantity('stringCount'), 'count');
const LOAD = of(strengthLoad({ strengthHighN: 250, loadUnit: 'N', specimenKinds: { load: null, blows: null, byHand: null } }), 'load');

export const KINDS: readonly Kind[] = [
	{
		name: 'overhang, steps of 5°',
		...OVERHANG,
		sd: 3.5,
		centre: 58,
		value: straight(30, 80),
		note: (value) => observedOn('plain', between(value, 30, 80, 5), 0)
	},
	{
		name: 'overhang, steps of 10°',
		...OVERHANG,
		sd: 3.5,
		centre: 58,
		value: straight(30, 80),
		note: (value) => observedOn('plain', between(value, 30, 80, 10), 0)
	},
	{
		name: 'length in tenths of a mm',
		...LENGTH,
		sd: 0.15,
		centre: 0.6,
		value: straight(2, 0),
		note: (value) => observedOn('plain', readingAs(tenth(value), 0.1), 0)
	},
	{
		name: 'strings in four words',
		...WORDS,
		sd: 0.6,
		centre: 1,
		value: straight(3, 0),
		note: (value) => wordAs(Math.min(3, Math.max(0, Math.round(value))), 4)
	},
	{
		name: 'count of strings',
		...COUNT,
		sd: 0.6,
		centre: 2,
		value: straight(20, 0),
		note: (value) => observedOn('root', countAs(Math.round(fromModel('root', value))), 0)
	},
	{
		name: 'load in steps of 5 lb',
		...LOAD,
		sd: 0.15,
		centre: Math.log(120),
		value: straight(0, 250),
		note: (value) => observedOn('log', between(Math.exp(value), 0, 60 * POUND_N, 5 * POUND_N), 0)
	}
];
