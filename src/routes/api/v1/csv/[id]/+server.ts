import { exportCsv } from '$lib/server/exchange/csv-tables';
import { showText } from '$lib/server/http/respond';

export const GET = showText(async (event, db) => {
	const table = event.params.id ?? '';
	return { parts: await exportCsv(db, table), mediaType: 'text/csv; charset=utf-8', name: `draught-${table}.csv` };
});
