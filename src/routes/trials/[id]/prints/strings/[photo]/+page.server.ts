import { error } from '@sveltejs/kit';
import { database } from '$lib/server/running/context';
import { loadPhotos } from '$lib/server/stations/photos/photos';
import { trialOfRequest } from '$lib/server/http/trial-of-request';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	const { spools } = await trialOfRequest(event);
	const photos = await loadPhotos(
		database(),
		spools.map((s) => s.spool.id)
	);
	const photo = photos.find((p) => p.id === event.params.photo);
	const of = spools.find((s) => s.spool.id === photo?.spoolId);
	const attempt = of?.attempts.find((a) => a.id === photo?.attemptId);
	if (!photo || !of || !attempt) error(404, 'This trial has no such photograph.');
	const piece = of.pieces.find((p) => p.id === attempt.pieceId) ?? null;
	const judged = of.readings.filter((r) => r.attemptId === attempt.id && r.quantity === 'strings' && r.status === 'counts');
	const measured = of.readings.filter((r) => r.attemptId === attempt.id && r.quantity === 'stringCoverage' && r.status === 'counts');
	return { photo, spool: of.spool, attempt, history: { events: of.events, dryForH: of.dryForH }, piece, judged, measured };
};
