import { share } from '$lib/schemas/shared-text';
import type { ShellTrial } from '$lib/ui/shell/types';
import { sheetOf } from '$lib/server/answers/trials/findings';
import { trialOfRequest } from '$lib/server/http/trial-of-request';
import type { LayoutServerLoad } from './$types';

const DAY_MS = 86_400_000;

/** The trial and its sheet, computed once for every page below. A page asks for the parts of them that it shows; the rest stays on the server. */
export const load: LayoutServerLoad = async (event) => {
	const now = Date.now();
	const whole = await trialOfRequest(event);
	const sheet = sheetOf(whole);
	const shellTrial: ShellTrial = {
		id: whole.head.id,
		name: whole.head.name,
		spools: whole.spools.length,
		day: Math.floor((now - whole.head.createdAt) / DAY_MS) + 1,
		blind: whole.head.blind,
		verdicts: whole.verdicts.length,
		// Own measures are a stop of the line only when the trial has some.
		// The handbook is a page of its own, beside every trial; calibrations stand on the spool.
		progress: sheet.progress
			.filter((p) => p.station !== 'handbook' && p.station !== 'calibration')
			.filter((p) => p.station !== 'own' || whole.basis.ownMeasures.some((m) => m.here))
	};
	return {
		shellTrial,
		head: whole.head,
		basis: share(whole.basis),
		criteria: whole.criteria,
		roles: whole.roles,
		spools: share(whole.spools.map((s) => s.spool)),
		verdicts: whole.verdicts
	};
};
