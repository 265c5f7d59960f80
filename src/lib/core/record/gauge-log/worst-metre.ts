import { diameterAt, positionAt, type GaugeLog } from './gauge-log';

/**
 * The metre of strand that strays farthest from the nominal: the largest root mean square distance over a metre, and the flow it means.
 * Source: arithmetic (sliding sums).
 * @returns null for a log shorter than a metre
 * @example worstMetre(log, 1.75) // { fromM: 121.4, rmsMm: 0.041, samples: 100 }
 */
export function worstMetre(log: GaugeLog, nominalMm: number): { fromM: number; rmsMm: number; samples: number } | null {
	const n = log.along.length;
	let first = 0;
	let squares = 0;
	let worst: { fromM: number; rmsMm: number; samples: number } | null = null;
	for (let i = 0; i < n; i++) {
		squares += (diameterAt(log, i) - nominalMm) ** 2;
		const at = positionAt(log.position, i);
		while (at - positionAt(log.position, first) > 1 + 1e-9) {
			squares -= (diameterAt(log, first) - nominalMm) ** 2;
			first++;
		}
		const fromM = positionAt(log.position, first);
		// The window counts once it is a metre long, give or take its last step.
		if (first === 0 && at - fromM < 1 - 1e-9) continue;
		const rmsMm = Math.sqrt(Math.max(0, squares) / (i - first + 1));
		if (worst === null || rmsMm > worst.rmsMm) worst = { fromM, rmsMm, samples: i - first + 1 };
	}
	return worst;
}
