import { error, type RequestEvent } from '@sveltejs/kit';
import { database } from '../running/context';
import { giveWay } from '../answers/findings/stations';
import { pageId } from './path-id';
import { together } from '../base/polite/together';
import { Problem } from '../base/problem';
import { loadTrial, type TrialWhole } from '../answers/trials/load';

/** One request loads its trial once, however many layouts and pages ask for it. */
const loaded = new WeakMap<App.Locals, Promise<TrialWhole>>();

export async function trialOfRequest(event: Pick<RequestEvent, 'locals' | 'params'>): Promise<TrialWhole> {
	let whole = loaded.get(event.locals);
	if (!whole) {
		const id = pageId(event);
		// Different pages of one trial that are asked for at the same moment read it once.
		whole = together(`trial ${id}`, async () => {
			const read = await loadTrial(database(), id);
			// What the page makes of it in one go is made of findings that are known by then.
			await giveWay(read.spools, read.basis);
			return read;
		});
		loaded.set(event.locals, whole);
	}
	try {
		return await whole;
	} catch (cause) {
		if (cause instanceof Problem) error(cause.status, cause.title);
		throw cause;
	}
}
