import type { SpoolEvidence } from '$lib/core/evidence/spool-evidence';

/** A spool as the rail beside a bench shows it. */
export type RailItem = { id: string; code: string; colourHex: string | null; colourName: string | null; says: string };

export function railItem(spool: SpoolEvidence['spool'], says: string): RailItem {
	return { id: spool.id, code: spool.code, colourHex: spool.colourHex, colourName: spool.colourName, says };
}
