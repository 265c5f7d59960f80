import type { SpoolFacts } from '../facts/spool-facts';
import type { Attempt } from './attempt';
import type { Claim } from './claim';
import type { SpoolEvent } from './event';
import type { Instrument } from './instrument';
import type { LoggedStrand } from './log';
import type { Piece } from './piece';
import type { Quote } from './quote';
import type { Reading } from './reading';
import type { Specimen } from './specimen';

/** A record that is there but cannot be read. */
export type DamagedRecord = { kind: 'log' | 'print' | 'specimen'; id: string; name: string; at: number };

export type SpoolEvidence = {
	spool: {
		id: string;
		code: string;
		/** Null while the trial is blind. */
		maker: string | null;
		filament: string | null;
		material: string;
		revision: number;
	} & SpoolFacts;
	claims: Claim[];
	/** The quote a purchase joined to this spool, newest first, else the filament's quotes. Empty while the trial is blind. */
	quotes: Quote[];
	pricesHidden: boolean;
	readings: Reading[];
	attempts: Attempt[];
	specimens: Specimen[];
	/** Logs of a line gauge, oldest first, already worked out. */
	logs: LoggedStrand[];
	events: SpoolEvent[];
	/** For how long a dried spool of this material counts as dried once it lies in the open, h; null where nobody says. */
	dryForH: number | null;
	/** Records of this spool that cannot be read, and count nowhere: no form and no file would take them. */
	damaged: DamagedRecord[];
	instruments: Instrument[];
	pieces: Piece[];
};
