/** What an own probe showed in a dryer that was set to a temperature. */
export type DryerCheck = { id: string; at: number; setPointC: number; probeC: number };
