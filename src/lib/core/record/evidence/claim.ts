import type { CLAIM_SOURCES } from '../lists/closed-lists';

export type Claim = { id: string; quantity: string; source: (typeof CLAIM_SOURCES)[number]; value: number };
