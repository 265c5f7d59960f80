import { dryingRunBody } from '$lib/schemas/drying';
import { runFaultsBeside } from '$lib/server/stations/drying/check-run';
import { postDryingRun } from '$lib/server/stations/drying/post';
import { runningRuns } from '$lib/server/stations/drying/runs';
import { keep, LIMITS, show } from '$lib/server/http/respond';

export const POST = keep(dryingRunBody, postDryingRun, LIMITS.capture, runFaultsBeside);

/** Runs that were not ended yet, with the server's clock, so that a timer is right on a device whose clock is not. */
export const GET = show(async (_, db, now) => ({ now, runs: await runningRuns(db) }));
