/**
 * A typed number as it is sent. What is no number goes on as the text it is; the schema refuses it by its field.
 * @example numeric('1,5') // 1.5
 */
export const numeric = (text: string): number | string | undefined => {
	const number = Number(text.replace(',', '.'));
	return text.trim() === '' ? undefined : Number.isFinite(number) ? number : text;
};
