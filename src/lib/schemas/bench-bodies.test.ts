import { holdAtTheirBorders } from '../../../tests/support/doors';
import { AT, ID, OTHER, text } from '../../../tests/support/bodies';
import { CORE_VERSION } from '../core/version';
import { gaugeStudyBody, instrumentBody, instrumentCheckBody } from './amendment';
import { archivingBody } from './archiving';
import { printerBody } from './attempt';
import { restoreBody } from './backup';
import { dryerBody, dryerCheckBody, dryingEndBody, dryingFactsBody, dryingRunBody } from './drying';
import { bundle, csvImportBody, FORMAT_VERSION } from './exchange';
import { handbookBody } from './handbook';
import { pieceBody, pieceFileQuery } from './piece';
import { priorSetContent } from './prior-set';
import { partBody, partStateBody } from './use-log';

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

holdAtTheirBorders({
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
	'check of a dryer': {
		schema: dryerCheckBody,
		body: { id: ID, dryerId: OTHER, setPoint: '60 C', probe: '54 C', at: AT },
		needs: ['id', 'dryerId', 'setPoint', 'probe', 'at'],
		upTo: [
			['setPoint', 40],
			['probe', 40]
		],
		refuses: [[{ probe: ' ' }, 'probe missing']]
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
		isQuery: true,
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
});
