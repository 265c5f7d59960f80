import { serverContext } from '$lib/server/context';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = () => {
	const { serverId, config } = serverContext();
	return { serverId, instance: config.DRAUGHT_INSTANCE };
};
