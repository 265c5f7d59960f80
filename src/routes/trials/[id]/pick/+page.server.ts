import { pickInputOf } from '$lib/server/trials/findings';
import { leanFinding } from '$lib/server/trials/lean';
import { trialOfRequest } from '$lib/server/trials/of-request';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	const whole = await trialOfRequest(event);
	const { candidates, defs, rule } = pickInputOf(whole, Date.now());
	// A page draws and ranks; what a figure needs stays with the sheet.
	const lean = candidates.map((c) => ({
		...c,
		findings: Object.fromEntries(
			Object.entries(c.findings).map(([q, f]) => [q, f && { ...leanFinding(f), figure: { kind: 'none' as const } }])
		)
	}));
	return { candidates: lean, defs, rule };
};
