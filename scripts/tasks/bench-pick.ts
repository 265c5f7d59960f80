import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { randomNormal } from 'd3-random';
import { blocksOf, pickFrom } from '../../src/lib/core/answers/pick/pick-from';
import type { PickInput } from '../../src/lib/core/answers/pick/types';
import { findCell } from '../../src/lib/core/judging/posterior/find-cell';
import { learnSet } from '../../src/lib/core/judging/posterior/learn-set';
import { modelOf } from '../../src/lib/core/judging/posterior/model';
import { ladderAs } from '../../src/lib/core/judging/posterior/observed';
import type { RecordCell } from '../../src/lib/core/judging/posterior/record-cell';
import { markQuantity } from '../../src/lib/core/stations/prints/marks/marks';
import { randomSource } from '../../src/lib/core/kernel/random/source';
import { pickInWorkerMs } from './bench-worker';
import { line, middleMs, ms, percentile } from './timing';

const MANY = 100_000;
const CELLS = 10_000;
/** Forty spools of twelve quantities. */
const FOUND = 480;

/** The pick's draws beside the same in numpy, an importance that is dragged, and a set of priors learnt from a large record. */
export async function benchPick(input: PickInput): Promise<void> {
	const { candidates, criteria } = input;
	pickFrom(input, blocksOf(input, 200, 1));
	const uniforms = (draws: number) => () => {
		const source = randomSource(1);
		const out = new Float64Array(candidates.length * criteria.length);
		for (let d = 0; d < draws; d++) for (let i = 0; i < out.length; i++) out[i] = source();
		return out;
	};
	// Another seed each round: nothing that was drawn before is good any more.
	let seed = 1;
	const quick = middleMs(() => pickFrom(input, blocksOf(input, 2000, ++seed)));
	line('first places, 40 spools x 12 criteria, 2,000 draws', quick, 150, 'as many uniform numbers', ms(uniforms(2000)));

	const kept = [...blocksOf(input, 2000, 1)];
	pickFrom(input, kept);
	let weight = 1;
	const drag = () => pickFrom({ ...input, criteria: criteria.map((c, i) => (i === 0 ? { ...c, weight: ++weight } : c)) }, kept);
	line('an importance dragged to new tiers', middleMs(drag), 50, 'drawing anew', quick);

	const many = percentile(await pickInWorkerMs(input, MANY), 0.5);
	const numpy = numpyMs(candidates.length, criteria.length);
	if (numpy === null)
		line(
			'the same, 100,000 draws, in the worker (no python3-numpy to set it beside)',
			many,
			null,
			'as many uniform numbers',
			ms(uniforms(MANY))
		);
	else line('the same, 100,000 draws, in the worker of the page', many, 0.6 * numpy, 'the same in numpy, one thread', numpy);

	const cells = record();
	const few = cells.slice(0, FOUND);
	// No two cells are alike, so none is found twice.
	const found = ms(() => few.forEach(findAlone));
	line(`${FOUND} findings of marks (core, nothing remembered)`, found, 1000, 'one of them', found / FOUND);
	line(
		`priors learnt from ${CELLS.toLocaleString('en')} cells`,
		ms(() => learnSet(cells, [])),
		20_000,
		'of a hundred cells',
		ms(() => learnSet(cells.slice(0, 100), []))
	);
}

const findAlone = ({ observed, model }: RecordCell) => findCell(observed, model, model.assumed);

/** Milliseconds of the script beside this one; null where there is no numpy. */
function numpyMs(spools: number, criteria: number): number | null {
	const script = [join(import.meta.dirname, 'draws.py'), String(spools), String(criteria), String(MANY)];
	const seconds = [1, 2, 3].map(() => Number.parseFloat(spawnSync('python3', script, { encoding: 'utf8' }).stdout));
	const middle = percentile(seconds, 0.5);
	return Number.isFinite(middle) ? middle * 1000 : null;
}

/** Ladders of ten kinds of pieces in five materials, each cell printed twice; no two alike. */
function record(): RecordCell[] {
	const normal = randomNormal.source(randomSource(3))(0, 1);
	const model = modelOf(markQuantity('overhang'), 'plain');
	return Array.from({ length: CELLS }, (_, i) => {
		const mean = 58 + 4 * normal();
		const observed = [0, 1].map(() => {
			const at = mean + 3 * normal();
			return ladderAs(at - 2.5, at + 2.5);
		});
		return { quantity: 'overhang', kind: `kind ${i % 10}`, material: `material ${i % 5}`, model, observed };
	});
}
