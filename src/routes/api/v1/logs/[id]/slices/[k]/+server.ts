import { putSlice } from '$lib/server/stations/diameter/arrive';
import { pathId, pathSlice } from '$lib/server/http/path-id';
import { keepBytes } from '$lib/server/http/respond';

export const PUT = keepBytes((event, db, bytes) => putSlice(db, pathId(event), pathSlice(event), bytes));
