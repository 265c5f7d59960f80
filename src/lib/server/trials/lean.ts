import type { Finding } from '$lib/core/finding/types';
import type { Sheet } from '$lib/core/sheet/build-sheet';

/** A finding without the ids of its inputs: a page shows how many, and ten thousand ids would be most of its size. */
export function leanFinding(finding: Finding): Finding {
	return { ...finding, inputs: { used: [], excluded: [], revision: finding.inputs.revision } };
}

export function leanSheet(sheet: Sheet): Sheet {
	return {
		...sheet,
		rows: sheet.rows.map((row) => ({ ...row, cells: row.cells.map((cell) => ({ ...cell, findings: cell.findings.map(leanFinding) })) }))
	};
}
