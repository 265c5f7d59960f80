/** A connected patch of a mask: its cells, and how far it reaches along the columns. */
export type Patch = { cells: number[]; firstColumn: number; lastColumn: number };

/**
 * Patches of a mask that hang together, corners included.
 * @param mask row by row; 0 is background
 * @param columns width of the mask, in cells
 * @example patchesOf(Uint8Array.of(1, 0, 0, 1), 2).length // 1
 */
export function patchesOf(mask: Uint8Array, columns: number): Patch[] {
	const seen = new Uint8Array(mask.length);
	const rows = mask.length / columns;
	const patches: Patch[] = [];
	// The list of cells grows while it is walked: the walk is the search.
	const spread = (patch: Patch, row: number, column: number) => {
		for (let r = Math.max(0, row - 1); r <= Math.min(rows - 1, row + 1); r++)
			for (let c = Math.max(0, column - 1); c <= Math.min(columns - 1, column + 1); c++) {
				const next = r * columns + c;
				if (!mask[next] || seen[next]) continue;
				seen[next] = 1;
				patch.cells.push(next);
			}
	};
	for (let start = 0; start < mask.length; start++) {
		if (!mask[start] || seen[start]) continue;
		const patch: Patch = { cells: [start], firstColumn: start % columns, lastColumn: start % columns };
		seen[start] = 1;
		for (const cell of patch.cells) {
			const [row, column] = [Math.floor(cell / columns), cell % columns];
			patch.firstColumn = Math.min(patch.firstColumn, column);
			patch.lastColumn = Math.max(patch.lastColumn, column);
			spread(patch, row, column);
		}
		patches.push(patch);
	}
	return patches;
}
