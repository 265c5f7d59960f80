import { settled } from '$lib/core/record/evidence/settled';
import { addressCode } from '$lib/server/http/address-code';
import { partsOf, pickInputOf, pickOf, shownSheetOf } from '$lib/server/answers/trials/findings';
import { lacksOf } from '$lib/server/answers/trials/lacks';
import { trialOfRequest } from '$lib/server/http/trial-of-request';
import type { PageServerLoad } from './$types';

/** All that was found out by a trial, on one page. */
export const load: PageServerLoad = async (event) => {
	const whole = await trialOfRequest(event);
	const now = Date.now();
	const { candidates, defs, rule, references } = pickInputOf(whole);
	const { rows, references: beside, chances } = pickOf(whole);
	const pieces = whole.spools[0]?.pieces.filter((p) => whole.basis.pieceIds.includes(p.id)) ?? [];
	const readings = whole.spools.flatMap((s) => s.readings.filter((r) => r.status === 'counts'));
	const instruments = whole.spools[0]?.instruments.filter((i) => readings.some((r) => r.instrumentId === i.id)) ?? [];
	return {
		candidates,
		defs,
		rule,
		references: references ?? [],
		picked: { rows, references: beside, chances },
		sheet: shownSheetOf(whole),
		lacks: lacksOf(whole),
		parts: partsOf(whole),
		pieces: pieces.map(({ name, version }) => `${name} ${version}`),
		prints: whole.spools.flatMap((s) => s.attempts.filter(settled)).length,
		scorers: [...new Set(readings.flatMap((r) => r.scorer ?? []))],
		instruments: instruments.map((i) => i.name),
		/** Settings of the last print of each spool that finished. */
		worked: whole.spools.flatMap(({ spool, attempts }) => {
			const last = attempts.filter((a) => settled(a) && a.outcome === 'finished').at(-1);
			return last ? [{ code: spool.code, settings: last.settings, where: last.printer && `${last.printer}, ${last.nozzle}` }] : [];
		}),
		addressCode: await addressCode(event.url),
		today: now
	};
};
