import type { Claim } from '../evidence/claim';

/**
 * A stated figure, from the label if it says so, else from the listing.
 * @example stated(claims, 'diameterTolerance') // { value: 0.02, source: 'label', other: 0.03 }
 */
export function stated(
	claims: readonly Claim[],
	quantity: string
): { value: number; source: 'label' | 'listing'; other: number | null } | null {
	const of = (source: Claim['source']) => claims.find((c) => c.quantity === quantity && c.source === source)?.value ?? null;
	const label = of('label');
	const listing = of('listing');
	if (label !== null) return { value: label, source: 'label', other: listing };
	return listing === null ? null : { value: listing, source: 'listing', other: null };
}
