import { settingsOffered } from '$lib/core/calibration/offered';
import { PRINT_QUANTITIES } from '$lib/core/prints/station';
import { database } from '$lib/server/context';
import { calibrationsOf } from '$lib/server/evidence/stations';
import { onlyStation } from '$lib/server/evidence/only';
import { loadNotes } from '$lib/server/notes/load';
import { loadAmendments } from '$lib/server/evidence/load-events';
import { loadPhotos } from '$lib/server/photos/photos';
import { pickInputOf, sheetOf, wantedOf } from '$lib/server/trials/findings';
import { trialOfRequest } from '$lib/server/trials/of-request';
import { listWorkshop } from '$lib/server/workshop/workshop';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	const whole = await trialOfRequest(event);
	const ids = whole.spools.map((s) => s.spool.id);
	const [workshop, notes, amendments, photos] = await Promise.all([
		listWorkshop(database()),
		loadNotes(database(), ids, 'attempt'),
		loadAmendments(database(), ids),
		loadPhotos(database(), ids)
	]);
	const now = Date.now();
	return {
		wanted: wantedOf(whole, 'prints', now),
		weighed: pickInputOf(whole, now).criteria,
		flags: sheetOf(whole, now).flags.filter((f) => PRINT_QUANTITIES.some((d) => d.id === f.quantity)),
		evidence: whole.spools.map((e) => onlyStation(e, 'prints')),
		calibrated: Object.fromEntries(whole.spools.map((e) => [e.spool.id, settingsOffered(calibrationsOf(e, whole.basis, now))])),
		printers: workshop.printers,
		notes,
		photos,
		amendments: [...amendments.values()].flat().filter((a) => a.targetKind === 'attempt')
	};
};
