import { exportCsv } from '$lib/server/exchange/csv-tables';
import { showFile } from '$lib/server/http/respond';

export const GET = showFile(async (event, db) => {
	const table = event.params.id ?? '';
	return { text: await exportCsv(db, table), mediaType: 'text/csv; charset=utf-8', name: `draught-${table}.csv` };
});
