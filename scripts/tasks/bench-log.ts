import { appendFileSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v7 } from 'uuid';
import { summarise } from '../../src/lib/core/record/gauge-log/summary';
import { logBody, logEndBody } from '../../src/lib/schemas/gauge-log';
import { intakeBody } from '../../src/lib/schemas/spool';
import type { Database } from '../../src/lib/server/base/db/client';
import { announceLog, endLog, putSlice } from '../../src/lib/server/stations/diameter/arrive';
import { logPicture } from '../../src/lib/server/record/logs/logs';
import { loadEvidence } from '../../src/lib/server/record/evidence/load';
import { addSpool } from '../../src/lib/server/stations/intake/add-spool';
import { lineGauge } from '../../src/lib/standins/line-gauge';
import { line, ms, msAsync } from './timing';

const SAMPLES = 1_000_000;
const SLICE = 448 * 1024;
const STRAND = {
	meanMm: 1.75,
	driftMmPer100M: 0.002,
	periodicity: { periodM: 1.87, amplitudeMm: 0.006 },
	wander: { sdMm: 0.005, lengthM: 8 },
	noiseMm: 0.0015,
	thickSpots: [{ atM: 200, overMm: 0.21, lengthM: 0.4 }]
};
const GAUGE = { stepM: 0.00033, resolutionMm: 0.001, axes: 2 as const, ovalityMm: 0.004 };
const LAYOUT = {
	headerRows: 1,
	delimiter: ',',
	decimal: '.',
	unit: 'mm',
	along: 1,
	across: 2,
	place: { kind: 'position', column: 0, perMetre: 1 }
};

/** A log of a million rows: imported, stored, worked out, drawn. */
export async function benchLog(db: Database): Promise<void> {
	const folder = mkdtempSync(join(tmpdir(), 'draught-bench-'));
	const path = join(folder, 'gauge.csv');
	const now = Date.now();
	const at = new Date(now).toISOString();
	const take = async (): Promise<{ logId: string; spoolId: string }> => {
		const { spoolId } = (await addSpool(db, intakeBody.parse({ id: v7(), material: 'PETG', labelTolerance: '0.02', at }), now)).answer;
		const bytes = readFileSync(path);
		const slices = Math.ceil(bytes.length / SLICE);
		const logId = v7();
		await announceLog(db, logBody.parse({ id: logId, spoolId, name: 'gauge.csv', slices, layout: LAYOUT, at }), now);
		for (let k = 0; k < slices; k++) await putSlice(db, logId, k, bytes.subarray(k * SLICE, (k + 1) * SLICE));
		await endLog(db, logEndBody.parse({ id: v7(), logId, outcome: 'commit' }), now);
		await loadEvidence(db, [spoolId]);
		return { logId, spoolId };
	};
	try {
		writeInPieces(path);
		const plainRead = ms(() => readFileSync(path, 'utf8').length);
		let first = { logId: '', spoolId: '' };
		const imported = await msAsync(async () => (first = await take()));
		line('log of 1,000,000 rows imported, stored and worked out', imported, 10_000, 'plain read of the file', plainRead);
		const peakMiB = process.resourceUsage().maxRSS / 1024;
		console.log(`peak memory of the process so far: ${peakMiB.toFixed(0)} MiB (limit 512 MiB: ${peakMiB <= 512 ? 'kept' : 'MISSED'})`);
		// Another log in between: the first is read from the database again.
		const second = await take();
		await logPicture(db, second.logId, { columns: 600 });
		const drawn = await msAsync(() => logPicture(db, first.logId, { columns: 600 }));
		const zoomed = await msAsync(() => logPicture(db, first.logId, { fromM: 199, toM: 201, columns: 600 }));
		const along = Float64Array.from(lineGauge(STRAND, GAUGE, SAMPLES, 1), (s) => s.along);
		const pass = () => {
			let sum = 0;
			for (let i = 0; i < along.length; i++) sum += along[i] as number;
			return sum;
		};
		pass();
		const onePass = ms(pass);
		line('its picture, read from the database', drawn, 300, 'one pass over its samples', onePass);
		line('its picture, zoomed into two metres', zoomed, 300, 'one pass over its samples', onePass);
		const log = { along, across: null, position: { kind: 'even' as const, startM: 0, stepM: GAUGE.stepM } };
		line(
			'1,000,000 samples worked out (core alone)',
			ms(() => summarise(log, 1.75)),
			null,
			'one pass over its samples',
			onePass
		);
		console.log('');
	} finally {
		rmSync(folder, { recursive: true, force: true });
	}
}

/** The file as a gauge writes it, without ever holding it whole: its making must not count as the import's memory. */
function writeInPieces(path: string): void {
	let piece = 'm,along mm,across mm\n';
	for (const s of lineGauge(STRAND, GAUGE, SAMPLES, 1)) {
		piece += `${s.positionM},${s.along},${s.across}\n`;
		if (piece.length < 1_000_000) continue;
		appendFileSync(path, piece);
		piece = '';
	}
	appendFileSync(path, piece);
}
