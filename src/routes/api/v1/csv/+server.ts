import { describeTables } from '$lib/server/exchange/csv-tables';
import { show } from '$lib/server/http/respond';

/** The tables and their headers. */
export const GET = show(() => Promise.resolve({ tables: describeTables() }));
