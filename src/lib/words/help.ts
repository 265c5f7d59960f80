/** What a page is for, what counts on it, and an example of its use. */
export type Help = { purpose: string; counts: string; example: string };

const BENCH_EXAMPLE = 'Type 1.75 and press Enter. Type 174 and it is taken as 1.74. Press = for the same again.';

/** Help of every page, by its route. */
export const HELP: Readonly<Record<string, Help>> = {
	'/trials': {
		purpose: 'All your trials, with what each says so far and what to do next.',
		counts: 'An archived trial keeps everything and is out of the way.',
		example: 'Open a trial to see its sheet, or start a new one.'
	},
	'/trials/new': {
		purpose: 'Starts a trial: a question, and the spools that may answer it.',
		counts: 'Choose whether prints as received count, prints after drying, or both. You can change it later under Rules.',
		example: '“Clips before winter”, outdoor brackets, as received.'
	},
	'/trials/[id]': {
		purpose: 'Everything measured, one spool a row. It names the next useful step.',
		counts: 'Two spools with the same letter in a column cannot be told apart there.',
		example: 'Click an empty cell to measure it. Press N for the next step.'
	},
	'/trials/[id]/intake': {
		purpose: 'Adds spools: what is on the label, what was paid, anything wrong in the box.',
		counts: 'Only the material is needed. The rest can be added whenever you find it.',
		example: 'PETG, 21.90, 1 kg, 230-250 C, nothing wrong: one spool, with a code to write on it.'
	},
	'/trials/[id]/diameter': {
		purpose: 'Ten readings tell how thick the strand is and how much it varies.',
		counts: 'Every reading that is not marked invalid. Two at each spot, the second turned by 90°.',
		example: BENCH_EXAMPLE
	},
	'/trials/[id]/diameter/spools': {
		purpose: 'All strands side by side, on one scale.',
		counts: 'The same readings as on Diameter.',
		example: 'Look for the one that is thicker than its label allows.'
	},
	'/trials/[id]/moisture': {
		purpose: 'Weighing a spool again and again tells how much water it took up.',
		counts: 'What happened since the last weighing: a print takes filament away, so it is left out.',
		example: 'Weigh it now, leave it in the open for a week, weigh it again.'
	},
	'/trials/[id]/drying': {
		purpose: 'Starts the dryer, keeps the time, and tells when another hour is not worth it.',
		counts: 'The mass before and after. What went in and came out at what time can be told later.',
		example: 'Weigh 998 g, dry 6 h at 65 C, weigh 995.8 g.'
	},
	'/trials/[id]/prints': {
		purpose: 'Notes each print: how it ended, in which state the spool was, and what you see on it.',
		counts: 'Prints in the state this trial counts. The others are kept and compared.',
		example: 'Overhang clean to 60, bad at 65; strings: wisp. Then Save print.'
	},
	'/trials/[id]/prints/score': {
		purpose: 'Marks all prints of a test piece one after the other, in a chance order, without names.',
		counts: 'Your marks, under your name. Another person can mark the same prints.',
		example: 'Type 65 for the last clean step and press Enter twice.'
	},
	'/trials/[id]/prints/photos': {
		purpose: 'All photographs of this trial, to hold two prints under one slider.',
		counts: 'Photographs are looked at; they do not count by themselves.',
		example: 'Choose two photographs and pull the slider; choose three to see them side by side.'
	},
	'/trials/[id]/prints/compare': {
		purpose: 'One change, two ways: with glue and without, one printer and the other.',
		counts: 'Pairs of prints that are alike but for that change. What else differs is said.',
		example: 'Bed agent: glue against none.'
	},
	'/trials/[id]/prints/queue': {
		purpose: 'The print queue: what is left, in an order that is fair.',
		counts: 'Spools take turns, so that a warm room or a worn nozzle favours none.',
		example: 'Print the first line, note it, take the next.'
	},
	'/trials/[id]/prints/strings/[photo]': {
		purpose: 'Measures strings on a photograph.',
		counts: 'The share of the gap that strings cover. You set the four corners.',
		example: 'Set the corners of the gap, press Measure.'
	},
	'/trials/[id]/strength': {
		purpose: 'Loads test parts until they break, or notes how they give in the hand.',
		counts: 'Parts of one kind are compared with parts of the same kind. A part that did not break counts as over its load.',
		example: '10 lb holds, 15 lb holds, 20 lb breaks it.'
	},
	'/trials/[id]/cost': {
		purpose: 'What a good kilogram costs: the price, and what failed prints waste.',
		counts: 'The price you pay now. Sale prices and prices only seen are marked.',
		example: '21.90 for 1 kg, one print of ten failed: about 24.'
	},
	'/trials/[id]/own': {
		purpose: 'Your own measures, in numbers or in your own words.',
		counts: 'A measure counts in the pick as soon as you give it importance.',
		example: '“Clip grip”, in newtons, more is better.'
	},
	'/trials/[id]/pick': {
		purpose: 'Which spool to buy, why, and how sure that is.',
		counts: 'Move a slider to say what matters. Spools that cannot be told apart stand together; then the cheapest wins.',
		example: 'Set Holds to 10 and see whether the first place changes.'
	},
	'/trials/[id]/rules': {
		purpose: 'How this trial is done: test pieces, how often, which state counts.',
		counts: 'Changes make a new version. What was measured before stays.',
		example: 'Two prints a piece instead of one.'
	},
	'/trials/[id]/report': {
		purpose: 'The whole trial on one page, to print or to send.',
		counts: 'The same numbers as on Pick and on the sheet.',
		example: 'Save as one file and send it to your group.'
	},
	'/spools': {
		purpose: 'Every spool you ever tested, with its verdict, price and marks.',
		counts: 'Search by what you remember of it.',
		example: 'petg no strings under 20'
	},
	'/spools/[id]': {
		purpose: 'All that is known of one spool, from every trial, and what happened to it.',
		counts: 'Corrections are kept beside what was noted first, and can be undone.',
		example: 'Add a calibration here and the next print offers it.'
	},
	'/spools/[id]/scorecard': {
		purpose: 'One spool beside all others of its material.',
		counts: 'As good as: not clearly worse.',
		example: 'Print it and keep it with the spool.'
	},
	'/drying': {
		purpose: 'All dryers that run now, of every trial.',
		counts: 'Times run on when this page is closed.',
		example: 'Take the spool out and weigh it.'
	},
	'/workshop': {
		purpose: 'Your calipers, scales, printers and dryers.',
		counts: 'A check against something of known size makes every later reading better.',
		example: 'Measure a drill shank of known size ten times.'
	},
	'/workshop/gauge-study/[id]': {
		purpose: 'Tells how far readings of one spot differ, by the caliper and by the hand.',
		counts: 'Each person reads each spot more than once, without seeing the readings before.',
		example: 'Two people, five spots, three times.'
	},
	'/workshop/trainer': {
		purpose: 'Trains the eye on drawn samples, and tells how well you agree with them.',
		counts: 'Nothing here counts in a trial.',
		example: 'Twenty samples of strings take three minutes.'
	},
	'/pieces': {
		purpose: 'Test pieces: made here by their sizes, or your own models.',
		counts: 'Prints of one piece are compared with prints of the same piece and version.',
		example: 'An overhang ladder from 40 to 80 degrees.'
	},
	'/handbook': {
		purpose: 'What is commonly known of each material: drying, heat, needs of the printer.',
		counts: 'None of it was measured here. Your own copy of an entry comes first.',
		example: 'Give co-polyester an entry of its own.'
	},
	'/backups': {
		purpose: 'Puts the whole record into one file, and back. Photographs go along.',
		counts:
			'Draught also makes a backup of its own every day that something was saved. It lies on this machine, so take one elsewhere now and then.',
		example: 'Press Back up now and put the file on another disk.'
	},
	'/exchange': {
		purpose: 'Brings tables in and takes trials out, as files.',
		counts: 'A file with one wrong row brings nothing in, and says which row.',
		example: 'Paste a table of weighings from a spreadsheet.'
	},
	'/login': {
		purpose: 'The passphrase of this record.',
		counts: 'Who has it sees and changes everything.',
		example: 'Ask whoever runs Draught here.'
	}
};
