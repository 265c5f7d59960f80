import { expect, type Page } from '@playwright/test';
import { v7 } from 'uuid';

/** Opens a page and waits until it answers keys. */
export async function open(page: Page, url: string): Promise<void> {
	await page.goto(url);
	await expect(page.locator('html')).toHaveAttribute('data-ready', 'yes');
	// What is not the next step is put in after the page answers keys.
	await expect(page.locator('[data-later]')).toHaveCount(0);
}

/** Types into whatever has the focus, as a hand on the keyboard does. */
export async function type(page: Page, text: string): Promise<void> {
	await page.keyboard.type(text);
}

/** Moves the focus forward until it stands on the named control. */
export async function tabTo(page: Page, name: string | RegExp): Promise<void> {
	for (let i = 0; i < 80; i++) {
		const label = await page.evaluate(() => {
			const e = document.activeElement;
			if (!(e instanceof HTMLElement)) return '';
			const labels =
				e instanceof HTMLInputElement || e instanceof HTMLTextAreaElement || e instanceof HTMLSelectElement
					? [...(e.labels ?? [])].map((l) => l.textContent ?? '')
					: [];
			return (labels.join(' ').trim() || e.getAttribute('aria-label') || e.textContent || '').trim().replace(/\s+/g, ' ');
		});
		if (typeof name === 'string' ? label.startsWith(name) : name.test(label)) return;
		await page.keyboard.press('Tab');
	}
	throw new Error(`no control named ${String(name)} is reached by Tab`);
}

/** Nothing waits to be saved any more. */
export async function allKept(page: Page): Promise<void> {
	await expect(page.getByTestId('outbox')).toHaveText('all saved');
}

/** Posts to the API as a program would. */
export async function api(url: string, path: string, body: object): Promise<{ status: number; answer: Record<string, unknown> }> {
	const response = await fetch(`${url}/api/v1/${path}`, {
		method: 'POST',
		headers: { 'content-type': 'application/json' },
		body: JSON.stringify(body)
	});
	return { status: response.status, answer: (await response.json()) as Record<string, unknown> };
}

const at = () => new Date().toISOString();

/** A trial with spools made through the API; returns their ids. */
export async function makeTrial(url: string, name: string, spools: object[]): Promise<{ trialId: string; spoolIds: string[] }> {
	const trialId = v7();
	await api(url, 'trials', { id: trialId, name });
	const spoolIds: string[] = [];
	for (const spool of spools) {
		const { answer } = await api(url, 'intake', { id: v7(), trialId, material: 'PETG', nothingOdd: true, at: at(), ...spool });
		spoolIds.push(String(answer.spoolId));
	}
	return { trialId, spoolIds };
}
