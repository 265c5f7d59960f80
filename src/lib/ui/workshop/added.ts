/** What of a workshop is added where it is missed. */
export type Added = 'caliper' | 'scale' | 'dryer' | 'printer';
