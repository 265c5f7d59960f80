/** Where a spool's evidence of one station is taken. */
export function stationHref(trialId: string, station: string, spoolId: string): string {
	// Calibrations are the spool's, whatever the trial.
	if (station === 'calibration') return `/spools/${spoolId}#calibrations`;
	return `/trials/${trialId}/${station}?spool=${spoolId}`;
}
