import { error, type RequestEvent } from '@sveltejs/kit';
import { id } from '$lib/schemas/common';
import { notFound } from '../base/problem';

/** The `[id]` of a route; anything that is no id is simply not there. */
export function pathId(event: Pick<RequestEvent, 'params'>): string {
	const parsed = id.safeParse(event.params.id);
	if (!parsed.success) throw notFound('page');
	return parsed.data;
}

/** The `[k]` of a slice: which it is, counted from 0. */
export function pathSlice(event: { params: object }): number {
	const { k = '' } = event.params as { k?: string };
	if (!/^\d{1,5}$/.test(k)) throw notFound('slice');
	return Number(k);
}

/** The `[id]` of a page; anything that is no id leads to no page. */
export function pageId(event: Pick<RequestEvent, 'params'>): string {
	const parsed = id.safeParse(event.params.id);
	if (!parsed.success) error(404, notFound('page').title);
	return parsed.data;
}
