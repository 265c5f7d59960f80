import { describe, expect, it } from 'vitest';
import { applyAmendments, inForce, leftOutOf, type Amendment } from './apply';

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
	it('at one moment the id decides', () => {
		const [first, second] = [amend({ id: 'a-1', action: 'exclude', at: 5 }), amend({ id: 'a-2', action: 'reinstate', at: 5 })];
		expect(applyAmendments(raw, [second, first]).status).toBe('counts');
		expect(inForce([second, first]).map((a) => a.id)).toEqual(['a-1', 'a-2']);
		expect(inForce([first, second]).map((a) => a.id)).toEqual(['a-1', 'a-2']);
	});
	it('only an undo takes back what it points at', () => {
		const out = amend({ action: 'exclude' });
		expect(inForce([out, amend({ action: 'confirm', undoesId: out.id })])).toHaveLength(2);
		expect(inForce([out, amend({ action: 'undo', undoesId: null })])).toEqual([out]);
	});
	it('a confirmation says so and changes nothing else; nothing else confirms', () => {
		expect(applyAmendments(raw, [amend({ action: 'confirm' })])).toEqual({ ...raw, status: 'counts', corrected: false, confirmed: true });
		expect(applyAmendments(raw, [amend({ action: 'exclude' })])).toEqual({
			...raw,
			status: 'excluded',
			corrected: false,
			confirmed: false
		});
		expect(applyAmendments(raw, [])).toEqual({ ...raw, status: 'counts', corrected: false, confirmed: false });
	});
	it('parts of a log are left out while their amendment is in force; the log itself still counts', () => {
		const part = amend({ action: 'exclude', range: { from: 10, to: 20 }, reason: 'touched' });
		const whole = amend({ action: 'exclude', targetId: 'r2', range: { from: 0, to: 5 } });
		expect(applyAmendments(raw, [part]).status).toBe('counts');
		expect(leftOutOf('r1', [part, whole])).toEqual([{ from: 10, to: 20, amendmentId: part.id, reason: 'touched' }]);
		expect(leftOutOf('r1', [part, amend({ action: 'undo', undoesId: part.id })])).toEqual([]);
		expect(leftOutOf('r1', [amend({ action: 'exclude' })])).toEqual([]);
	});
	it('leaves other records alone', () => {
		expect(applyAmendments(raw, [amend({ action: 'exclude', targetId: 'r2' })])).toMatchObject({ status: 'counts', corrected: false });
	});
});
