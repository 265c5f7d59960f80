import { share } from '$lib/schemas/shared-text';
import { letOthersIn } from '$lib/server/base/polite/let-others-in';
import { partsOf, pickInputOf, pickOf, sheetOf } from '$lib/server/answers/trials/findings';
import { lacksOf } from '$lib/server/answers/trials/lacks';
import { trialOfRequest } from '$lib/server/http/trial-of-request';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	const whole = await trialOfRequest(event);
	const { candidates, defs, rule, references } = pickInputOf(whole);
	// Each of these is long work in one go where nobody looked before.
	await letOthersIn();
	const { rows, references: beside, chances } = pickOf(whole, 'first');
	await letOthersIn();
	const { flags } = sheetOf(whole);
	await letOthersIn();
	return {
		candidates,
		defs: share(defs),
		rule,
		references: references ?? [],
		picked: share({ rows, references: beside, chances }),
		turned: whole.head.turned,
		withdrawn: whole.withdrawn,
		priors: whole.basis.priors.number,
		flags,
		lacks: lacksOf(whole),
		parts: share(partsOf(whole))
	};
};
