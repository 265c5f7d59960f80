/** Where a value lies on a figure of the given width; beyond the scale it is drawn at the end. */
export function place(value: number, scale: { low: number; high: number }, width: number, inset = 4): number {
	const share = (value - scale.low) / (scale.high - scale.low);
	return inset + Math.min(1, Math.max(0, share)) * (width - 2 * inset);
}

/** Whether a value lies beyond the scale, so that the figure can say so with an arrow. */
export function beyond(value: number, scale: { low: number; high: number }): -1 | 0 | 1 {
	return value < scale.low ? -1 : value > scale.high ? 1 : 0;
}

/** Where the words over a mark start, so that they stay inside the figure. */
export function anchorAt(x: number, width: number): 'start' | 'middle' | 'end' {
	return x < width * 0.18 ? 'start' : x > width * 0.82 ? 'end' : 'middle';
}
