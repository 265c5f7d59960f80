import { holdAtTheirBorders } from '../../../tests/support/doors';
import { AT, ID, OTHER, text } from '../../../tests/support/bodies';
import { filamentBody, intakeBody, intakeListBody, productFactsBody, quoteBody, spoolBody, spoolFactsBody, unboxingBody } from './spool';
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

holdAtTheirBorders({
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
	}
});
