import { describe, expect, it } from 'vitest';
import { applyAmendments, inForce, type Amendment } from './apply';

const raw = { id: 'r1', value: 1.57, typedText: '1.57' };
let clock = 0;
const amend = (given: Partial<Amendment> & Pick<Amendment, 'action'>): Amendment => ({
	id: `a${++clock}`,
	targetId: 'r1',
	undoesId: null,
	replacement: null,
	reason: 'typed wrongly',
	at: clock,
	...given
});

describe('amendments', () => {
	it('a correction supersedes, the raw record stays', () => {
		const corrected = applyAmendments(raw, [amend({ action: 'correct', replacement: { value: 1.75, typedText: '1.75' } })]);
		expect(corrected).toMatchObject({ value: 1.75, corrected: true, status: 'counts' });
		expect(raw.value).toBe(1.57);
	});
	it('exclude and reinstate follow time, not order of arrival', () => {
		const out = amend({ action: 'exclude' });
		const back = amend({ action: 'reinstate' });
		expect(applyAmendments(raw, [back, out]).status).toBe('counts');
		expect(applyAmendments(raw, [out]).status).toBe('excluded');
	});
	it('an undo takes one amendment back, and can be taken back itself', () => {
		const out = amend({ action: 'exclude' });
		const undo = amend({ action: 'undo', undoesId: out.id });
		const again = amend({ action: 'undo', undoesId: undo.id });
		expect(applyAmendments(raw, [out, undo]).status).toBe('counts');
		expect(applyAmendments(raw, [out, undo, again]).status).toBe('excluded');
		expect(inForce([out, undo])).toEqual([]);
	});
	it('leaves other records alone', () => {
		expect(applyAmendments(raw, [amend({ action: 'exclude', targetId: 'r2' })])).toMatchObject({ status: 'counts', corrected: false });
	});
});
