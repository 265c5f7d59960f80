import type { Envelope } from '$lib/core/record/gauge-log/envelope';

/** Outline of a strand between the smallest and the largest of each column; a column of one reading still has the height of a hair. */
export function ribbonPath(columns: Envelope['columns'], x: (metres: number) => number, y: (mm: number) => number): string {
	if (columns.length === 0) return '';
	const top = columns.map((c) => `${x(c.positionM).toFixed(1)},${(y(c.highMm) - 0.4).toFixed(1)}`);
	const bottom = [...columns].reverse().map((c) => `${x(c.positionM).toFixed(1)},${(y(c.lowMm) + 0.4).toFixed(1)}`);
	return `M${top.join('L')}L${bottom.join('L')}Z`;
}
