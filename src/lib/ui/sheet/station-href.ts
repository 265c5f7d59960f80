/** Where a spool's evidence of one station is taken. */
export function stationHref(trialId: string, station: string, spoolId: string): string {
	return `/trials/${trialId}/${station}?spool=${spoolId}`;
}
