import type { ThemeConfig } from 'flowbite-svelte';

const FIELD =
	'border-faint bg-panel text-ink placeholder:text-muted dark:border-faint dark:bg-panel dark:text-ink dark:placeholder:text-muted';

/**
 * How Flowbite's components look here, said once. Their own classes are merged with these, and what a page adds with both. Colours are
 * the tokens of app.css, which know the dark page; Flowbite's classes for it are named to be replaced.
 */
export const theme: ThemeConfig = {
	input: { input: `${FIELD} text-[0.97rem]` },
	select: { base: 'inline-block w-auto', select: `${FIELD} w-auto max-w-full rounded py-1 pr-8 pl-2 text-[0.97rem]` },
	range: 'h-[26px] bg-transparent accent-(--act) dark:bg-transparent',
	label: 'mb-0.5 text-[0.85rem] text-ink dark:text-ink',
	alert: 'items-baseline gap-0.5 rounded-none bg-transparent p-0 text-[length:inherit] text-harm dark:bg-transparent dark:text-harm',
	modal: { base: 'bg-panel text-ink dark:bg-panel dark:text-ink' }
};
