import type { Reading } from '../evidence/reading';
import { readNumberText } from '../../kernel/units/number-text';

/**
 * A reading as it is shown in a list: as it was typed, but a diameter typed in hundredths with its point, as its neighbours have it.
 * @param reading what was typed, and what it was taken for
 * @returns text without a unit where none was typed
 * @example shownReading({ quantity: 'diameter', typedText: '174', value: 1.74 }) // '1.74'
 */
export function shownReading({ quantity, typedText, value }: Pick<Reading, 'quantity' | 'typedText' | 'value'>): string {
	if (quantity !== 'diameter') return typedText;
	const typed = readNumberText(typedText);
	return typed.ok && value !== null && typed.rest === '' && typed.value === Math.round(value * 100) ? value.toFixed(2) : typedText;
}
