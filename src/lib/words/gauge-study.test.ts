import { describe, expect, it } from 'vitest';
import { gaugeStudy } from '$lib/core/stations/diameter/gauge-study';
import { studyWords } from './gauge-study';

/** Places 0.02 mm apart; each rater adds their own, each round its own. */
const cells = (raters: number[], rounds: number[], cross = 0) =>
	Array.from({ length: 4 }, (_, place) =>
		raters.map((own, rater) =>
			rounds.map(
				(round, i) =>
					1.74 + place * 0.02 + own + (place % 2 ? cross * (rater ? 1 : -1) : 0) + (i % 2 ? round : -round) * (place < 2 ? 1 : -1)
			)
		)
	);
const words = (...given: Parameters<typeof cells>) => studyWords(gaugeStudy(cells(...given)));

describe('a gauge study in words', () => {
	it('says what to do about its largest part', () => {
		expect(words([0, 0.03], [0.001, 0.001]).advice).toContain('one person against another');
		expect(words([0, 0.0005], [0.008, 0.008]).advice).toContain('same hand at the same place');
		expect(words([0, 0], [0.0005, 0.0005], 0.01).advice).toContain('mark the place');
		expect(words([0], [0.002, 0.002]).advice).toContain('One rater says nothing');
		const alike = words([0, 0], [0, 0]);
		expect(alike.headline).toContain('hidden by the step');
		expect(alike.advice).toContain('finer');
	});
	it('holds six standard deviations against the tolerance, AIAG’s bounds', () => {
		const found = words([0, 0], [0.001, 0.001]);
		expect(found.headline).toMatch(/scatters by 0\.00\d\d mm \(95 % 0\.00\d\d to 0\.0\d+; 16 readings\)/);
		expect(found.ofTolerances).toMatch(/of ±0\.02 mm: usable; \d+ % of ±0\.03 mm: usable; \d+ % of ±0\.05 mm: (good|usable)/);
		expect(found.parts.reduce((sum, p) => sum + p.sharePct, 0)).toBeCloseTo(100, 9);
	});
});
