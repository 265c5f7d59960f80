import { orderFaults, partnerOf } from '$lib/core/stations/prints/marks/order';
import { attemptBody, type AttemptBody } from '$lib/schemas/attempt';
import type { FieldError } from '$lib/schemas/field-error';
import { readableFields } from '$lib/schemas/read';
import { readTemperature } from '../../record/typed/temperature';
import { readFields } from '../../record/readings/keep-readings';
import { orderError } from '../../record/readings/check-order';

/** A room that somebody prints in. */
const ROOM_C = { low: -10, high: 60 };

/** What was typed of a print as text: its marks and the room, with everything that is wrong with them. */
export function readTexts({ marks, roomTemperature }: Pick<AttemptBody, 'marks' | 'roomTemperature'>) {
	const errors: FieldError[] = [];
	const rows = readFields(
		Object.entries(marks).map(([quantity, text]) => ({ path: `marks.${quantity}`, quantity, text })),
		errors
	);
	const marksTaken = rows.map((r) => ({ ...r, id: r.quantity, takenAt: 0 }));
	for (const fault of orderFaults(marksTaken))
		errors.push(orderError(`marks.${fault.code === 'alone' ? partnerOf(fault.quantity) : fault.quantity}`, fault));
	const roomTemperatureC = readTemperature(roomTemperature, 'roomTemperature', errors, ROOM_C) ?? null;
	return { marks: rows, roomTemperatureC, errors };
}

/** What is wrong with the marks of a print whose body was refused for something else, such as how far it got. */
export const faultsBeside = (body: unknown): FieldError[] => readTexts({ marks: {}, ...readableFields(attemptBody, body) }).errors;
