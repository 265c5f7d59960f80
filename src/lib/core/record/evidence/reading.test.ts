import { expect, it } from 'vitest';
import { contextOfReading } from './reading';

it('what is left out or empty beside a reading is null: an empty scorer is nobody', () => {
	expect(contextOfReading({ scorer: '', placeIndex: 0, positionM: 0 })).toEqual({
		instrumentId: null,
		placeIndex: 0,
		positionM: 0,
		direction: null,
		attemptId: null,
		specimenId: null,
		ownMeasureId: null,
		before: null,
		scorer: null
	});
	expect(contextOfReading({ scorer: 'Ada', direction: 'across' })).toMatchObject({ scorer: 'Ada', direction: 'across' });
});
