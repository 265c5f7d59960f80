import type { LoadMethod, Orientation, Specimen } from '$lib/core/record/evidence/specimen';
import type { OutboxItem } from '../bench/outbox';

/** A specimen that waits in the outbox, as it will be; null for any other capture. */
export function specimenOfItem(item: OutboxItem): (Specimen & { spoolId: string }) | null {
	const { body } = item;
	if (item.path !== 'specimens' || item.refused || typeof body.spoolId !== 'string' || typeof body.shape !== 'string') return null;
	return {
		id: item.id,
		spoolId: body.spoolId,
		at: Date.parse(String(body.at)),
		shape: body.shape,
		orientation: body.orientation as Orientation,
		method: body.method as LoadMethod,
		nozzleC: typeof body.nozzleC === 'number' ? body.nozzleC : null,
		made: typeof body.made === 'string' ? body.made : null,
		status: 'counts',
		corrected: false,
		confirmed: false
	};
}
