import type { SpoolEvidence } from '$lib/core/record/evidence/spool-evidence';

/** A spool as the rail beside a bench shows it. */
export type RailItem = { id: string; code: string; colourHex: string | null; colourName: string | null; status: string };

export function railItem(spool: SpoolEvidence['spool'], status: string): RailItem {
	return { id: spool.id, code: spool.code, colourHex: spool.colourHex, colourName: spool.colourName, status };
}
