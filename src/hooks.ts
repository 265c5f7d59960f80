import { sharedCandidates, sharedEvidence, sharedText } from '$lib/schemas/shared-text';
import type { Transport } from '@sveltejs/kit';

/** How page data that are no longer made for one request alone reach the browser. */
export const transport: Transport = { sharedText, sharedEvidence, sharedCandidates };
