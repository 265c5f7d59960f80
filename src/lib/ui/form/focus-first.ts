/** From this width on a keyboard that opens by itself would cover nothing. */
const DESK_PX = 1024;

/**
 * Puts the focus where one types first, as a page opens. Not on a phone, where its keyboard would hide what the page says, and not where the address
 * points at something else.
 */
export function focusFirst(field: HTMLElement | string | null | undefined): void {
	if (window.innerWidth < DESK_PX || location.hash !== '') return;
	const element = typeof field === 'string' ? document.getElementById(field) : field;
	element?.focus({ preventScroll: true });
}
