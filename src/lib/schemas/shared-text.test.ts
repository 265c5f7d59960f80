import { parse, stringify, uneval } from 'devalue';
import { describe, expect, it } from 'vitest';
import { diameters, evidence } from '../../../tests/support/evidence';
import { say } from '../core/judging/finding/message';
import type { Candidate } from '../core/answers/pick/types';
import { share, shareCandidates, sharedCandidates, sharedEvidence, sharedText, shareEvidence } from './shared-text';

/** As SvelteKit sends page data: with every value offered to the encoders. */
const through = (value: unknown): unknown =>
	parse(stringify(value, { text: sharedText.encode, evidence: sharedEvidence.encode }), {
		text: sharedText.decode,
		evidence: sharedEvidence.decode
	});

describe('what requests share', () => {
	it('comes out as it went in', () => {
		const sheet = share({ rows: [{ spoolId: 'a', cells: [1, null, 'x'] }] });
		const spool = shareEvidence(evidence({ readings: diameters([1.75, 1.74]) }));
		expect(through({ sheet, evidence: [spool], other: new Map([[1, 2]]) })).toEqual({ sheet, evidence: [spool], other: new Map([[1, 2]]) });
	});

	it('needs next to no escapes in a page, whatever is said in it', () => {
		const value = share({ a: 'plain', b: 'said "so" and `so`, \\ and </script>', c: ['x', 'y'] });
		expect(through({ value })).toEqual({ value });
		const sent = uneval(sharedText.encode(share({ a: 'plain', c: ['x', 'y'] })));
		expect(sent).toBe('"{`a`:`plain`,`c`:[`x`,`y`]}"');
	});

	it('has its text made once', () => {
		let made = 0;
		const value = share({
			get n() {
				return ++made;
			}
		});
		expect([through(value), through(value)]).toEqual([{ n: 1 }, { n: 1 }]);
	});

	it('carries lists that spools have in common once', () => {
		const first = evidence({});
		const both = [shareEvidence(first), shareEvidence({ ...first, spool: { ...first.spool, id: 'b', code: 'B2' } })];
		const pieces = JSON.stringify(first.pieces).slice(1, 40);
		const sent = uneval(both, (v) => {
			const e = sharedEvidence.encode(v);
			return e ? `decode(${uneval(e)})` : undefined;
		});
		expect(pieces.length).toBeGreaterThan(10);
		expect(through(both)).toEqual(both);
		expect(stringify(both, { evidence: sharedEvidence.encode }).split(first.pieces[0]?.name ?? '').length - 1).toBe(1);
		expect(sent).toContain('B2');
	});

	it('says once what is not known of any candidate', () => {
		const unknown = {
			estimate: null,
			n: 0,
			interval: null,
			shared: [],
			method: 'posterior',
			sampling: { kind: 'unknown', reason: say('noMarks') }
		};
		const known = { ...unknown, estimate: 3, n: 1, sampling: { kind: 'exact', value: 3 } };
		const list = [
			{ spoolId: 'a', code: 'A1', findings: { overhang: unknown, bridge: known, gloss: undefined } },
			{ spoolId: 'b', code: 'B2', findings: { overhang: { ...unknown }, bridge: { ...known, sampling: { kind: 'exact', value: 4 } } } }
		] as Candidate[];
		expect(sharedCandidates.encode(list)).toBe(false);
		const text = sharedCandidates.encode(shareCandidates(list)) as string;
		expect(text.split('noMarks').length - 1).toBe(1);
		expect(sharedCandidates.decode(text)).toEqual(list);
	});

	it('leaves everything else to the usual way', () => {
		expect(sharedText.encode({ n: 1 })).toBe(false);
		expect(sharedText.encode(null)).toBe(false);
		expect(sharedEvidence.encode(evidence({}))).toBe(false);
	});
});
