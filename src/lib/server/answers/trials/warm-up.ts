import type { Database } from '../../base/db/client';
import { giveWay } from '../findings/stations';
import { letOthersIn } from '../../base/polite/let-others-in';
import { pickOf } from './findings';
import { listTrials, loadTrial, ofReadable } from './load';
import { nextAct } from './next-step';
import { atWork } from './standing';

/**
 * Works out the trial that was begun last, once, behind whatever is asked meanwhile: it is the likeliest to be opened, and code that has run
 * before answers the first who looks in a third of the time.
 */
export async function warmUp(db: Database): Promise<void> {
	const [newest] = atWork(await listTrials(db));
	if (!newest) return;
	const whole = await ofReadable(() => loadTrial(db, newest.id));
	if (!whole) return;
	await giveWay(whole.spools, whole.basis);
	nextAct(whole);
	await letOthersIn();
	pickOf(whole, 'first');
}
