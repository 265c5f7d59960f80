import { specimenBody } from '$lib/schemas/strength';
import { keep } from '$lib/server/http/respond';
import { postSpecimen } from '$lib/server/stations/strength/post-specimen';

export const POST = keep(specimenBody, postSpecimen);
