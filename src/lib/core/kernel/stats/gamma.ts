/**
 * Digamma function, the slope of logGamma, for positive arguments: recurrence up to 6, then the asymptotic series.
 * Source: Abramowitz & Stegun 6.3.5 and 6.3.18.
 * @returns no unit
 * @example digamma(1) // -0.5772156649
 */
export function digamma(x: number): number {
	let value = 0;
	let at = x;
	for (; at < 6; at++) value -= 1 / at;
	const inverse = 1 / (at * at);
	return (
		value +
		Math.log(at) -
		1 / (2 * at) -
		inverse * (1 / 12 - inverse * (1 / 120 - inverse * (1 / 252 - inverse * (1 / 240 - inverse / 132))))
	);
}
