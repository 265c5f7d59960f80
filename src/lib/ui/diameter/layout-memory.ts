import type { LogLayout } from '$lib/schemas/gauge-log';
import type { Preview } from './guess-layout';

export type Mapping = { layout: LogLayout; stepMm: string; speed: string };

const columnsOf = (preview: Preview) => Math.max(1, ...preview.rows.map((r) => r.length));

/** The mapping that was used last, where this table has the same shape; null otherwise. */
export function recallLayout(store: string, preview: Preview): Mapping | null {
	const kept = localStorage.getItem(store);
	if (!kept) return null;
	const last = JSON.parse(kept) as Mapping & { columns: number };
	const { delimiter, headerRows, unit } = preview.layout;
	const same = last.columns === columnsOf(preview) && last.layout.delimiter === delimiter && last.layout.headerRows === headerRows;
	return same && last.layout.unit === unit ? last : null;
}

export function rememberLayout(store: string, preview: Preview, mapping: Mapping): void {
	localStorage.setItem(store, JSON.stringify({ ...mapping, columns: columnsOf(preview) }));
}
