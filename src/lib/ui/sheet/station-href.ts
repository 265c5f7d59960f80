/** Where a spool's evidence of one station is taken; without a spool the station itself. */
export function stationHref(trialId: string, station: string, spoolId: string | null): string {
	if (spoolId === null) return `/trials/${trialId}/${station}`;
	// Calibrations are the spool's, whatever the trial.
	if (station === 'calibration') return `/spools/${spoolId}#calibrations`;
	return `/trials/${trialId}/${station}?spool=${spoolId}`;
}
