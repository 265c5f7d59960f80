import type { z } from 'zod';
import { errorAt, type FieldError } from '$lib/schemas/field-error';
import { intakeBody, type IntakeBody } from '$lib/schemas/spool';
import { readQuote } from '../cost/read-quote';
import { readFields } from '../readings/keep-readings';
import { readClaims } from './claims';
import { massesApart, massFields } from './masses';

const TEXTS = [
	'price',
	'shipping',
	'netMass',
	'labelNozzle',
	'hardness',
	'timesAsStrong',
	'nominalDiameter',
	'labelTolerance',
	'listingTolerance',
	'tare',
	'grossMass'
] as const satisfies (keyof IntakeBody)[];

type Texts = Pick<IntakeBody, (typeof TEXTS)[number] | 'quantity'>;

/** The figures of one spool as they were typed: price, claims and masses, with everything that is wrong with them. */
export function readTexts(body: Texts, filamentId: string, now: number) {
	const money = readQuote({ price: body.price, shipping: body.shipping, netMass: body.netMass, quantity: body.quantity });
	const claims = readClaims(filamentId, body, now);
	const errors = [...money.errors, ...claims.errors];
	const masses = readFields(massFields(body), errors);
	return { money, claims: claims.rows, masses, errors: [...errors, ...massesApart(masses)] };
}

/**
 * What is wrong with the figures of a spool whose body was refused for something else: a tester is told all of it at once.
 * @param refused what was refused already; nothing more is said of these fields
 */
export function faultsBeside(body: unknown, refused: readonly FieldError[]): FieldError[] {
	const given = (body ?? {}) as Record<string, unknown>;
	const said = new Set(refused.map((e) => e.path));
	const readable = TEXTS.filter((name) => !said.has(name)).flatMap((name) => {
		const read = (intakeBody.shape[name] as z.ZodType).safeParse(given[name]);
		return read.success && typeof read.data === 'string' ? [[name, read.data]] : [];
	});
	const texts = { quantity: 1, ...Object.fromEntries(readable) } as Texts;
	return readTexts(texts, '', 0).errors.filter((e) => !said.has(e.path));
}

/** The same of a list, each error at its row. */
export function faultsBesideInRows(body: unknown, refused: readonly FieldError[]): FieldError[] {
	const rows = (body as { rows?: unknown } | null)?.rows;
	if (!Array.isArray(rows)) return [];
	return rows.flatMap((row, i) => {
		const prefix = `rows.${i}.`;
		const ofRow = refused.flatMap((e) => (e.path.startsWith(prefix) ? [errorAt(e.path.slice(prefix.length), e)] : []));
		return faultsBeside(row, ofRow).map((e) => errorAt(prefix + e.path, e));
	});
}
