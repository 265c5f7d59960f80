/**
 * npm run bench:trust: how far the ranges, letters and tiers can be trusted, by simulation with known truth. Seeded: the same figures every
 * time. With --write they go into docs/trust as well.
 */
import { mkdirSync, writeFileSync } from 'node:fs';
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

say(`${TRIALS} trials a line and spread, seed ${SEED}.`);
say('');
const covered = ranges();
say('');
tiers();
if (process.argv.includes('--write')) {
	mkdirSync('docs/trust', { recursive: true });
	writeFileSync('docs/trust/figures.md', `# Figures of npm run bench:trust\n\n${lines.join('\n')}\n`);
	writeFileSync('docs/trust/coverage.svg', coveragePlot(covered));
}
