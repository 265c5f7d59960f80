import { hereAndNow, newId, NOT_KNOWN } from '../form/send';

/** Sends photographs of a print. One whose answer was lost keeps its id, so that choosing the picture again does not store it twice. */
export class PhotoSender {
	#unanswered = new Map<string, { id: string; at: string; zone: string }>();

	/** @returns null when it was kept, else why not */
	async send(attemptId: string, file: File): Promise<string | null> {
		const key = `${attemptId} ${file.name} ${file.size} ${file.lastModified}`;
		const made = this.#unanswered.get(key) ?? { id: newId(), ...hereAndNow() };
		this.#unanswered.set(key, made);
		const { id, ...moment } = made;
		const response = await fetch(`/api/v1/photos/${id}?${new URLSearchParams({ attemptId, ...moment })}`, {
			method: 'PUT',
			headers: { 'content-type': file.type || 'application/octet-stream' },
			body: file
		}).catch(() => null);
		if (!response) return NOT_KNOWN.replace('Press again', 'Choose the picture again');
		const answer = (await response.json().catch(() => null)) as { title?: string } | null;
		if (response.ok && answer === null) return NOT_KNOWN.replace('Press again', 'Choose the picture again');
		if (response.status < 500) this.#unanswered.delete(key);
		return response.ok ? null : (answer?.title ?? `The server answered ${response.status}.`);
	}
}
