import { STATIONS } from '$lib/core/joins/registry';
import { loadEvidence } from '$lib/server/record/evidence/load';
import { onlyStation } from '$lib/server/answers/findings/only';
import { pathId } from '$lib/server/http/path-id';
import { show } from '$lib/server/http/respond';
import { notFound, refuseField } from '$lib/server/base/problem';

export const GET = show(async (event, db) => {
	const station = event.url.searchParams.get('station') ?? '';
	if (!STATIONS.some((s) => s.id === station)) throw refuseField('station', 'oneOf', { allowed: STATIONS.map((s) => s.id).join(', ') });
	const [evidence] = await loadEvidence(db, [pathId(event)]);
	if (!evidence) throw notFound('spool');
	return { evidence: onlyStation(evidence, station) };
});
