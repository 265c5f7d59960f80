import { nth } from '../lists/nth';

/**
 * Chances of several tests made together, each as large as it has to be so that one false alarm among all of them stays as rare as told.
 * Source: Holm 1979, Scandinavian Journal of Statistics 6, 65-70; as R's p.adjust(method = "holm").
 * @param ps one a test, 0 to 1
 * @returns in the same order, none smaller than what was given, none above 1
 * @example holm([0.01, 0.04, 0.03]) // [0.03, 0.06, 0.06]
 */
export function holm(ps: readonly number[]): number[] {
	const order = ps.map((_, i) => i).sort((a, b) => nth(ps, a) - nth(ps, b));
	const out = new Array<number>(ps.length);
	let most = 0;
	order.forEach((i, rank) => {
		most = Math.max(most, Math.min(1, (ps.length - rank) * nth(ps, i)));
		out[i] = most;
	});
	return out;
}
