import type { OnePreset } from '$lib/core/stations/calibration/one-preset';
import { inSentence, rangedWords } from './quantities';

const ANSWERS: Readonly<Record<OnePreset['outcome'], string>> = {
	does: 'one preset will do',
	doesNot: 'each wants its own preset',
	open: 'not known yet; calibrate each once more'
};

/** Whether one preset does for two spools, and by what. @example onePresetWords(pair, codeOf) // 'KA1 and LE2: one preset will do: flow ratio 0.970 (0.958 to 0.982; n 2) and ...' */
export function onePresetWords({ first, second, outcome, calibrations }: OnePreset, codeOf: (spoolId: string) => string): string {
	const seen = calibrations.map((c) => `${inSentence(c.def)} ${rangedWords(c.def, c.first)} and ${rangedWords(c.def, c.second)}`);
	return `${codeOf(first)} and ${codeOf(second)}: ${ANSWERS[outcome]}: ${seen.join(', ')}.`;
}
