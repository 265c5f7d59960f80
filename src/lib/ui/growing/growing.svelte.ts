import { soon } from './soon';

/** How many rows of a long list are shown: the first at once, the rest some at a time. Call it while a component is set up. */
export function growing(total: () => number, first: number, step: number): { readonly shown: number } {
	let shown = $state(first);
	$effect(() => {
		if (shown < total()) return soon(() => (shown += step));
	});
	return {
		get shown() {
			return shown;
		}
	};
}
