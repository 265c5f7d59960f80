import { z } from 'zod';
import { id, instant, zone } from './common';

/** What a photograph belongs to; the picture itself is the body. */
export const photoQuery = z.object({ id, attemptId: id, at: instant, zone });

export const photoSizeQuery = z.object({ size: z.enum(['full', 'small']).default('full') });
