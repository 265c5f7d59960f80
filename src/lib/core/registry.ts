import { calibrationStation } from './calibration/station';
import { costStation } from './cost/station';
import { diameterStation } from './diameter/station';
import { dryingStation } from './drying/station';
import { handbookStation } from './handbook/station';
import { intakeStation } from './intake/station';
import { moistureStation } from './moisture/station';
import { ownStation } from './own/station';
import { printsStation } from './prints/station';
import { strengthStation } from './strength/station';
import type { Station } from './judging/station/station';

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
