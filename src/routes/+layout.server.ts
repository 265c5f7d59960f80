import { serverContext } from '$lib/server/context';

export const load = () => {
	const { serverId, config } = serverContext();
	return { serverId, instance: config.DRAUGHT_INSTANCE };
};
