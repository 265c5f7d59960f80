import { saying } from './field-error';
import { z } from 'zod';
import { id, requiredWords, unlessANumber, words } from './common';

const figure = (low: number, high: number) =>
	z
		.strictObject({
			low: z
				.number({ error: unlessANumber })
				.min(low, { error: saying('atLeast', { least: low, unit: '' }) })
				.max(high, { error: saying('atMost', { most: high, unit: '' }) }),
			high: z
				.number({ error: unlessANumber })
				.min(low, { error: saying('atLeast', { least: low, unit: '' }) })
				.max(high, { error: saying('atMost', { most: high, unit: '' }) }),
			source: requiredWords(200)
		})
		.refine((f) => f.high >= f.low, { error: saying('highBelowLow'), path: ['high'] })
		.nullable();

export const materialFigures = z.strictObject({
	material: requiredWords(40),
	dryingC: figure(20, 200),
	dryingH: figure(0.1, 200),
	// Copies of earlier versions do not say.
	dryForH: figure(0.1, 20_000).default(null),
	// Softer than a warm hand would not stay on its spool.
	softeningC: figure(30, 400),
	densityGcm3: figure(0.3, 10),
	hotEndC: figure(100, 500),
	hardenedNozzle: z.boolean().nullable(),
	enclosure: z.boolean().nullable(),
	fumes: words(300),
	feeder: words(300)
});

/** A workshop's own copy of one material; `figures: null` takes it back. */
export const handbookBody = z
	.strictObject({ id, material: requiredWords(40), figures: materialFigures.nullable() })
	.refine((b) => b.figures === null || b.figures.material === b.material, {
		error: saying('otherMaterial'),
		path: ['figures', 'material']
	});
