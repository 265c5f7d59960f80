import { readQuantityText } from '$lib/core/kernel/units/quantity-text';
import { type FieldError, fieldError } from '$lib/schemas/field-error';

/** A dryer or hot end as people can own one, in degrees Celsius. */
const BELIEVABLE = { low: 20, high: 500 };

/** A temperature as typed in degrees Celsius; null when nothing was typed or it is refused, which is said at its field. */
export function readTemperature(
	text: string | undefined,
	path: string,
	errors: FieldError[],
	believable: { low: number; high: number } = BELIEVABLE
): number | null {
	if (!text) return null;
	const read = readQuantityText(text, 'temperature');
	if (read.ok && read.value >= believable.low && read.value <= believable.high) return read.value;
	errors.push(read.ok ? fieldError(path, 'temperatureOutOfRange', believable) : fieldError(path, 'notATemperature'));
	return null;
}
