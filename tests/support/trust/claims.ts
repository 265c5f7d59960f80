import { randomNormal, randomUniform } from 'd3-random';
import { instrumentBudget, type InstrumentBudget } from '../../../src/lib/core/stations/diameter/budget';
import { claimVerdict } from '../../../src/lib/core/stations/diameter/claim-verdict';
import { LOOKS } from '../../../src/lib/core/stations/diameter/looks';
import { normalStrand, type Strand } from '../../../src/lib/core/stations/diameter/strand';
import { randomSource } from '../../../src/lib/core/kernel/random/source';
import { normalCdf } from '../../../src/lib/core/kernel/stats/distributions';
import { spreadOf } from '../../../src/lib/core/kernel/stats/spread';

const NOMINAL_MM = 1.75;
const TOLERANCE_MM = 0.05;

export type ClaimInstrument = { name: string; errorLimit: number; resolution: number };
export const CLAIM_INSTRUMENTS: readonly ClaimInstrument[] = [
	{ name: 'without error', errorLimit: 1e-9, resolution: 1e-9 },
	{ name: 'micrometer', errorLimit: 0.003, resolution: 0.005 },
	{ name: 'caliper', errorLimit: 0.02, resolution: 0.01 }
];

/** The spread with which exactly 95 % of a strand lie inside, its mean so far off nominal. */
function justKeptSd(offMm: number): number {
	let [low, high] = [1e-4, 0.2];
	for (let i = 0; i < 60; i++) {
		const sd = (low + high) / 2;
		if (normalCdf((TOLERANCE_MM - offMm) / sd) - normalCdf((-TOLERANCE_MM - offMm) / sd) > 0.95) low = sd;
		else high = sd;
	}
	return low;
}

/**
 * A strand that just keeps or just breaks its claim, whichever one is wrong about, read place by place and looked at whenever a look is due: in how many
 * trials it was ever called kept, and broken.
 */
export function claimFigures(of: ClaimInstrument, offMm: number, trials: number, seed: number): { kept: number; broken: number } {
	const source = randomSource(seed);
	const normal = randomNormal.source(source)(0, justKeptSd(offMm));
	const bias = randomUniform.source(source)(-of.errorLimit, of.errorLimit);
	const budget = instrumentBudget(
		{ id: 'i', name: of.name, quantity: 'length', resolution: of.resolution, errorLimit: of.errorLimit, checks: [], studies: [] },
		NOMINAL_MM,
		0
	);
	const figures = { kept: 0, broken: 0 };
	for (let t = 0; t < trials; t++) {
		const shift = bias();
		const readings: number[] = [];
		const looks: Strand[] = [];
		for (const look of LOOKS) {
			while (readings.length < look) readings.push(Math.round((NOMINAL_MM + offMm + normal() + shift) / of.resolution) * of.resolution);
			looks.push(strandOf(readings, budget, []));
			const found = claimVerdict(strandOf(readings, budget, looks), NOMINAL_MM - TOLERANCE_MM, NOMINAL_MM + TOLERANCE_MM);
			if (!found || found.verdict === 'undecided') continue;
			figures[found.verdict]++;
			break;
		}
	}
	return figures;
}

function strandOf(valuesMm: readonly number[], budget: InstrumentBudget, looks: readonly Strand[]): Strand {
	const { n, mean, sd, low, high } = spreadOf(valuesMm) as NonNullable<ReturnType<typeof spreadOf>>;
	const standardErrorMm = (sd as number) / Math.sqrt(n);
	return normalStrand(
		{ n, nEffective: n, spots: n, looks, meanMm: mean, sdMm: sd, lowMm: low, highMm: high, standardErrorMm, df: n - 1, budget },
		valuesMm
	);
}
