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
