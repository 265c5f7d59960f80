import type { Departure } from '$lib/core/stations/prints/ways/departures';
import { upTo } from './numbers';
import { CONDITION_WORDS } from './closed-lists';

/**
 * What a print departs in from its trial, in a few words.
 * @example departureWords({ kind: 'printer', is: 'South', wanted: 'North' }) // 'on South; this trial prints on North'
 */
export function departureWords(departure: Departure): string {
	switch (departure.kind) {
		case 'printer':
			return `on ${departure.is}; this trial prints on ${departure.wanted}`;
		case 'condition':
			return `${CONDITION_WORDS[departure.is]}; this trial counts ${CONDITION_WORDS[departure.wanted]}`;
		case 'nozzle':
			return `nozzle at ${upTo(departure.isC, 0)} °C, beside the label’s ${upTo(departure.lowC, 0)} to ${upTo(departure.highC, 0)} °C`;
		case 'version':
			return `version ${departure.is} of the test piece; this trial prints version ${departure.wanted}`;
	}
}
