/** JSON with sorted keys: the same content in another order is the same content. */
export function canonical(value: unknown): string {
	return JSON.stringify(value ?? null, (_, v: unknown) =>
		v && typeof v === 'object' && !Array.isArray(v) ? Object.fromEntries(Object.entries(v).sort(([a], [b]) => (a < b ? -1 : 1))) : v
	);
}
