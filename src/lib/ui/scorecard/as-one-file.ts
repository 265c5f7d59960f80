/** Faces of the page's font that a letter of this language needs; the others would make the file ten times as large. */
const NEEDED_FACE = /unicode-range:\s*u\+0+(?:-|\b)/i;

async function asData(url: string): Promise<string> {
	const blob = await (await fetch(url)).blob();
	return await new Promise((resolve, reject) => {
		const reader = new FileReader();
		reader.onload = () => resolve(typeof reader.result === 'string' ? reader.result : '');
		reader.onerror = () => reject(new Error(`${url} cannot be read`));
		reader.readAsDataURL(blob);
	});
}

/** All rules of the page as text, its fonts within them. */
async function stylesOfPage(): Promise<string> {
	const rules = [...document.styleSheets].flatMap((sheet) =>
		[...sheet.cssRules].map((rule) => ({ rule, base: sheet.href ?? location.href }))
	);
	const texts = await Promise.all(
		rules.map(async ({ rule, base }) => {
			if (!(rule instanceof CSSFontFaceRule)) return rule.cssText;
			const [, url] = /url\("?([^")]+)"?\)/.exec(rule.cssText) ?? [];
			if (!url || !NEEDED_FACE.test(rule.cssText)) return '';
			return rule.cssText.replace(/url\("?[^")]+"?\)/, `url("${await asData(new URL(url, base).href)}")`);
		})
	);
	return texts.join('\n');
}

const escaped = (text: string): string => text.replace(/&/g, '&amp;').replace(/</g, '&lt;');

/**
 * A part of the page as one HTML file that needs nothing else: styles, fonts and pictures within it, no script, links that lead to this server as text.
 * @param title of the file
 */
export async function asOneFile(title: string, part: Element): Promise<string> {
	const copy = part.cloneNode(true) as Element;
	await Promise.all(
		[...copy.querySelectorAll('img')].map(async (image) => {
			if (!image.src.startsWith('data:')) image.src = await asData(image.src);
			image.removeAttribute('srcset');
		})
	);
	for (const link of copy.querySelectorAll('a')) link.replaceWith(...link.childNodes);
	for (const left of copy.querySelectorAll('button, script, [data-not-in-file]')) left.remove();
	const lang = document.documentElement.lang || 'en';
	return `<!doctype html>\n<html lang="${lang}"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>${escaped(title)}</title><style>${await stylesOfPage()}</style></head><body>${copy.outerHTML}</body></html>\n`;
}

/** Hands a file to the browser to be saved. */
export function saveFile(name: string, content: string): void {
	const url = URL.createObjectURL(new Blob([content], { type: 'text/html' }));
	const link = Object.assign(document.createElement('a'), { href: url, download: name });
	link.click();
	URL.revokeObjectURL(url);
}
