/** How Debian's Chromium is started here: headless, with nothing that would look for the internet. */
export const browserArguments = [
	'--no-sandbox',
	'--disable-gpu',
	'--disable-quic',
	'--no-first-run',
	'--disable-background-networking',
	'--disable-component-update',
	'--disable-sync'
];
