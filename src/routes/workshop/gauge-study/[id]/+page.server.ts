import { error } from '@sveltejs/kit';
import { database } from '$lib/server/running/context';
import { pageId } from '$lib/server/http/path-id';
import { studiesOf } from '$lib/server/record/instruments/studies';
import { listWorkshop } from '$lib/server/stations/workshop/workshop';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	const id = pageId(event);
	const [{ instruments }, studies] = await Promise.all([listWorkshop(database()), studiesOf(database(), id)]);
	const instrument = instruments.find((i) => i.id === id);
	if (!instrument) error(404, 'There is no such caliper or micrometer.');
	return { instrument, studies };
};
