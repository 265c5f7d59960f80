import type { ByTemperature } from '$lib/core/stations/strength/by-temperature';
import { temperatureWords } from './units';

/** Where strength jumps over the nozzle's temperature. @example jumpWords({ fromC: 230, toC: 240, stronger: true }) // 'Stronger from 240 °C on: ...' */
export const jumpWords = ({ fromC, toC, stronger }: NonNullable<ByTemperature['jump']>): string =>
	`${stronger ? 'Stronger' : 'Weaker'} from ${temperatureWords(toC)} on: the largest step, from ${temperatureWords(fromC)}.`;
