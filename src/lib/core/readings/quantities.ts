import { CALIBRATION_READINGS } from '../calibration/readings';
import { DIAMETER_READINGS } from '../diameter/readings';
import { MOISTURE_READINGS } from '../moisture/readings';
import { OWN_READINGS } from '../own/readings';
import { PRINT_READINGS } from '../prints/readings';
import { STRENGTH_READINGS } from '../strength/readings';
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
