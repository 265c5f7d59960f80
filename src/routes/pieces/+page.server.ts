import { database } from '$lib/server/running/context';
import { loadPieces } from '$lib/server/record/pieces/load';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => ({ pieces: await loadPieces(database()) });
