import type { Reading } from '$lib/core/record/evidence/reading';
import { SURFACE_FAULTS } from '$lib/core/record/marks/mark-words';

const isFault = (quantity: string) => (SURFACE_FAULTS as readonly string[]).includes(quantity);

/**
 * The marks of one print by who gave them, as they are worth reading: faults that were not seen are left out.
 * @example marksByScorer(readings)[0] // { scorer: 'Mira', marks: [...], cleanSurface: true }
 */
export function marksByScorer(readings: readonly Reading[]): { scorer: string | null; marks: Reading[]; cleanSurface: boolean }[] {
	const scorers = [...new Set(readings.map((r) => r.scorer))];
	return scorers.map((scorer) => {
		const given = readings.filter((r) => r.scorer === scorer);
		const faults = given.filter((r) => isFault(r.quantity) && r.status === 'counts');
		return {
			scorer,
			marks: given.filter((r) => !isFault(r.quantity) || r.value !== 0 || r.corrected),
			cleanSurface: faults.length > 0 && faults.every((r) => r.value === 0)
		};
	});
}
