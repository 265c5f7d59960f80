import { share } from '$lib/schemas/shared-text';
import { settingsOffered } from '$lib/core/stations/calibration/offered';
import { PRINT_QUANTITIES } from '$lib/core/stations/prints/station';
import { database } from '$lib/server/running/context';
import { calibrationsOf, foundBy } from '$lib/server/answers/findings/stations';
import { lightEvidence, onlyStation } from '$lib/server/answers/findings/only';
import { loadNotes } from '$lib/server/record/notes/load';
import { loadAmendments } from '$lib/server/record/evidence/load-events';
import { loadPhotos } from '$lib/server/stations/photos/photos';
import { pickInputOf, sheetOf, wantedOf } from '$lib/server/answers/trials/findings';
import { trialOfRequest } from '$lib/server/http/trial-of-request';
import { listWorkshop } from '$lib/server/stations/workshop/workshop';
import type { PageServerLoad } from './$types';

/** A spool may have hundreds of marks: those of the one that is opened come along, the page fetches the others by itself. */
export const load: PageServerLoad = async (event) => {
	const whole = await trialOfRequest(event);
	const ids = whole.spools.map((s) => s.spool.id);
	const [workshop, notes, amendments, photos] = await Promise.all([
		listWorkshop(database()),
		loadNotes(database(), ids, 'attempt'),
		loadAmendments(database(), ids),
		loadPhotos(database(), ids)
	]);
	const wanted = wantedOf(whole, 'prints');
	const first = whole.spools.find((_, i) => wanted[i] !== null) ?? whole.spools[0];
	// Another spool is chosen without asking the server again.
	const asked = event.untrack(() => event.url.searchParams.get('spool'));
	const opened = whole.spools.find((e) => e.spool.id === asked) ?? first;
	return {
		wanted,
		/** Without a spool in the address: the first that still wants prints. */
		first: first?.spool.id ?? null,
		opened: opened?.spool.id ?? null,
		// What was found of the one that is opened is known here; a slow phone would work it out before it answers a key.
		found: share(Object.fromEntries(opened ? [[opened.spool.id, foundBy('prints', opened, whole.basis)]] : [])),
		weighed: pickInputOf(whole).criteria,
		flags: sheetOf(whole).flags.filter((f) => PRINT_QUANTITIES.some((d) => d.id === f.quantity)),
		evidence: whole.spools.map((e) => (e === opened ? onlyStation(e, 'prints') : lightEvidence(e, 'prints'))),
		calibrated: Object.fromEntries(whole.spools.map((e) => [e.spool.id, settingsOffered(calibrationsOf(e, whole.basis))])),
		printers: workshop.printers,
		putAway: workshop.pieces.filter((p) => p.archived).map((p) => p.id),
		notes,
		photos,
		amendments: [...amendments.values()].flat().filter((a) => a.targetKind === 'attempt')
	};
};
