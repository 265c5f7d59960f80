import { holdAtTheirBorders } from '../../../tests/support/doors';
import { AT, ID, OTHER } from '../../../tests/support/bodies';
import { amendmentBody, noteBody } from './amendment';
import { attemptBody, attemptReplacement } from './attempt';
import { eventBody } from './event';
import { logBody, logEndBody, pictureQuery } from './gauge-log';
import { photoQuery, photoSizeQuery } from './photo';
import { readingBody } from './reading';
import { specimenBody, specimenReplacement } from './strength';
import { trainingBody } from './training';

const step = { headerRows: 1, delimiter: ',', decimal: '.', unit: 'mm', along: 1, across: null, place: { kind: 'step', stepM: 0.1 } };
const hash = 'a'.repeat(64);

holdAtTheirBorders({
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
		isQuery: true,
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
	photograph: {
		schema: photoQuery,
		isQuery: true,
		body: { id: ID, attemptId: OTHER, at: AT },
		needs: ['id', 'attemptId', 'at'],
		usual: { zone: 'UTC' }
	},
	'size of a photograph': {
		schema: photoSizeQuery,
		isQuery: true,
		body: {},
		needs: [],
		oneOf: [['size', 'small']],
		usual: { size: 'full' }
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
	}
});
