type Named = { code: string; maker: string | null; filament: string | null; material: string; lot: string | null };

const UNNAMED = 'maker not noted';

/** Maker, product and lot in one line; what was not noted or is hidden is left out rather than invented. */
export function productLine(spool: Named): string {
	const maker = spool.maker === UNNAMED ? null : spool.maker;
	const parts = [maker, spool.filament || null].filter(Boolean).join(' · ');
	const lot = spool.lot ? `lot ${spool.lot}` : '';
	return [parts || spool.material, lot].filter(Boolean).join(', ');
}
