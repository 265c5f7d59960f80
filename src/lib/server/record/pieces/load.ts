import { asc } from 'drizzle-orm';
import type { Piece } from '$lib/core/record/evidence/piece';
import type { PieceMark } from '$lib/core/record/marks/piece-mark';
import type { Reader } from '../../base/db/client';
import { piece } from '../../base/db/schema';
import { isValidRow } from '../rows/row-schema';
import { isArchived, withFacts } from '../facts/facts';

export type KnownPiece = Piece & {
	kind: string | null;
	volumeMm3: number | null;
	gramsG: number | null;
	createdAt: number;
	damaged: boolean;
	archived: boolean;
};

/** Every piece in every version, oldest first. */
export async function loadPieces(db: Reader): Promise<KnownPiece[]> {
	const rows = await db.select().from(piece).orderBy(asc(piece.createdAt), asc(piece.version));
	const looked = rows.map((p) => ({ ...p, damaged: !isValidRow('pieces', p) }));
	return (await withFacts(db, 'piece', looked)).map((p) => ({
		id: p.id,
		familyId: p.familyId,
		version: p.version,
		name: p.name,
		// One that cannot be read stays, so that prints of it keep their name, but nothing can be looked at on it.
		marks: p.damaged ? [] : (p.marks ?? marksOfSteps(p)),
		params: p.damaged ? null : p.params,
		damaged: p.damaged,
		kind: p.kind,
		volumeMm3: p.volumeMm3,
		gramsG: p.gramsG,
		createdAt: p.createdAt,
		archived: isArchived(p)
	}));
}

/** A piece of earlier versions told only its steps; it carried overhangs, bridges and a pair of spikes. */
function marksOfSteps({ overhangStepDeg, bridgeStepMm }: { overhangStepDeg: number | null; bridgeStepMm: number | null }): PieceMark[] {
	const ladder = (step: number | null, high: number) =>
		step === null ? null : Array.from({ length: Math.floor(high / step) }, (_, i) => Number(((i + 1) * step).toFixed(6)));
	return [
		{ mark: 'overhang', steps: ladder(overhangStepDeg, 85) },
		{ mark: 'bridge', steps: ladder(bridgeStepMm, 50) },
		{ mark: 'strings', steps: null },
		{ mark: 'cornerLift', steps: null },
		{ mark: 'adhesion', steps: null },
		{ mark: 'supports', steps: null },
		{ mark: 'surface', steps: null },
		{ mark: 'odour', steps: null }
	];
}
