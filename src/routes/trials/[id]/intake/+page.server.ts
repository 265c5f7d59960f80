import { database } from '$lib/server/context';
import { intakeSuggestions } from '$lib/server/intake/suggestions';

export const load = async () => await intakeSuggestions(database());
