import { onePresets } from '$lib/core/stations/calibration/one-preset';
import { printerEffects } from '$lib/core/stations/prints/marks/printer-effect';
import { calibrationsOf } from '$lib/server/answers/findings/stations';
import { letOthersIn } from '$lib/server/base/polite/let-others-in';
import { shownSheetOf } from '$lib/server/answers/trials/findings';
import { nextStep } from '$lib/server/answers/trials/next-step';
import { trialOfRequest } from '$lib/server/http/trial-of-request';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	const whole = await trialOfRequest(event);
	const sheet = shownSheetOf(whole);
	// What follows is long work in one go where nobody looked before, as that was.
	await letOthersIn();
	return {
		onePreset: onePresets(whole.spools, (e) => calibrationsOf(e, whole.basis)),
		sheet,
		next: nextStep(whole),
		// What is known of the printers' own part, taken out or not: it stands beside what is unlike.
		effects: printerEffects(whole.spools, whole.basis, whole.basis.printer?.name ?? null)
	};
};
