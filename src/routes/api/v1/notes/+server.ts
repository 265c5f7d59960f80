import { noteBody } from '$lib/schemas/amendment';
import { keep } from '$lib/server/http/respond';
import { postNote } from '$lib/server/stations/notes/post';

export const POST = keep(noteBody, postNote);
