import { gaugeStudyBody } from '$lib/schemas/amendment';
import { keep } from '$lib/server/http/respond';
import { postGaugeStudy } from '$lib/server/record/instruments/studies';

export const POST = keep(gaugeStudyBody, postGaugeStudy);
