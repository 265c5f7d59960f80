import { calibrationStation } from '../stations/calibration/station';
import { costStation } from '../stations/cost/station';
import { diameterStation } from '../stations/diameter/station';
import { dryingStation } from '../stations/drying/station';
import { handbookStation } from '../stations/handbook/station';
import { intakeStation } from '../stations/intake/station';
import { moistureStation } from '../stations/moisture/station';
import { ownStation } from '../stations/own/station';
import { printsStation } from '../stations/prints/station';
import { strengthStation } from '../stations/strength/station';
import type { Station } from '../judging/station/station';

/** The stations in the order of work. One line here brings a station into the trial sheet and the pick. */
export const STATIONS: readonly Station[] = [
	intakeStation,
	diameterStation,
	moistureStation,
	dryingStation,
	printsStation,
	strengthStation,
	costStation,
	ownStation,
	calibrationStation,
	handbookStation
];
