import type { LogRowError } from '$lib/core/record/gauge-log/read-log';
import type { Refusal } from './refusals';

/** A fault in a file or a pasted table, with its row. */
export function rowRefusal({ row, code, text }: LogRowError): Refusal {
	switch (code) {
		case 'notANumber':
			return text.trim() === '' ? { code: 'rowEmpty', params: { row } } : { code: 'rowNotANumber', params: { row, text } };
		case 'outOfRange':
			return { code: 'rowOutOfRange', params: { row, text } };
		case 'missing':
			return { code: 'rowTooShort', params: { row } };
		case 'backwards':
			return { code: 'rowBackwards', params: { row, text } };
	}
}
