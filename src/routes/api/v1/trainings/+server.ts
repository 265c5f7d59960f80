import { trainingBody } from '$lib/schemas/training';
import { keep } from '$lib/server/http/respond';
import { postTraining } from '$lib/server/stations/workshop/trainings';

export const POST = keep(trainingBody, postTraining);
