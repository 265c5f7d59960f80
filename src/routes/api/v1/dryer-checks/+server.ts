import { dryerCheckBody } from '$lib/schemas/drying';
import { keep } from '$lib/server/http/respond';
import { postDryerCheck } from '$lib/server/record/dryers/checks';

export const POST = keep(dryerCheckBody, postDryerCheck);
