import { handbookBody } from '$lib/schemas/handbook';
import { loadHandbook, postHandbook } from '$lib/server/record/handbook/handbook';
import { keep, show } from '$lib/server/http/respond';

export const POST = keep(handbookBody, postHandbook);

export const GET = show(async (_, db) => ({ materials: await loadHandbook(db) }));
