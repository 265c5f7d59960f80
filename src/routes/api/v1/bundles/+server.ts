import { bundleImportBody } from '$lib/schemas/exchange';
import { importBundle } from '$lib/server/exchange/bundle';
import { keep, LIMITS } from '$lib/server/http/respond';

export const POST = keep(bundleImportBody, importBundle, LIMITS.bundle);
