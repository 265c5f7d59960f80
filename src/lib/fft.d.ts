/** The few functions of fft.js that core uses; the package ships no types. */
declare module 'fft.js' {
	export default class FFT {
		constructor(size: number);
		createComplexArray(): number[];
		realTransform(out: number[] | Float64Array, data: ArrayLike<number>): void;
	}
}
