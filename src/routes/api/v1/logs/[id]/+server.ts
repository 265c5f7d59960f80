import { logState } from '$lib/server/stations/diameter/arrive';
import { pathId } from '$lib/server/http/path-id';
import { show } from '$lib/server/http/respond';

export const GET = show((event, db) => logState(db, pathId(event)));
