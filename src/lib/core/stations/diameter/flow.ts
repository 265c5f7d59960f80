/**
 * Flow error of a diameter against the nominal the slicer assumes, as a fraction: cross-section goes with d squared.
 * Source: arithmetic; 1.77 against 1.75 mm extrudes 2.30 % more.
 * @returns a fraction; positive extrudes too much
 * @example flowError(1.77, 1.75) // 0.02299
 */
export function flowError(diameterMm: number, nominalMm: number): number {
	return (diameterMm / nominalMm) ** 2 - 1;
}

export type FlowAdvice = {
	/** Diameter of the round strand with the same mean cross-section: root of the mean of the squares. */
	rmsMm: number;
	/** Flow ratio that gives the amount the slicer means. */
	ratio: number;
	ratioLow: number;
	ratioHigh: number;
	/** Half-width of the band that holds 95 % of the flow along the strand, in per cent of it. */
	ripplePct: number;
	/** The same for a line of given width and fixed height, in mm. */
	lineWidthMm: number;
	rippleWidthMm: number;
};

/** Width of a line for which the ripple is shown; a common one for a 0.4 mm nozzle (common practice, no source). */
const LINE_WIDTH_MM = 0.45;
const Z = 1.959964;

/**
 * Flow the strand gives: the mean of the squares of the diameter decides, so a mean diameter on nominal still over-extrudes a little.
 * The ripple is the normal 95 % band of the cross-section; at fixed height a line's width follows the flow.
 * Source: arithmetic (volume goes with d squared); first order for the ripple, 2 sd / d.
 * @param uMm standard uncertainty of the mean diameter, instrument included
 * @example flowAdvice({ n: 10, meanMm: 1.77, sdMm: 0.01, uMm: 0.005 }, 1.75).ratio // 0.9775
 */
export function flowAdvice(
	strand: { n: number; meanMm: number; sdMm: number; uMm: number },
	nominalMm: number,
	lineWidthMm = LINE_WIDTH_MM
): FlowAdvice {
	// The mean of the squares is the square of the mean and the variance over n, not n - 1.
	const rmsMm = Math.hypot(strand.meanMm, strand.sdMm * Math.sqrt((strand.n - 1) / strand.n));
	const ratioOf = (d: number) => (nominalMm / d) ** 2;
	const ripple = (2 * Z * strand.sdMm) / rmsMm;
	return {
		rmsMm,
		ratio: ratioOf(rmsMm),
		ratioLow: ratioOf(rmsMm + Z * strand.uMm),
		ratioHigh: ratioOf(rmsMm - Z * strand.uMm),
		ripplePct: ripple * 100,
		lineWidthMm,
		rippleWidthMm: ripple * lineWidthMm
	};
}
