/** The page's colours by the name of their token in app.css, as they are now: they change with the dark page. */
export type Ink = (token: string) => string;

export const inkOfPage: Ink = (token) => getComputedStyle(document.documentElement).getPropertyValue(`--${token}`).trim();

/** An axis in the page's colours with its title, which names the unit. */
export const axis = (ink: Ink, title: string) => ({
	title: { display: true, text: title, color: ink('muted') },
	grid: { color: ink('line') },
	ticks: { color: ink('muted') }
});
