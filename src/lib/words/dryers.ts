import { probeOffset } from '$lib/core/record/dryers/probe-offset';
import type { DryerCheck } from '$lib/core/record/evidence/dryer-check';
import type { DryerFacts } from '$lib/core/record/facts/dryer-facts';
import { fixed, upTo } from './numbers';
import { bareTemperature, temperatureUnit, temperatureWords } from './units';

const HOUR = 3_600_000;

/** How low and how high a dryer goes. @example dryerRangeWords({ setPointLowC: 40, setPointHighC: 70 }) // '40 to 70 °C' */
export function dryerRangeWords({ setPointLowC: low, setPointHighC: high }: Omit<DryerFacts, 'name'>): string {
	if (low === null && high === null) return 'range not noted';
	if (high === null) return `from ${temperatureWords(low ?? 0)}`;
	return low === null ? `to ${temperatureWords(high)}` : `${bareTemperature(low)} to ${temperatureWords(high)}`;
}

/** A difference of temperatures, which has no zero of its own. */
const difference = (kelvin: number): number => (temperatureUnit() === '°F' ? kelvin * 1.8 : kelvin);

const sideOf = (kelvin: number): string =>
	`${fixed(Math.abs(difference(kelvin)), 0)} ${temperatureUnit()} ${kelvin < 0 ? 'below' : 'above'}`;

/** Of a mean between two ends: 'from 11 °C below to 1 °C below'. */
const between = ({ low, high }: { low: number; high: number }): string => `from ${sideOf(low)} to ${sideOf(high)}`;

/**
 * What an own probe says of a dryer, with n and its range.
 * @example probeWords([{ id: 'a', at: 0, setPointC: 60, probeC: 54 }]) // 'own probe 6 °C below what is set (n 1, so no range)'
 */
export function probeWords(checks: readonly DryerCheck[]): string | null {
	const found = probeOffset(checks);
	if (!found) return null;
	const what = Math.abs(difference(found.offsetK)) < 0.5 ? 'own probe at what is set' : `own probe ${sideOf(found.offsetK)} what is set`;
	return `${what} (n ${found.n}, ${found.interval ? between(found.interval) : 'so no range'})`;
}

/** One check as a line of a list. @example dryerCheckWords({ id: 'a', at: 0, setPointC: 60, probeC: 54 }) // 'set 60 °C, probe 54 °C' */
export const dryerCheckWords = ({ setPointC, probeC }: DryerCheck): string =>
	`set ${temperatureWords(setPointC)}, probe ${temperatureWords(probeC)}`;

/** A drying as a line of a spool's history. */
export function dryingWords(
	drying: { dryer: string | null; setPointC: number; startedAt: number; checks: readonly DryerCheck[] } | null,
	endedAt: number
): string {
	if (!drying) return 'said with a print';
	const { dryer, setPointC, startedAt, checks } = drying;
	return [dryer ?? 'dryer', temperatureWords(setPointC), `${upTo((endedAt - startedAt) / HOUR, 1)} h`, probeWords(checks)]
		.filter(Boolean)
		.join(', ');
}
