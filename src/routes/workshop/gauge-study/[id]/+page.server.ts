import { error } from '@sveltejs/kit';
import { database } from '$lib/server/context';
import { studiesOf } from '$lib/server/workshop/studies';
import { listWorkshop } from '$lib/server/workshop/workshop';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
	const [{ instruments }, studies] = await Promise.all([listWorkshop(database()), studiesOf(database(), params.id)]);
	const instrument = instruments.find((i) => i.id === params.id);
	if (!instrument) error(404, 'There is no such caliper or micrometer.');
	return { instrument, studies };
};
