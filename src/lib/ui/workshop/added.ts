/** What of a workshop is added where it is missed. */
export type Added = 'caliper' | 'scale' | 'dryer' | 'printer';

type Typed = { name: string; errorLimit: string; resolution: string };

/** An instrument as it was typed; a leaflet that is lost is not said. */
export const saidOf = ({ errorLimit, ...rest }: Typed, measures: 'length' | 'mass'): object => ({
	...rest,
	...(errorLimit.trim() ? { errorLimit } : {}),
	measures
});
