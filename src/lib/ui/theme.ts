import type { ThemeConfig } from 'flowbite-svelte';

const FIELD =
	'border-faint bg-panel text-ink placeholder:text-muted dark:border-faint dark:bg-panel dark:text-ink dark:placeholder:text-muted';

/**
 * How Flowbite's components look here, said once. Their own classes are merged with these, and what a page adds with both. Colours are
 * the tokens of app.css, which know the dark page; Flowbite's classes for it are named to be replaced.
 */
export const theme: ThemeConfig = {
	input: { input: `${FIELD} text-[0.95rem]` },
	select: { base: 'inline-block w-auto', select: `${FIELD} w-auto max-w-full rounded py-1 pr-8 pl-2 text-[0.95rem]` },
	label: 'mb-0.5 text-[0.85rem] text-ink dark:text-ink',
	modal: { base: 'bg-panel text-ink dark:bg-panel dark:text-ink' }
};
