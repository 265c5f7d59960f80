/** Whether a key press belongs to a text field, where letters are letters and never shortcuts. */
function inTextField(event: KeyboardEvent): boolean {
	const target = event.target;
	if (!(target instanceof HTMLElement)) return false;
	if (target.isContentEditable || target instanceof HTMLTextAreaElement || target instanceof HTMLSelectElement) return true;
	return target instanceof HTMLInputElement && !['checkbox', 'radio', 'range', 'button', 'submit'].includes(target.type);
}

/** A plain letter shortcut: no modifier, not in a text field, no dialog open. */
export function isShortcut(event: KeyboardEvent, key: string): boolean {
	if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey || inTextField(event)) return false;
	return event.key.toLowerCase() === key.toLowerCase() && !document.querySelector('dialog[open]');
}

/**
 * Whether a key is meant for the page: no text field has the focus, no other key is held, no dialog is open; Enter and space belong to
 * the link or button that has the focus.
 */
export function isPlainKey(event: KeyboardEvent): boolean {
	if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey || event.isComposing || inTextField(event)) return false;
	const presses = event.key === 'Enter' || event.key === ' ';
	if (presses && event.target instanceof HTMLElement && event.target.matches('a, button, summary')) return false;
	return !document.querySelector('dialog[open]');
}

/** Up or down from a field of one line of a form, without any other key; null for everything else. */
export function arrowIn(form: HTMLElement | undefined, event: KeyboardEvent): 1 | -1 | null {
	const { key, target } = event;
	const isLine = target instanceof HTMLInputElement && target.inputMode === 'decimal' && form?.contains(target) === true;
	if (!isLine || event.ctrlKey || event.metaKey || event.altKey || event.shiftKey) return null;
	return key === 'ArrowDown' ? 1 : key === 'ArrowUp' ? -1 : null;
}
