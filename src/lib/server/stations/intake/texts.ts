import type { FieldError } from '$lib/schemas/field-error';
import { readableFields } from '$lib/schemas/read';
import { intakeBody, type IntakeBody } from '$lib/schemas/spool';
import { readQuote } from '../cost/read-quote';
import { readFields } from '../../record/readings/keep-readings';
import { readClaims } from '../../record/claims/claims';
import { massesApart, massFields } from '../../record/masses/masses';

type Texts = Pick<
	IntakeBody,
	| 'price'
	| 'shipping'
	| 'netMass'
	| 'quantity'
	| 'labelNozzle'
	| 'hardness'
	| 'timesAsStrong'
	| 'nominalDiameter'
	| 'labelTolerance'
	| 'listingTolerance'
	| 'tare'
	| 'grossMass'
>;

/** The figures of one spool as they were typed: price, claims and masses, with everything that is wrong with them. */
export function readTexts(body: Texts, filamentId: string, now: number) {
	const money = readQuote({ price: body.price, shipping: body.shipping, netMass: body.netMass, quantity: body.quantity });
	const claims = readClaims(filamentId, body, now);
	const errors = [...money.errors, ...claims.errors];
	const masses = readFields(massFields(body), errors);
	return { money, claims: claims.rows, masses, errors: [...errors, ...massesApart(masses)] };
}

/** What is wrong with the figures of a spool whose body was refused for something else. */
export const textFaults = (body: unknown): FieldError[] => readTexts({ quantity: 1, ...readableFields(intakeBody, body) }, '', 0).errors;
