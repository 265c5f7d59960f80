import type { READING_DIRECTIONS } from '$lib/core/record/lists/closed-lists';
import type { ClaimPlan, Zone } from '$lib/core/stations/diameter/claim-plan';
import type { PastedReading } from './pasted-readings';

type Direction = (typeof READING_DIRECTIONS)[number];

/** How far the measuring of a spool is: readings that count, and what the trial asks for. */
export type Measuring = {
	counted: number;
	/** How many spots the quick check asks for. */
	places: number;
	/** Readings at each place: one, or two a quarter turn apart. */
	directions: number;
	/** A claim test and where on the spool it is; null for the quick check. */
	test: { plan: ClaimPlan | null; zone: Zone } | null;
};

/** Where the next reading is taken; `positionM` only in a claim test, which needs to know how far in it lies. */
export type NextReading = { place: number; direction: Direction; positionM: number | null; done: boolean };

/**
 * What is read next: all directions of a place, then the next place; in a claim test a metre on from where its zone begins.
 * @example nextReading({ counted: 3, places: 5, directions: 2, test: null }) // { place: 1, direction: 'across', positionM: null, done: false }
 */
export function nextReading({ counted, places, directions, test }: Measuring): NextReading {
	const zone = test?.plan?.zones.find((z) => z.zone === test.zone);
	return {
		place: Math.floor(counted / directions),
		direction: counted % directions === 0 ? 'along' : 'across',
		positionM: test ? (zone ? Math.round(zone.positionM + Math.floor(zone.taken / directions)) : 0) : null,
		done: test ? test.plan?.state === 'decided' : counted >= places * directions
	};
}

/**
 * Pasted readings begin at a place of their own: one that was begun by hand is not filled up by another row.
 * @example placedAfter(3, 2, [{ typed: '1.75', place: 0, direction: 'along', positionM: null }])[0].placeIndex // 2
 */
export function placedAfter(counted: number, directions: number, pasted: readonly PastedReading[]) {
	const first = Math.ceil(counted / directions);
	return pasted.map(({ typed, place, direction, positionM }) => ({
		typed,
		placeIndex: first + place,
		direction,
		...(positionM === null ? {} : { positionM })
	}));
}
