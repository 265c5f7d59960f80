export type RecordStatus = 'counts' | 'excluded';

/** What amendments have made of a raw record; the raw record itself is kept beside it by the server. */
export type Amended = { status: RecordStatus; corrected: boolean; confirmed: boolean };
