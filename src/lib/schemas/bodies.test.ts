import { describe, expect, it } from 'vitest';
import type { z } from 'zod';
import { AT, changed, ID, OTHER, wrong } from '../../../tests/support/bodies';
import { CORE_VERSION } from '../core/version';
import { amendmentBody, gaugeStudyBody, instrumentBody, instrumentCheckBody, noteBody } from './amendment';
import { archivingBody } from './archiving';
import { attemptBody, attemptReplacement, printerBody } from './attempt';
import { restoreBody } from './backup';
import { dryerBody, dryingEndBody, dryingFactsBody, dryingRunBody } from './drying';
import { eventBody } from './event';
import { bundle, csvImportBody, FORMAT_VERSION } from './exchange';
import { logBody, logEndBody, pictureQuery } from './gauge-log';
import { handbookBody } from './handbook';
import { photoQuery, photoSizeQuery } from './photo';
import { pieceBody, pieceFileQuery } from './piece';
import { priorSetContent } from './prior-set';
import { readingBody } from './reading';
import { filamentBody, intakeBody, intakeListBody, productFactsBody, quoteBody, spoolBody, spoolFactsBody, unboxingBody } from './spool';
import { specimenBody, specimenReplacement } from './strength';
import { trainingBody } from './training';
import {
	blindBody,
	criteriaBody,
	ownMeasureBody,
	ownMeasureFactsBody,
	protocolBody,
	trialBody,
	trialFactsBody,
	trialSpoolBody,
	verdictBody
} from './trial';
import { partBody, partStateBody } from './use-log';

// Every body at its borders: the last value that passes, the first that does not, and what is said of it.

type Door = {
	schema: z.ZodType;
	body: object;
	/** What must be there. */
	needs: string[];
	/** Numbers with the least and the most they may be. */
	between?: [path: string, low: number, high: number, step?: number][];
	/** Texts with how long they may be. */
	upTo?: [path: string, most: number][];
	/** Closed lists with a word of each. */
	oneOf?: [path: string, word: unknown][];
	passes?: Record<string, unknown>[];
	refuses?: [change: Record<string, unknown>, said: string][];
	/** What is taken where nothing is said. */
	usual?: object;
};

const step = { headerRows: 1, delimiter: ',', decimal: '.', unit: 'mm', along: 1, across: null, place: { kind: 'step', stepM: 0.1 } };
const figures = {
	material: 'PLA',
	dryingC: { low: 40, high: 50, source: 'sheet' },
	dryingH: { low: 4, high: 6, source: 'sheet' },
	dryForH: { low: 24, high: 48, source: 'sheet' },
	softeningC: { low: 55, high: 60, source: 'sheet' },
	densityGcm3: { low: 1.24, high: 1.24, source: 'sheet' },
	hotEndC: { low: 210, high: 210, source: 'sheet' },
	hardenedNozzle: null,
	enclosure: null,
	fumes: '',
	feeder: ''
};
/** Of each figure of the handbook the least and the most. */
const LIMITS = [
	['dryingC', 20, 200],
	['dryingH', 0.1, 200],
	['dryForH', 0.1, 20_000],
	['softeningC', 30, 400],
	['densityGcm3', 0.3, 10],
	['hotEndC', 100, 500]
] as const;
const hash = 'a'.repeat(64);
const text = (n: number) => 'x'.repeat(n);

