/** Under what a server takes that was started without any setting (512 kB). */
const SLICE = 448 * 1024;
const TRIES = 4;

/**
 * Sends a file slice by slice, so that a lost connection costs one slice. A slice whose answer was lost is sent again, which is no harm.
 * @param path where they go, without the slice's number
 * @param there slices that arrived before
 * @returns whether all are there; false where it was stopped, broke off or was refused
 */
export async function putSlices(
	file: File,
	path: string,
	{ there = [], stopped = () => false, progress }: { there?: readonly number[]; stopped?: () => boolean; progress: (share: number) => void }
): Promise<boolean> {
	const slices = slicesOf(file);
	for (let k = 0; k < slices; k++) {
		if (stopped()) return false;
		progress(k / slices);
		if (there.includes(k)) continue;
		if (!(await put(`${path}/${k}`, file.slice(k * SLICE, (k + 1) * SLICE), stopped))) return false;
	}
	progress(1);
	return true;
}

export const slicesOf = (file: File): number => Math.max(1, Math.ceil(file.size / SLICE));

async function put(path: string, slice: Blob, stopped: () => boolean): Promise<boolean> {
	for (let attempt = 0; attempt < TRIES && !stopped(); attempt++) {
		const response = await fetch(path, { method: 'PUT', headers: { 'content-type': 'application/octet-stream' }, body: slice }).catch(
			() => null
		);
		if (response?.ok) return true;
		// A refusal does not change by trying again.
		if (response && response.status < 500) return false;
		await new Promise((resolve) => setTimeout(resolve, 300 * 2 ** attempt));
	}
	return false;
}
