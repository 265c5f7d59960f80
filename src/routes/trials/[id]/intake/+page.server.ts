import { database } from '$lib/server/context';
import { intakeSuggestions } from '$lib/server/intake/suggestions';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => await intakeSuggestions(database());
