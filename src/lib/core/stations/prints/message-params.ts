import type { CONDITIONS, FAILURE_KINDS } from '../../record/lists/closed-lists';
import type { FailureCause } from '../../record/evidence/attempt';
import type { None } from '../../judging/finding/none';

type MarkOverParams = {
	over: 'days' | 'water';
	quantity: string;
	prints: number;
	from: number;
	fromAt: number;
	to: number;
	toAt: number;
	p: number;
};

/** `change`: on average, in differences that matter, above 0 for the better. */
type WetDryParams = { quantity: string; change: number; better: number; worse: number; same: number; pairs: number; p: number };

/** What the prints station can say, with the parameters of each sentence; the sentences are in words. */
type PrintsMessages = {
	noMarks: None;
	noPrints: None;
	printerTakenOut: { shift: number; prints: number; printer: string; against: string; quantity: string };
	pieceTakenOut: { shift: number; prints: number; piece: string; against: string; quantity: string };
	onPiece: { quantity: string; piece: string; middle: number; prints: number };
	leniencyTakenOut: { shift: number; scorings: number; scorer: string; against: string; quantity: string };
	windowShared: { from: number; to: number; step: number; prints: number; best: number };
	windowsApart: { prints: number };
	windowOffLabel: { low: number; high: number };
	faultOfPrinter: { fault: string; prints: number };
	photoDoubtful: { count: number; n: number };
	noFeedRate: None;
	feedRateNone: { slowest: number; n: number };
	feedRateOpen: { best: number };
	feedRateBetween: { best: number; high: number };
	hardnessStated: { value: number; scale: string; source: string };
	hardnessBand: { low: number; high: number };
	notPrintedAtAll: { n: number };
	firstSuccess: { attempt: number };
	/** Cells of the record that tell how such prints differ; 0 where that is assumed. */
	onePrint: { cells: number };
	stepsSeen: { quantity: string; clean: number | null; faulty: number | null; prints: number };
	successCount: { finished: number; n: number };
	failuresNotCounted: { count: number };
	printsElsewhere: { count: number };
	/** Cells of the record that tell how often such prints finish; 0 where that is assumed. */
	successPrior: { cells: number };
	lostOtherwise: { count: number; cause: FailureCause | null };
	tuningPrints: { count: number };
	failedHow: { kind: (typeof FAILURE_KINDS)[number]; count: number };
	/** Means before and after, one pair or two; days are the ages of the states. */
	'wetDry.few': {
		quantity: string;
		change: number;
		wet: number;
		dry: number;
		wet2: number | null;
		dry2: number | null;
		better: number;
		worse: number;
		before: (typeof CONDITIONS)[number];
		beforeDays: number | null;
		afterDays: number;
	};
	'wetDry.finished': { wet: number; wetN: number; dry: number; dryN: number; p: number };
	'markOver.worse': MarkOverParams;
	'markOver.better': MarkOverParams;
	'markOver.looksWorse': MarkOverParams;
	'markOver.looksBetter': MarkOverParams;
	'markOver.noTrend': MarkOverParams;
	'dryFirst.signs': { prints: number; n: number; signs: string };
	'dryFirst.pairs': { quantity: string };
	'dryFirst.brittle': None;
	'wetDry.helped': WetDryParams;
	'wetDry.hurt': WetDryParams;
	'wetDry.noDifference': WetDryParams;
	'wetDry.tooFew': WetDryParams;
	windowFromTo: { from: number; to: number };
};

declare module '../../judging/finding/message' {
	interface MessageParams extends PrintsMessages {}
}
