import { csvImportBody } from '$lib/schemas/exchange';
import { importCsv } from '$lib/server/exchange/csv-tables';
import { keep, LIMITS } from '$lib/server/http/respond';

export const POST = keep(csvImportBody, importCsv, LIMITS.list);
