import { randomLcg, randomNormal } from 'd3-random';

/** A made-up strand, as a gauge would see it. */
export type MadeStrand = {
	meanMm: number;
	/** Change of the mean over a hundred metres. */
	driftMmPer100M: number;
	/** Regular coming and going; amplitude 0 for none. */
	periodicity: { periodM: number; amplitudeMm: number };
	/** Spread that wanders slowly, and over what length it forgets itself. */
	wander: { sdMm: number; lengthM: number };
	noiseMm: number;
	thickSpots: { atM: number; overMm: number; lengthM: number }[];
};

export type MadeGauge = { stepM: number; resolutionMm: number; axes: 1 | 2; ovalityMm: number };

/**
 * Samples of a made-up strand, one after the other: the same seed gives the same strand.
 * @example [...lineGauge(strand, gauge, 1000, 7)].length // 1000
 */
export function* lineGauge(
	strand: MadeStrand,
	gauge: MadeGauge,
	samples: number,
	seed: number
): Generator<{ positionM: number; along: number; across: number | null }> {
	const normal = randomNormal.source(randomLcg(seed))(0, 1);
	const forgets = Math.exp(-gauge.stepM / strand.wander.lengthM);
	let wander = normal() * strand.wander.sdMm;
	const shown = (mm: number) => Number((Math.round(mm / gauge.resolutionMm) * gauge.resolutionMm).toFixed(6));
	for (let i = 0; i < samples; i++) {
		const positionM = i * gauge.stepM;
		wander = wander * forgets + normal() * strand.wander.sdMm * Math.sqrt(1 - forgets * forgets);
		const thickSpot = strand.thickSpots.reduce((sum, b) => {
			const distance = Math.abs(positionM - b.atM) / (b.lengthM / 2);
			return distance < 1 ? sum + (b.overMm * (1 + Math.cos(Math.PI * distance))) / 2 : sum;
		}, 0);
		const mm =
			strand.meanMm +
			(strand.driftMmPer100M * positionM) / 100 +
			strand.periodicity.amplitudeMm * Math.sin((2 * Math.PI * positionM) / strand.periodicity.periodM) +
			wander +
			thickSpot;
		yield {
			positionM: Number(positionM.toFixed(6)),
			along: shown(mm + gauge.ovalityMm / 2 + normal() * strand.noiseMm),
			across: gauge.axes === 2 ? shown(mm - gauge.ovalityMm / 2 + normal() * strand.noiseMm) : null
		};
	}
}

/**
 * The same as the text file that such a gauge writes.
 * @example lineGaugeFile(strand, gauge, 2, 7) // 'm,mm\n0,1.751\n0.01,1.752\n'
 */
export function lineGaugeFile(strand: MadeStrand, gauge: MadeGauge, samples: number, seed: number): string {
	return [...lineGaugeText(strand, gauge, samples, seed, samples)].join('');
}

/**
 * The same as a gauge that is measuring writes it: some lines at a time.
 * @example [...lineGaugeText(strand, gauge, 1000, 7, 250)].length // 4
 */
export function* lineGaugeText(
	strand: MadeStrand,
	gauge: MadeGauge,
	samples: number,
	seed: number,
	linesAtOnce: number
): Generator<string> {
	let lines = [gauge.axes === 2 ? 'm,along mm,across mm' : 'm,mm'];
	let since = 0;
	for (const s of lineGauge(strand, gauge, samples, seed)) {
		lines.push(`${s.positionM},${s.along}${s.across === null ? '' : `,${s.across}`}`);
		if (++since < linesAtOnce) continue;
		yield `${lines.join('\n')}\n`;
		[lines, since] = [[], 0];
	}
	if (lines.length > 0) yield `${lines.join('\n')}\n`;
}