const DOORS: Record<string, Door> = {
	print: {
		schema: attemptBody,
		body: { id: ID, spoolId: ID, outcome: 'finished', at: AT },
		needs: ['id', 'spoolId', 'outcome', 'at'],
		between: [
			['settings.nozzleC', 20, 500],
			['settings.bedC', 0, 200],
			['settings.fanPct', 0, 100],
			['settings.speedPct', 1, 1000],
			['settings.flowPct', 10, 300],
			['settings.retractionMm', 0, 30],
			['settings.pressureAdvance', 0, 2],
			['percentReached', 0, 100],
			['roomHumidityPct', 0, 100]
		],
		upTo: [
			['setUp.bedSurface', 60],
			['midPrint', 300],
			['note', 2000],
			['roomTemperature', 40]
		],
		oneOf: [
			['condition', 'dried'],
			['settingsPolicy', 'label'],
			['marks.strings', 'none'],
			['marks.loadEffort', 'glides']
		],
		passes: [
			{ outcome: 'failed', percentReached: 99.5, cause: 'filament', failure: undefined },
			{ outcome: 'failed', percentReached: 0, cause: 'printer' },
			{ outcome: 'ofNoUse', cause: 'filament' },
			{ gramsG: 100_000 },
			{ minutes: 100_000 },
			{ minutes: 0.5 },
			{ fileHash: hash },
			{ signs: ['pops'] },
			{ tuning: true }
		],
		refuses: [
			[{ outcome: 'failed', cause: 'filament' }, 'percentReached percentMissing'],
			[{ outcome: 'failed', cause: 'filament', percentReached: 100 }, 'percentReached percentWhole'],
			[{ outcome: 'failed', percentReached: 40 }, 'cause causeMissing'],
			[{ outcome: 'ofNoUse' }, 'cause causeMissing'],
			[{ percentReached: -1 }, 'percentReached atLeast 0 %'],
			[{ percentReached: 101 }, 'percentReached atMost 100 %'],
			[{ percentReached: 'half' }, 'percentReached notANumber'],
			[{ gramsG: 0 }, 'gramsG above 0'],
			[{ gramsG: 100_001 }, 'gramsG atMost 100000 '],
			[{ gramsG: 'many' }, 'gramsG notANumber'],
			[{ minutes: 0 }, 'minutes above 0'],
			[{ minutes: 100_001 }, 'minutes atMost 100000 '],
			[{ fileHash: 'A'.repeat(64) }, 'fileHash notASha256'],
			[{ fileHash: `${hash}0` }, 'fileHash notASha256'],
			[{ outcome: 'lost' }, 'outcome oneOf finished, failed, ofNoUse'],
			[{ 'setUp.colour': 'red' }, 'setUp unknownFields colour']
		],
		usual: {
			settings: { nozzleC: null, bedC: null, fanPct: null, speedPct: null, flowPct: null, retractionMm: null, pressureAdvance: null },
			setUp: {},
			signs: [],
			marks: {},
			zone: 'UTC'
		}
	},
	'correction of a print': {
		schema: attemptReplacement,
		body: { gramsG: 12 },
		needs: [],
		between: [['percentReached', 0, 100]],
		upTo: [['midPrint', 300]],
		passes: [{ printerId: null }, { portionId: null }, { fileHash: null }, { midPrint: null }, { gramsG: null }, { signs: [] }, { at: AT }],
		refuses: [
			[{ gramsG: undefined }, 'body nothingCorrected'],
			[{ condition: 'wet' }, 'condition oneOf asReceived, dried, exposed, soaked'],
			[{ spoolId: ID }, 'body unknownFields spoolId']
		]
	},
	event: {
		schema: eventBody,
		body: { id: ID, spoolId: ID, kind: 'soaked', at: AT },
		needs: ['id', 'spoolId', 'at'],
		between: [['humidityPct', 0, 100]],
		upTo: [['portion', 30]],
		passes: [
			{ hours: 0.1 },
			{ hours: 10_000 },
			{ kind: 'exposed' },
			{ kind: 'stored' },
			{ kind: 'cutOff', portion: 'A' },
			{ portionId: OTHER }
		],
		refuses: [
			[{ hours: 0 }, 'hours notPositive'],
			[{ hours: -1 }, 'hours notPositive'],
			[{ hours: 10_001 }, 'hours atMost 10000 '],
			[{ hours: 'long' }, 'hours notANumber'],
			[{ humidityPct: 101 }, 'humidityPct atMost 100 %'],
			[{ humidityPct: -1 }, 'humidityPct atLeast 0 %'],
			[{ humidityPct: 'humid' }, 'humidityPct notANumber']
		]
	},
	amendment: {
		schema: amendmentBody,
		body: { id: ID, targetKind: 'log', targetId: OTHER, action: 'exclude', reason: 'touched', at: AT },
		needs: ['id', 'targetKind', 'targetId', 'action', 'at'],
		upTo: [
			['reason', 500],
			['scorer', 60],
			['typed', 40]
		],
		oneOf: [['before', 'air']],
		passes: [
			{ range: { fromM: 0, toM: 100_000 } },
			{ action: 'confirm', reason: '' },
			{ action: 'undo', undoesId: OTHER, reason: '' },
			{ action: 'correct' },
			{ action: 'reinstate' },
			{ targetKind: 'printer' },
			{ scorer: '' }
		],
		refuses: [
			[{ reason: '' }, 'reason reasonMissing'],
			[{ reason: '  ' }, 'reason reasonMissing'],
			[{ action: 'correct', reason: '' }, 'reason reasonMissing'],
			[{ action: 'reinstate', reason: '' }, 'reason reasonMissing'],
			[{ action: 'undo' }, 'undoesId undoneMissing'],
			[{ range: { fromM: 1, toM: 1 } }, 'range.toM endBeforeStart'],
			[{ range: { fromM: 2, toM: 1 } }, 'range.toM endBeforeStart'],
			[{ range: { fromM: -1, toM: 1 } }, 'range.fromM atLeast 0 '],
			[{ range: { fromM: 0, toM: 100_001 } }, 'range.toM atMost 100000 '],
			[{ range: { fromM: 'here', toM: 1 } }, 'range.fromM notANumber'],
			[{ action: 'reinstate', range: { fromM: 0, toM: 1 } }, 'range onlyLogsInPart'],
			[{ action: 'correct', range: { fromM: 0, toM: 1 } }, 'range onlyLogsInPart'],
			[{ targetKind: 'reading', range: { fromM: 0, toM: 1 } }, 'range onlyLogsInPart'],
			[{ replacement: {} }, 'replacement nothingCorrected'],
			[{ specimen: {} }, 'specimen nothingCorrected']
		],
		usual: { accepted: false, zone: 'UTC' }
	},
	note: {
		schema: noteBody,
		body: { id: ID, targetKind: 'spool', targetId: OTHER, text: 'odd smell', at: AT },
		needs: ['id', 'targetKind', 'targetId', 'text', 'at'],
		upTo: [['text', 2000]],
		oneOf: [['targetKind', 'attempt']],
		passes: [{ text: 'two\nlines' }],
		refuses: [
			[{ text: ' ' }, 'text missing'],
			[{ text: 'a\u202eb' }, 'text unseenCharacters']
		]
	},
	instrument: {
		schema: instrumentBody,
		body: { id: ID, name: 'Caliper', resolution: '0.01 mm' },
		needs: ['id', 'name', 'resolution'],
		upTo: [
			['name', 120],
			['errorLimit', 40],
			['resolution', 40]
		],
		oneOf: [['measures', 'mass']],
		refuses: [[{ name: 'two\nlines' }, 'name unseenCharacters']],
		usual: { measures: 'length' }
	},
	'check of an instrument': {
		schema: instrumentCheckBody,
		body: { id: ID, instrumentId: OTHER, reference: '2 mm', readings: ['2.01'], at: AT },
		needs: ['id', 'instrumentId', 'reference', 'readings', 'at'],
		upTo: [['reference', 40]],
		passes: [{ readings: Array(100).fill('2.01') }],
		refuses: [
			[{ readings: [] }, 'readings tooFewEntries 1'],
			[{ readings: Array(101).fill('2.01') }, 'readings tooManyEntries 100'],
			[{ readings: ['2.01', ' '] }, 'readings.1 valueMissing']
		],
		usual: { referenceLimit: '' }
	},
	'gauge study': {
		schema: gaugeStudyBody,
		body: {
			id: ID,
			instrumentId: OTHER,
			raters: ['Ada'],
			readings: [0, 0, 1, 1].map((place) => ({ place, rater: 0, typed: '1.75' })),
			at: AT
		},
		needs: ['id', 'instrumentId', 'raters', 'readings', 'at'],
		between: [
			['readings.0.place', 0, 19],
			['readings.0.rater', 0, 5]
		],
		passes: [{ raters: ['A', 'B', 'C', 'D', 'E', 'F'] }, { readings: Array(600).fill({ place: 0, rater: 0, typed: '1.75' }) }],
		refuses: [
			[{ raters: [] }, 'raters tooFewEntries 1'],
			[{ raters: Array(7).fill('A') }, 'raters tooManyEntries 6'],
			[{ raters: [''] }, 'raters.0 missing'],
			[{ readings: Array(3).fill({ place: 0, rater: 0, typed: '1.75' }) }, 'readings studyTooSmall'],
			[{ readings: Array(601).fill({ place: 0, rater: 0, typed: '1.75' }) }, 'readings tooManyEntries 600'],
			[{ 'readings.0.typed': '' }, 'readings.0.typed valueMissing']
		]
	},
	'putting away': {
		schema: archivingBody,
		body: { id: ID, kind: 'spool', targetId: OTHER, archived: true },
		needs: ['id', 'kind', 'targetId', 'archived'],
		refuses: [[{ archived: 'yes' }, 'archived wrongKind boolean']]
	},
	printer: {
		schema: printerBody,
		body: { id: ID, name: 'North', nozzle: '0.4 brass' },
		needs: ['id', 'name', 'nozzle'],
		passes: [{ nozzle: '0.05' }, { nozzle: '5 steel' }, { nozzle: '0,6 hardened' }],
		refuses: [
			[{ nozzle: 'brass' }, 'nozzle notANozzle'],
			[{ nozzle: '0.04 brass' }, 'nozzle notANozzle'],
			[{ nozzle: '5.1 brass' }, 'nozzle notANozzle'],
			[{ nozzle: '0.4brass' }, 'nozzle notANozzle']
		]
	},
	restore: {
		schema: restoreBody,
		body: { id: ID, slices: 1 },
		needs: ['id'],
		between: [['slices', 1, 20_000]],
		passes: [
			{ slices: undefined, kept: 'draught-own-daily-2026-10-04T100000Z.sql.gz' },
			{ slices: undefined, kept: 'draught-demo-before-restore-1.sql' }
		],
		refuses: [
			[{ slices: undefined }, 'kept keptOrFile'],
			[{ kept: 'draught-own-daily-1.sql' }, 'kept keptOrFile'],
			[{ slices: undefined, kept: '../draught-own-daily-1.sql' }, 'kept noSuchBackup'],
			[{ slices: undefined, kept: 'draught-own-daily-1.sql.gz.exe' }, 'kept noSuchBackup']
		]
	},
	dryer: { schema: dryerBody, body: { id: ID, name: 'Warm box' }, needs: ['id', 'name'], upTo: [['name', 120]] },
	'drying run': {
		schema: dryingRunBody,
		body: { id: ID, dryerId: OTHER, spoolIds: [ID], setPoint: '50 C', duration: '4 h', at: AT },
		needs: ['id', 'dryerId', 'spoolIds', 'setPoint', 'duration', 'at'],
		upTo: [
			['setPoint', 40],
			['duration', 40]
		],
		passes: [{ spoolIds: Array(20).fill(ID) }, { endedAt: AT }],
		refuses: [
			[{ spoolIds: [] }, 'spoolIds noSpoolsInRun'],
			[{ spoolIds: Array(21).fill(ID) }, 'spoolIds tooManyEntries 20']
		],
		usual: { accepted: false }
	},
	'drying put right': {
		schema: dryingFactsBody,
		body: { id: ID, runId: OTHER, reason: 'late' },
		needs: ['id', 'runId', 'reason'],
		upTo: [
			['reason', 500],
			['setPoint', 40]
		]
	},
	'end of a drying': {
		schema: dryingEndBody,
		body: { id: ID, runId: OTHER, outcome: 'done', at: AT },
		needs: ['id', 'runId', 'outcome', 'at'],
		oneOf: [['outcome', 'void']]
	},
	table: {
		schema: csvImportBody,
		body: { id: ID, table: 'spools', text: 'code' },
		needs: ['id', 'table', 'text'],
		upTo: [['table', 40]],
		refuses: [
			[{ text: '' }, 'text fileEmpty'],
			[{ table: '' }, 'table tooShort 1']
		],
		usual: { apply: false, dayFirst: true, zone: 'UTC' }
	},
	bundle: {
		schema: bundle,
		body: {
			format: 'draught-trial',
			formatVersion: FORMAT_VERSION,
			coreVersion: CORE_VERSION,
			exportedAt: AT,
			trialId: ID,
			tables: { trial: [{}] }
		},
		needs: ['formatVersion', 'coreVersion', 'exportedAt', 'trialId', 'tables'],
		passes: [{ formatVersion: 1 }, { coreVersion: '0.0.0' }, { coreVersion: '0.9.9' }],
		refuses: [
			[{ format: 'other' }, 'format notABundle'],
			[{ formatVersion: FORMAT_VERSION + 1 }, `formatVersion newerFormat ${FORMAT_VERSION}`],
			[{ formatVersion: 0 }, 'formatVersion atLeast 1 '],
			[{ coreVersion: '99.0.0' }, `coreVersion newerVersion ${CORE_VERSION}`],
			[{ coreVersion: CORE_VERSION.replace(/\d+$/, '999') }, `coreVersion newerVersion ${CORE_VERSION}`],
			[{ coreVersion: 'x1.0.0' }, 'coreVersion notAVersion'],
			[{ coreVersion: '1.0' }, 'coreVersion notAVersion'],
			[{ 'tables.trial': {} }, 'tables.trial notRows 200000'],
			[{ 'tables.trial': [null] }, 'tables.trial notRows 200000'],
			[{ 'tables.trial': [[]] }, 'tables.trial notRows 200000'],
			[{ 'tables.trial': ['row'] }, 'tables.trial notRows 200000']
		]
	},
	log: {
		schema: logBody,
		body: { id: ID, spoolId: OTHER, name: 'run', slices: 1, layout: step, at: AT },
		needs: ['id', 'spoolId', 'name', 'layout', 'at'],
		between: [
			['layout.headerRows', 0, 20],
			['layout.along', 0, 50]
		],
		upTo: [['name', 120]],
		oneOf: [
			['layout.delimiter', ';'],
			['layout.decimal', ','],
			['layout.unit', 'um']
		],
		passes: [
			{ slices: undefined },
			{ slices: 600 },
			{ 'layout.across': 2 },
			{ 'layout.place': { kind: 'step', stepM: 10 } },
			{ 'layout.place': { kind: 'position', column: 0, perMetre: 1e6 } },
			{ 'layout.place': { kind: 'time', column: 0, perSecond: 1e9, speedMPerS: 100 } }
		],
		refuses: [
			[{ slices: 0 }, 'slices atLeast 1 '],
			[{ slices: 601 }, 'slices fileTooLarge'],
			[{ 'layout.across': 1 }, 'layout.across sameColumn'],
			[{ 'layout.across': 51 }, 'layout.across atMost 50 '],
			[{ 'layout.place': { kind: 'step', stepM: 0 } }, 'layout.place.stepM above 0'],
			[{ 'layout.place': { kind: 'step', stepM: 10.1 } }, 'layout.place.stepM atMost 10 '],
			[{ 'layout.place': { kind: 'step', stepM: 'far' } }, 'layout.place.stepM notANumber'],
			[{ 'layout.place': { kind: 'position', column: 0, perMetre: 0 } }, 'layout.place.perMetre above 0'],
			[{ 'layout.place': { kind: 'position', column: 0, perMetre: 1e6 + 1 } }, 'layout.place.perMetre atMost 1000000 '],
			[{ 'layout.place': { kind: 'time', column: 0, perSecond: 0, speedMPerS: 1 } }, 'layout.place.perSecond above 0'],
			[{ 'layout.place': { kind: 'time', column: 0, perSecond: 2e9, speedMPerS: 1 } }, 'layout.place.perSecond atMost 1000000000 '],
			[{ 'layout.place': { kind: 'time', column: 0, perSecond: 1, speedMPerS: 0 } }, 'layout.place.speedMPerS above 0'],
			[{ 'layout.place': { kind: 'time', column: 0, perSecond: 1, speedMPerS: 101 } }, 'layout.place.speedMPerS atMost 100 '],
			[{ 'layout.place': { kind: 'time', column: 0, perSecond: 1, speedMPerS: 'fast' } }, 'layout.place.speedMPerS notANumber']
		]
	},
	'end of a log': {
		schema: logEndBody,
		body: { id: ID, logId: OTHER, outcome: 'commit' },
		needs: ['id', 'logId', 'outcome'],
		between: [['slices', 1, 600]],
		oneOf: [['outcome', 'cancel']]
	},
	'picture of a log': {
		schema: pictureQuery,
		body: {},
		needs: [],
		between: [
			['columns', 1, 4000],
			['fromM', 0, 100_000],
			['toM', 0, 100_000]
		],
		passes: [{ fromM: '12.5', columns: '20' }],
		refuses: [[{ fromM: 'here' }, 'fromM notANumber']],
		usual: { columns: 600 }
	},
	'page of the handbook': {
		schema: handbookBody,
		body: { id: ID, material: 'PLA', figures },
		needs: ['id', 'material'],
		between: [],
		upTo: [
			['figures.fumes', 300],
			['figures.feeder', 300],
			['figures.dryingC.source', 200]
		],
		passes: [
			...LIMITS.map(([name, low, high]) => ({ [`figures.${name}`]: { low, high, source: 'sheet' } })),
			{ figures: null },
			{ 'figures.dryingC': null },
			{ 'figures.dryForH': undefined },
			{ 'figures.hardenedNozzle': true }
		],
		refuses: [
			...LIMITS.flatMap(([name, low, high]): [Record<string, unknown>, string][] => [
				[{ [`figures.${name}.low`]: low / 2 }, `figures.${name}.low atLeast ${low} `],
				[{ [`figures.${name}.high`]: high * 2 }, `figures.${name}.high atMost ${high} `]
			]),
			[{ 'figures.material': 'PETG' }, 'figures.material otherMaterial'],
			[{ 'figures.dryingC.high': 39 }, 'figures.dryingC.high highBelowLow'],
			[{ 'figures.dryingC.source': '' }, 'figures.dryingC.source missing'],
			[{ 'figures.dryingC.low': 'warm' }, 'figures.dryingC.low notANumber'],
			[{ 'figures.dryingC.high': 'warm' }, 'figures.dryingC.high notANumber'],
			[{ 'figures.dryingC.low': 19 }, 'figures.dryingC.low atLeast 20 '],
			[{ 'figures.dryingC.high': 201 }, 'figures.dryingC.high atMost 200 ']
		]
	},
	photograph: { schema: photoQuery, body: { id: ID, attemptId: OTHER, at: AT }, needs: ['id', 'attemptId', 'at'], usual: { zone: 'UTC' } },
	'size of a photograph': { schema: photoSizeQuery, body: {}, needs: [], oneOf: [['size', 'small']], usual: { size: 'full' } },
	piece: {
		schema: pieceBody,
		body: { id: ID, name: 'Ladder', kind: 'overhang', params: { width: 8 } },
		needs: ['id', 'name'],
		upTo: [['kind', 24]],
		passes: [
			{ gramsG: 0.1 },
			{ gramsG: 10_000 },
			{ fileHash: hash },
			{ replaces: OTHER },
			{ kind: undefined, params: undefined, marks: [{ mark: 'overhang', steps: [30, 40] }] },
			{ kind: undefined, params: undefined, marks: [{ mark: 'strings', steps: null }] }
		],
		refuses: [
			[{ params: undefined }, 'params sizesMissing'],
			[{ kind: undefined, params: undefined }, 'marks marksMissing'],
			[{ kind: undefined, params: undefined, marks: [] }, 'marks marksMissing'],
			[{ gramsG: 0 }, 'gramsG notPositive'],
			[{ gramsG: 10_001 }, 'gramsG atMost 10000 g'],
			[{ fileHash: 'nope' }, 'fileHash notASha256'],
			[{ 'params.width': 'wide' }, 'params.width notANumber'],
			[{ marks: [{ mark: 'overhang', steps: [30] }] }, 'marks.0.steps stepsTooFew'],
			[{ marks: [{ mark: 'overhang', steps: Array(41).fill(30) }] }, 'marks.0.steps tooManyEntries 40'],
			[{ marks: [{ mark: 'overhang', steps: [-1, 30] }] }, 'marks.0.steps.0 atLeast 0 '],
			[{ marks: [{ mark: 'overhang', steps: [30, 1001] }] }, 'marks.0.steps.1 atMost 1000 ']
		]
	},
	'file of a piece': {
		schema: pieceFileQuery,
		body: {},
		needs: [],
		oneOf: [['format', 'stl']],
		passes: [{ code: 'KE1' }, { code: '' }, { code: 'KED123' }],
		refuses: [
			[{ code: 'K1' }, 'code notABenchCode'],
			[{ code: 'KE1234' }, 'code notABenchCode'],
			[{ code: 'xKE1' }, 'code notABenchCode']
		],
		usual: { format: '3mf', code: '' }
	},
	priors: {
		schema: priorSetContent,
		body: {
			marks: [{ quantity: 'overhang', kind: null, material: null, cells: 1, scatter: { sd: 1, df: 2 }, mean: { centre: -1, spread: 1 } }],
			success: [{ kind: null, material: 'PLA', cells: 1, finished: 1, failed: 1 }]
		},
		needs: ['marks', 'success'],
		passes: [{ waste: { cells: 1, wasted: 1, spared: 1 } }],
		refuses: [
			[{ 'marks.0.cells': 0 }, 'marks.0.cells atLeast 1 '],
			[{ 'marks.0.scatter.sd': 0 }, 'marks.0.scatter.sd above 0'],
			[{ 'success.0.failed': 0 }, 'success.0.failed above 0'],
			[{ 'marks.0.quantity': text(61) }, 'marks.0.quantity tooLong 60'],
			[{ 'marks.0.kind': text(121) }, 'marks.0.kind tooLong 120'],
			[{ 'marks.0.material': text(61) }, 'marks.0.material tooLong 60']
		]
	},
	reading: {
		schema: readingBody,
		body: { id: ID, spoolId: OTHER, quantity: 'diameter', typed: '1.75', takenAt: AT },
		needs: ['id', 'spoolId', 'quantity', 'typed', 'takenAt'],
		between: [
			['placeIndex', 0, 9999],
			['positionM', 0, 5000],
			['roomTemperatureC', -40, 80],
			['roomHumidityPct', 0, 100]
		],
		upTo: [
			['scorer', 60],
			['typed', 40]
		],
		oneOf: [
			['direction', 'across'],
			['before', 'dried']
		],
		passes: [
			{ scorer: '' },
			{
				photo: {
					id: OTHER,
					corners: [
						[-20_000, 40_000],
						[1, 1],
						[2, 2],
						[3, 3]
					]
				}
			}
		],
		refuses: [
			[{ typed: '' }, 'typed valueMissing'],
			[{ quantity: 'smell' }, 'quantity oneOf'],
			[{ photo: { id: OTHER, corners: [[0, 0]] } }, 'photo.corners fourCorners'],
			[{ 'photo.id': OTHER, 'photo.corners': Array(4).fill([-20_001, 0]) }, 'photo.corners.0.0 atLeast -20000 '],
			[{ 'photo.id': OTHER, 'photo.corners': Array(4).fill([0, 40_001]) }, 'photo.corners.0.1 atMost 40000 '],
			[{ takenAt: 'yesterday' }, 'takenAt notAnInstant'],
			[{ takenAt: '1969-12-31T23:59:59Z' }, 'takenAt before1970'],
			[{ zone: 'Nowhere/Else' }, 'zone unknownZone'],
			[{ id: '123' }, 'id notAUuid'],
			[{ id: '01890000-0000-4000-8000-000000000001' }, 'id notAUuid']
		],
		usual: { accepted: false, zone: 'UTC' }
	},
	intake: {
		schema: intakeBody,
		body: { id: ID, material: 'PETG', at: AT },
		needs: ['id', 'material', 'at'],
		between: [['quantity', 1, 1000]],
		upTo: [
			['material', 40],
			['maker', 120],
			['note', 2000],
			['price', 40],
			['good', 120]
		],
		oneOf: [
			['role', 'house'],
			['currency', 'USD'],
			['quoteKind', 'sale']
		],
		passes: [{ benchCode: 'ke1' }, { benchCode: ' KED9 ' }, { colourHex: '#a0B1c2' }],
		refuses: [
			[{ benchCode: 'KE0' }, 'benchCode notABenchCode'],
			[{ benchCode: 'K1' }, 'benchCode notABenchCode'],
			[{ benchCode: 'KEDD1' }, 'benchCode notABenchCode'],
			[{ benchCode: 'KE12' }, 'benchCode notABenchCode'],
			[{ benchCode: '1KE1' }, 'benchCode notABenchCode'],
			[{ colourHex: 'red' }, 'colourHex notAColour'],
			[{ colourHex: '#a0B1c2f' }, 'colourHex notAColour'],
			[{ quantity: 0 }, 'quantity atLeast 1 ']
		],
		usual: { role: 'candidate', currency: 'EUR', quantity: 1, quoteKind: 'list', zone: 'UTC' }
	},
	'list of an intake': {
		schema: intakeListBody,
		body: { id: ID, rows: [{ id: OTHER, material: 'PLA', at: AT }] },
		needs: ['id', 'rows'],
		refuses: [
			[{ rows: [] }, 'rows noRowsToTakeIn'],
			[{ rows: Array(201).fill({ id: OTHER, material: 'PLA', at: AT }) }, 'rows tooManyEntries 200'],
			[{ 'rows.0.trialId': OTHER }, 'rows.0 unknownFields trialId']
		]
	},
	unboxing: {
		schema: unboxingBody,
		body: { id: ID, spoolId: OTHER, nothingOdd: true, at: AT },
		needs: ['id', 'spoolId', 'at'],
		passes: [
			{ nothingOdd: undefined, good: 'wound neatly' },
			{ nothingOdd: undefined, odd: { odour: 'sour' } }
		],
		refuses: [
			[{ nothingOdd: undefined }, 'odd nothingOddSaid'],
			[{ nothingOdd: false }, 'odd nothingOddSaid'],
			[{ nothingOdd: undefined, odd: {} }, 'odd nothingOddSaid']
		]
	},
	filament: {
		schema: filamentBody,
		body: { id: ID, maker: 'Lathe', name: 'One', material: 'PLA' },
		needs: ['id', 'maker', 'name', 'material']
	},
	spool: {
		schema: spoolBody,
		body: { id: ID, filamentId: OTHER, at: AT },
		needs: ['id', 'filamentId', 'at'],
		usual: { role: 'candidate' }
	},
	price: {
		schema: quoteBody,
		body: { id: ID, filamentId: OTHER, currency: 'EUR', price: '20', netMass: '1 kg', at: AT },
		needs: ['id', 'filamentId', 'currency', 'price', 'netMass', 'at'],
		between: [['quantity', 1, 1000]],
		usual: { quantity: 1, quoteKind: 'list' }
	},
	'name of a product': {
		schema: productFactsBody,
		body: { id: ID, spoolId: OTHER, maker: 'Lathe', reason: 'misread' },
		needs: ['id', 'spoolId', 'reason'],
		upTo: [['reason', 300]],
		refuses: [[{ reason: ' ' }, 'reason reasonMissing']]
	},
	'facts of a spool': {
		schema: spoolFactsBody,
		body: { id: ID, spoolId: OTHER, at: AT },
		needs: ['id', 'spoolId', 'at'],
		passes: [{ seen: { colour: null } }],
		refuses: [[{ seen: { [text(41)]: 1 } }, `seen.${text(41)} unknownName`]]
	},
	specimen: {
		schema: specimenBody,
		body: { id: ID, spoolId: OTHER, shape: 'hook', orientation: 'upright', method: 'steps', at: AT },
		needs: ['id', 'spoolId', 'shape', 'orientation', 'method', 'at'],
		between: [['nozzleC', 20, 500]],
		upTo: [
			['shape', 60],
			['made', 60]
		],
		refuses: [
			[{ nozzleC: 19 }, 'nozzleC atLeast 20 C'],
			[{ nozzleC: 501 }, 'nozzleC atMost 500 C'],
			[{ nozzleC: 'hot' }, 'nozzleC notANumber']
		]
	},
	'correction of a specimen': {
		schema: specimenReplacement,
		body: { nozzleC: null },
		needs: [],
		passes: [{ made: null }, { shape: 'bar' }],
		refuses: [[{ nozzleC: undefined }, 'body nothingCorrected']]
	},
	training: {
		schema: trainingBody,
		body: { id: ID, scorer: 'Ada', subject: 'strings', seed: 1, answers: Array(12).fill(0), at: AT },
		needs: ['id', 'scorer', 'subject', 'seed', 'answers', 'at'],
		between: [
			['seed', 0, 0x7fffffff],
			['answers.0', 0, 9]
		],
		upTo: [['scorer', 60]],
		refuses: [[{ scorer: '' }, 'scorer missing']]
	},
	trial: {
		schema: trialBody,
		body: { id: ID, name: 'Domes' },
		needs: ['id', 'name'],
		upTo: [
			['name', 120],
			['question', 2000]
		],
		oneOf: [
			['preset', 'fineLooks'],
			['currency', 'USD'],
			['conditionPolicy', 'both']
		],
		passes: [{ spoolIds: Array(200).fill(OTHER) }],
		refuses: [[{ spoolIds: Array(201).fill(OTHER) }, 'spoolIds tooManyEntries 200']],
		usual: { preset: 'own', currency: 'EUR', blind: false, spoolIds: [] }
	},
	weights: {
		schema: criteriaBody,
		body: { id: ID, trialId: OTHER, items: [{ quantity: 'strings', weight: 5, gate: null }] },
		needs: ['id', 'trialId', 'items'],
		between: [['items.0.weight', 0, 10]],
		passes: [{ 'items.0.gate': { op: 'atLeast', limit: -1e9 } }, { 'items.0.gate': { op: 'atMost', limit: 1e9 } }, { items: [] }],
		refuses: [
			[{ 'items.0.quantity': 'smell' }, 'items.0.quantity unknownCriterion'],
			[{ 'items.0.weight': 11 }, 'items.0.weight atMost 10 '],
			[{ 'items.0.weight': -1 }, 'items.0.weight atLeast 0 '],
			[{ 'items.0.gate': { op: 'about', limit: 1 } }, 'items.0.gate.op oneOf atLeast, atMost'],
			[{ 'items.0.gate': { op: 'atMost', limit: 2e9 } }, 'items.0.gate.limit atMost 1000000000 '],
			[{ 'items.0.gate': { op: 'atMost', limit: -2e9 } }, 'items.0.gate.limit atLeast -1000000000 '],
			[
				{
					items: [
						{ quantity: 'strings', weight: 5, gate: null },
						{ quantity: 'strings', weight: 4, gate: null }
					]
				},
				'items criterionTwice'
			]
		]
	},
	rules: {
		schema: protocolBody,
		body: { id: ID, trialId: OTHER },
		needs: ['id', 'trialId'],
		between: [
			['repeats', 1, 20],
			['diameterPlaces', 1, 100],
			['diameterDirections', 1, 2],
			['strengthHighN', 1, 100_000]
		],
		oneOf: [
			['settingsPolicy', 'label'],
			['conditionPolicy', 'asReceived'],
			['valueRule', 'weighted'],
			['failureRule', 'unknown'],
			['claimRule', 'share']
		],
		passes: [
			{ printerId: null },
			{ pieceIds: Array(20).fill(OTHER) },
			{ ownMeasureIds: Array(50).fill(OTHER) },
			{ specimenKinds: { load: 'hook' } },
			{ specimenKinds: null }
		],
		refuses: [
			[{ pieceIds: [] }, 'pieceIds noPieces'],
			[{ pieceIds: Array(21).fill(OTHER) }, 'pieceIds tooManyEntries 20'],
			[{ ownMeasureIds: Array(51).fill(OTHER) }, 'ownMeasureIds tooManyEntries 50'],
			[{ strengthHighN: 0 }, 'strengthHighN atLeast 1 N'],
			[{ strengthHighN: 100_001 }, 'strengthHighN atMost 100000 N'],
			[{ strengthHighN: 'strong' }, 'strengthHighN notANumber'],
			[{ 'specimenKinds.load': text(201) }, 'specimenKinds.load tooLong 200']
		]
	},
	'facts of a trial': {
		schema: trialFactsBody,
		body: { id: ID, trialId: OTHER },
		needs: ['id', 'trialId'],
		upTo: [['reason', 300]],
		usual: { reason: 'said later' }
	},
	blindness: { schema: blindBody, body: { id: ID, trialId: OTHER, blind: true }, needs: ['id', 'trialId', 'blind'] },
	'spool of a trial': {
		schema: trialSpoolBody,
		body: { id: ID, trialId: OTHER, spoolId: OTHER },
		needs: ['id', 'trialId', 'spoolId'],
		oneOf: [['role', 'house']],
		usual: { role: 'candidate' }
	},
	'own measure': {
		schema: ownMeasureBody,
		body: { id: ID, trialId: OTHER, name: 'Grip', low: 0, high: 10 },
		needs: ['id', 'trialId', 'name', 'low', 'high'],
		upTo: [
			['name', 60],
			['unit', 16]
		],
		oneOf: [
			['direction', 'nearest'],
			['family', 'looks']
		],
		passes: [{ low: undefined, high: undefined, words: ['bad', 'good'] }, { words: 'abcdefghi'.split('') }, { low: -1e9, high: 1e9 }],
		refuses: [
			[{ high: 0 }, 'high highNotAboveLow'],
			[{ high: -1 }, 'high highNotAboveLow'],
			[{ low: 'none' }, 'low notANumber'],
			[{ low: -2e9 }, 'low atLeast -1000000000 '],
			[{ high: 2e9 }, 'high atMost 1000000000 '],
			[{ words: ['one'] }, 'words tooFewWords 2'],
			[{ words: 'abcdefghij'.split('') }, 'words tooManyEntries 9'],
			[{ words: ['Good', 'good'] }, 'words wordTwice'],
			[{ words: ['a', text(31)] }, 'words.1 tooLong 30'],
			[{ family: 'cost' }, 'family oneOf']
		],
		usual: { unit: '', direction: 'more' }
	},
	'facts of an own measure': {
		schema: ownMeasureFactsBody,
		body: { id: ID, measureId: OTHER },
		needs: ['id', 'measureId'],
		passes: [{ family: null }, { name: 'Grip' }, { low: -1 }],
		refuses: [[{ family: 'cost' }, 'family oneOf']]
	},
	verdict: {
		schema: verdictBody,
		body: { id: ID, trialId: OTHER, spoolId: OTHER, kind: 'buy', at: AT },
		needs: ['id', 'trialId', 'spoolId', 'kind', 'at'],
		upTo: [['note', 2000]],
		passes: [{ kind: 'buyFor', buyFor: 'brackets' }],
		refuses: [
			[{ kind: 'buyFor' }, 'buyFor buyForMissing'],
			[{ kind: 'buyFor', buyFor: ' ' }, 'buyFor buyForMissing']
		]
	},
	part: {
		schema: partBody,
		body: { id: ID, spoolId: OTHER, name: 'Knob', at: AT },
		needs: ['id', 'spoolId', 'name', 'at'],
		upTo: [['place', 120]]
	},
	'state of a part': {
		schema: partStateBody,
		body: { id: ID, partId: OTHER, state: 'holds', at: AT },
		needs: ['id', 'partId', 'at'],
		upTo: [['note', 2000]]
	}
};

