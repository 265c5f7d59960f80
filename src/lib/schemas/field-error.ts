import type { None, ParamsOf } from '$lib/core/judging/finding/none';
import type { Refusal, RefusalCode, RefusalParams } from './refusals';

/** An error at one field, or at one row of a list (`rows.16.price`). `suggestion` is what was probably meant. */
export type FieldError = Refusal & { path: string; suggestion?: string };

/** What has to be given beside the code. */
export type RefusalRest<C extends RefusalCode> = [ParamsOf<RefusalParams, C>] extends [None]
	? []
	: [params: ParamsOf<RefusalParams, C>, suggestion?: string];

/**
 * An error at one field.
 * @example fieldError('errorLimit', 'atMost', { most: 1, unit: 'mm' })
 */
export function fieldError<C extends RefusalCode>(path: string, code: C, ...[params, suggestion]: RefusalRest<C>): FieldError {
	return { path, code, params: params ?? {}, ...(suggestion === undefined ? {} : { suggestion }) } as FieldError;
}

/** The same error at another field. */
export const errorAt = (path: string, error: FieldError): FieldError => ({ ...error, path });

/**
 * A refusal as the one string that an issue of the schema library has room for; `refusalIn` reads it again.
 * @example z.string().max(40, { error: saying('tooLong', { most: 40 }) })
 */
export function saying<C extends RefusalCode>(
	code: C,
	...[params]: [ParamsOf<RefusalParams, C>] extends [None] ? [] : [params: ParamsOf<RefusalParams, C>]
): string {
	return JSON.stringify({ code, params: params ?? {} });
}

export const refusalIn = (text: string): Refusal =>
	text.startsWith('{') ? (JSON.parse(text) as Refusal) : { code: 'invalid', params: {} };
