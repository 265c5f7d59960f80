import { scaleLinear } from 'd3-scale';

/** Width of a figure in a cell of the sheet: ten columns stand side by side on a small laptop. */
export const CELL_WIDTH = 84;

/** Where a value lies on a figure of the given width; beyond the scale it is drawn at the end. */
export function place(value: number, scale: { low: number; high: number }, width: number, inset = 4): number {
	return scaleLinear([scale.low, scale.high], [inset, width - inset]).clamp(true)(value);
}

/** Where the words over a mark start, so that they stay inside the figure. */
export function anchorAt(x: number, width: number): 'start' | 'middle' | 'end' {
	return x < width * 0.18 ? 'start' : x > width * 0.82 ? 'end' : 'middle';
}
