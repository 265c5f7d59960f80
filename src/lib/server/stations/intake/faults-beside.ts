import { errorAt, type FieldError } from '$lib/schemas/field-error';
import { readableFields } from '$lib/schemas/read';
import { intakeBody } from '$lib/schemas/spool';
import type { Reader } from '../../base/db/client';
import { chooseCode } from '../../record/codes/bench-codes';
import { textFaults } from './texts';

/** What else is wrong with a spool whose body was refused: its figures, and a code that is in use. */
export async function faultsBeside(body: unknown, db: Reader): Promise<FieldError[]> {
	const { benchCode } = readableFields(intakeBody, body);
	const code = benchCode ? await chooseCode(db, benchCode) : null;
	return [...textFaults(body), ...(code && !code.ok ? [code.error] : [])];
}

/** The same of a list, each error at its row. */
export async function faultsBesideInRows(body: unknown, db: Reader): Promise<FieldError[]> {
	const rows = (body as { rows?: unknown } | null)?.rows;
	const errors: FieldError[] = [];
	for (const [i, row] of (Array.isArray(rows) ? rows : []).entries())
		errors.push(...(await faultsBeside(row, db)).map((e) => errorAt(`rows.${i}.${e.path}`, e)));
	return errors;
}
