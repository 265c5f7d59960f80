import { hereAndNow, newId } from '../form/send';

/** Sends one photograph of a print; null when it was kept, else why not. */
export async function sendPhoto(attemptId: string, file: File): Promise<string | null> {
	const query = new URLSearchParams({ attemptId, ...hereAndNow() });
	const response = await fetch(`/api/v1/photos/${newId()}?${query}`, {
		method: 'PUT',
		headers: { 'content-type': file.type || 'application/octet-stream' },
		body: file
	}).catch(() => null);
	if (!response) return 'The server does not answer. Nothing was stored; choose the picture again.';
	if (response.ok) return null;
	const problem = (await response.json().catch(() => null)) as { title?: string } | null;
	return problem?.title ?? `The server answered ${response.status}.`;
}
