import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { drawSample } from './sample';
import { COUNTS, TRAINER_ANSWERS, TRAINER_SUBJECTS } from './subjects';
import { trainingPlan, TRAINING_LENGTH, trainingResult } from './training';

const subject = fc.constantFrom(...TRAINER_SUBJECTS);
const seed = fc.integer({ min: 0, max: 0x7fffffff });

describe('drawn samples', () => {
	it('show what their grade says, and lie on the field', () => {
		fc.assert(
			fc.property(subject, fc.integer({ min: 0, max: 5 }), seed, (of, g, s) => {
				const grade = g % TRAINER_ANSWERS[of].length;
				const drawing = drawSample(of, grade, s);
				if (of !== 'overhang') {
					const [low, high] = COUNTS[of][grade] ?? [0, 0];
					const drawn = of === 'strings' ? drawing.lines.length : drawing.dots.length;
					expect(drawn).toBeGreaterThanOrEqual(low);
					expect(drawn).toBeLessThanOrEqual(high);
				}
				const points = [
					...drawing.outlines.flat(),
					...drawing.lines.flatMap((l) => l.points),
					...drawing.dots.map((d) => [d.x, d.y]),
					...drawing.labels.map((l) => [l.x, l.y])
				];
				for (const [x, y] of points) {
					expect(x).toBeGreaterThanOrEqual(0);
					expect(x).toBeLessThanOrEqual(120);
					expect(y).toBeGreaterThanOrEqual(0);
					expect(y).toBeLessThanOrEqual(90);
				}
			})
		);
	});
	it('are the same for the same seed, and others for another', () => {
		expect(drawSample('strings', 2, 5)).toEqual(drawSample('strings', 2, 5));
		expect(drawSample('strings', 3, 5)).not.toEqual(drawSample('strings', 3, 6));
	});
	it('a clean step of the ladder is straight underneath, a faulty one is not', () => {
		const bent = (lastClean: number) =>
			drawSample('overhang', lastClean, 3).outlines.map((outline) => {
				const under = outline.slice(1, 16);
				const [first, last] = [under[0], under.at(-1)];
				if (!first || !last) return NaN;
				// How far the underside lies off its straight line.
				return Math.max(
					...under.map(([x, y]) => {
						const u = (x - first[0]) / (last[0] - first[0]);
						return Math.abs(y - (first[1] + u * (last[1] - first[1])));
					})
				);
			});
		expect(bent(5).every((off) => off < 1e-9)).toBe(true);
		const some = bent(2);
		expect(some.slice(0, 3).every((off) => off < 1e-9)).toBe(true);
		expect(some.slice(3).every((off) => off > 0.2)).toBe(true);
	});
});

describe('a run', () => {
	it('has every grade equally often, in an order of its own', () => {
		fc.assert(
			fc.property(subject, seed, (of, s) => {
				const plan = trainingPlan(of, s);
				const grades = TRAINER_ANSWERS[of].map((_, g) => plan.filter((p) => p.grade === g).length);
				expect(plan).toHaveLength(TRAINING_LENGTH);
				expect(new Set(grades).size).toBe(1);
			})
		);
		expect(trainingPlan('strings', 1)).toEqual(trainingPlan('strings', 1));
		expect(trainingPlan('strings', 1).map((p) => p.grade)).not.toEqual(trainingPlan('strings', 2).map((p) => p.grade));
	});
	it('with all right agrees fully and leans nowhere', () => {
		const pairs = trainingPlan('strings', 9).map(({ grade }) => [grade, grade] as const);
		expect(trainingResult(pairs, 4)).toMatchObject({
			n: 12,
			right: 12,
			kappa: { kappa: 1 },
			shift: { mean: 0, low: 0, high: 0 },
			confused: null
		});
	});
	it('tells who is milder, and what is taken for what', () => {
		const found = trainingResult(
			[
				[0, 0],
				[1, 0],
				[1, 0],
				[2, 1],
				[3, 2],
				[3, 3]
			],
			4
		);
		expect(found).toMatchObject({ right: 2, confused: { grade: 1, answer: 0, times: 2 } });
		expect(found.shift.high).toBeLessThan(0);
	});
	it('with one answer throughout has no kappa where nothing differs', () => {
		expect(
			trainingResult(
				[
					[2, 2],
					[2, 2]
				],
				4
			).kappa
		).toBeNull();
		expect(trainingResult([], 4)).toMatchObject({ n: 0, right: 0, kappa: null, shift: { mean: 0, low: null } });
	});
});
