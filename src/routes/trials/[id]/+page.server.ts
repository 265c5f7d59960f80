import { printerEffects } from '$lib/core/prints/printer-effect';
import { trialOfRequest } from '$lib/server/trials/of-request';
import type { PageServerLoad } from './$types';

/** What is known of the printers' own part, taken out or not: it stands beside what is unlike. */
export const load: PageServerLoad = async (event) => {
	const { spools, protocol } = await trialOfRequest(event);
	return { effects: printerEffects(spools, protocol, protocol.printer?.name ?? null) };
};
