import { ARCHIVED_KINDS } from '$lib/core/record/lists/closed-lists';
import { z } from 'zod';
import { id } from './common';

/** Puts something away, or brings it back: what was measured with it stays, and counts as before. */
export const archivingBody = z.strictObject({ id, kind: z.enum(ARCHIVED_KINDS), targetId: id, archived: z.boolean() });
