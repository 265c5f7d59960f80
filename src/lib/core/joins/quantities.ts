import { CALIBRATION_READINGS } from '../stations/calibration/readings';
import { DIAMETER_READINGS } from '../stations/diameter/readings';
import { MOISTURE_READINGS } from '../stations/moisture/readings';
import { OWN_READINGS } from '../stations/own/readings';
import { PRINT_READINGS } from '../stations/prints/marks/readings';
import { STRENGTH_READINGS } from '../stations/strength/readings';
import type { ReadingQuantity } from '../record/readings/reading-quantity';

/** Every quantity a raw reading can have, with the station it belongs to and what is believable; each station declares its own. */
const DECLARED = {
	...DIAMETER_READINGS,
	...MOISTURE_READINGS,
	...PRINT_READINGS,
	...STRENGTH_READINGS,
	...OWN_READINGS,
	...CALIBRATION_READINGS
} satisfies Record<string, ReadingQuantity>;

export type ReadingQuantityId = keyof typeof DECLARED;

/** The same by any text: what comes in may be no quantity at all, nor the name of what every object has (`constructor`). */
export const READING_QUANTITIES: Readonly<Record<string, ReadingQuantity>> = Object.assign(
	Object.create(null) as Record<string, ReadingQuantity>,
	DECLARED
);
