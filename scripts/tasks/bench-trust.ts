/**
 * npm run bench:trust: how far the ranges, letters and tiers can be trusted, by simulation with known truth. Seeded: the same figures every
 * time. With --write they go into docs/trust as well.
 */
import { mkdirSync, writeFileSync } from 'node:fs';
import { sum } from 'd3-array';
import { CLAIM_INSTRUMENTS, claimFigures } from '../../tests/support/trust/claims';
import { printFigures } from '../../tests/support/trust/prints';
import { sharedFigures } from '../../tests/support/trust/shared';
import { coveragePlot, type Covered } from '../../tests/support/trust/plot';
import { KINDS, type Kind } from '../../tests/support/trust/kinds';
import { Simulation } from '../../tests/support/trust/simulate';
import { EACH_RECORD, tierFigures } from '../../tests/support/trust/tiers';

const SEED = 20261127;
const TRIALS = Number(process.env.DRAUGHT_TRUST_TRIALS ?? 400);
const EACH = [1, 2, 3, 5];
/** Spreads between spools, in standard errors of a mean of n. */
const SPREADS = [0.5, 1, 2];

const percent = (of: number, all: number) => `${((100 * of) / all).toFixed(1)} %`;
const lines: string[] = [];
function say(line: string): void {
	console.log(line);
	lines.push(line);
}
const row = (...cells: string[]) => say(`| ${cells.join(' | ')} |`);
function head(...cells: string[]): void {
	row(...cells);
	row(...cells.map(() => '---'));
}

type Counted = { covered: number; trials: number; width: number; apart: number };

/** What ranges and letters of n prints each come to, over many records. */
function counted(kind: Kind, record: 'full' | 'silent', n: number, seed: number): Counted {
	const simulation = new Simulation(kind, seed);
	const priorAt = (between: number) => (record === 'full' ? simulation.learnt(between) : kind.model.assumed);
	const all: Counted = { covered: 0, trials: 0, width: 0, apart: 0 };
	for (let done = 0; done < TRIALS; done += EACH_RECORD) {
		for (const spread of SPREADS) {
			const between = (spread * kind.sd) / Math.sqrt(n);
			const found = simulation.coverage(n, between, priorAt(between), EACH_RECORD);
			all.covered += found.covered;
			all.trials += found.trials;
			all.width += found.width * found.trials;
		}
		all.apart += simulation.falselyApart(6, n, priorAt(kind.sd / Math.sqrt(n)), EACH_RECORD);
	}
	return all;
}

/** Ranges and letters of one kind of mark, one print or several each. */
function ranges(): Covered[] {
	const all: Covered[] = [];
	head('kind', 'record', 'n', 'covered', 'mean width', 'six alike, some pair apart');
	for (const [index, kind] of KINDS.entries())
		for (const record of ['full', 'silent'] as const)
			for (const n of EACH) {
				const { covered, trials, width, apart } = counted(kind, record, n, SEED + 100 * index + n);
				const pairs = percent(apart, trials / SPREADS.length);
				row(kind.name, record, String(n), percent(covered, trials), (width / trials).toPrecision(3), pairs);
				all.push({ kind: kind.name, record, n, share: covered / trials });
			}
	return all;
}

/** Who comes into the first tier, by one mark and by three weighed alike. */
function tiers(): void {
	head(
		'spools',
		'marks',
		'n',
		'spread',
		'best in the first tier',
		'all one tier',
		'spools in the first tier',
		'told 70 to 80 %, came true'
	);
	const [overhang, , , words, , load] = KINDS;
	const marks = [[overhang], [overhang, words, load]].map((kinds) => kinds.flatMap((k) => k ?? []));
	for (const spools of [6, 12])
		for (const kinds of marks)
			for (const n of [1, 2])
				for (const spread of [0, ...SPREADS]) {
					const found = tierFigures(kinds, { spools, n, spread, trials: TRIALS, seed: SEED + 1000 * spools + 10 * n });
					const { count, came } = found.told;
					const [best, told] =
						spread === 0
							? ['no best', 'no best']
							: [percent(found.bestInFirst, found.trials), `${came} of ${count}${count >= 20 ? ` (${percent(came, count)})` : ''}`];
					const one = percent(found.oneTier, found.trials);
					row(String(spools), String(kinds.length), String(n), String(spread), best, one, found.meanSize.toFixed(1), told);
				}
}

/** Whether a chance of being the best comes true as often as it is told. */
function chances(): void {
	const tenths = Array.from({ length: 10 }, (_, i) => `${i * 10} to ${i * 10 + 10} %`);
	head('spools, n', ...tenths);
	const [overhang, , , words, , load] = KINDS;
	const kinds = [overhang, words, load].flatMap((k) => k ?? []);
	for (const n of [1, 2, 3, 4, 5]) {
		const found = SPREADS.map((spread, i) => tierFigures(kinds, { spools: 6, n, spread, trials: TRIALS, seed: SEED + 77 * n + i }));
		const cells = tenths.map((_, k) => {
			const count = sum(found, (f) => f.tenths[k]?.count ?? 0);
			return count < 20
				? `(${count})`
				: `${percent(
						sum(found, (f) => f.tenths[k]?.came ?? 0),
						count
					)} of ${count}`;
		});
		row(`6, n ${n}`, ...cells);
	}
}

/** Success and the cost of good prints. */
function printRanges(): void {
	head('record', 'prints', 'success covered', 'mean width', 'cost covered', 'mean width, price 20');
	for (const record of ['full', 'silent'] as const)
		for (const n of [1, 2, 3, 5, 10]) {
			const { trials, success, cost, successWidth, costWidth } = printFigures(n, record, TRIALS * 5, SEED + n, EACH_RECORD);
			row(
				record,
				String(n),
				percent(success, trials),
				(successWidth / trials).toFixed(2),
				percent(cost, trials),
				(costWidth / trials).toFixed(1)
			);
		}
}

/** Claims that are just kept or just broken, looked at as they grow. */
function claims(): void {
	head('instrument', 'mean off nominal, mm', 'ever called kept', 'ever called broken');
	for (const [i, instrument] of CLAIM_INSTRUMENTS.entries())
		for (const offMm of [0, 0.01, 0.02, 0.03]) {
			const trials = TRIALS * 5;
			const { kept, broken } = claimFigures(instrument, offMm, trials, SEED + i);
			row(instrument.name, String(offMm), percent(kept, trials), percent(broken, trials));
		}
}

/** An error that all spools have in common. */
function sharedErrors(): void {
	head('six alike, some pair apart', 'a better seventh found', 'found if the error were each one’s own');
	const trials = TRIALS * 5;
	const { apart, found, foundAsOwn } = sharedFigures(trials, SEED);
	row(percent(apart, trials), percent(found, trials), percent(foundAsOwn, trials));
}

say(`${TRIALS} trials a line and spread, seed ${SEED}.`);
say('');
const covered = ranges();
say('');
tiers();
for (const table of [chances, printRanges, claims, sharedErrors]) {
	say('');
	table();
}
if (process.argv.includes('--write')) {
	mkdirSync('docs/trust', { recursive: true });
	writeFileSync('docs/trust/figures.md', `# Figures of npm run bench:trust\n\n${lines.join('\n')}\n`);
	writeFileSync('docs/trust/coverage.svg', coveragePlot(covered));
}