describe.each(Object.entries(DOORS))(
	'%s',
	(_, { schema, body, needs, between = [], upTo = [], oneOf = [], passes = [], refuses = [], usual }) => {
		const said = (by: Record<string, unknown>) => wrong(schema, changed(body, by));
		it('passes as it is, and knows no other field', () => {
			expect(said({})).toEqual([]);
			if (usual) expect(schema.parse(body)).toMatchObject(usual);
			const other = said({ other: 1 });
			// What a query has besides is not ours to refuse.
			if (other.length > 0) expect(other).toEqual(['body unknownFields other']);
		});
		it('wants what it needs', () => {
			for (const path of needs) expect(said({ [path]: undefined })[0], path).toMatch(new RegExp(`^${path} (missing|oneOf .*)$`));
		});
		it('passes up to its borders and not beyond', () => {
			for (const [path, low, high] of between) {
				expect([said({ [path]: low }), said({ [path]: high })], path).toEqual([[], []]);
				expect(
					said({ [path]: low - 1 }).some((line) => line.startsWith(path)),
					`${path} below ${low}`
				).toBe(true);
				expect(
					said({ [path]: high + 1 }).some((line) => line.startsWith(path)),
					`${path} above ${high}`
				).toBe(true);
			}
			for (const [path, most] of upTo) {
				expect(said({ [path]: text(most) }), path).toEqual([]);
				expect(said({ [path]: text(most + 1) }), path).toEqual([`${path} tooLong ${most}`]);
			}
			for (const [path, word] of oneOf) {
				expect(said({ [path]: word }), path).toEqual([]);
				expect(said({ [path]: 'nonsense' })[0]?.startsWith(`${path} oneOf `), path).toBe(true);
			}
		});
		it('passes what may be, and says what is wrong with the rest', () => {
			for (const by of passes) expect(said(by), JSON.stringify(by)).toEqual([]);
			for (const [by, line] of refuses) {
				const lines = said(by);
				expect(
					lines.some((one) => one === line || one.startsWith(`${line} `)),
					`${JSON.stringify(by)}: ${lines.join('; ')}, not ${line}`
				).toBe(true);
			}
		});
	}
);
