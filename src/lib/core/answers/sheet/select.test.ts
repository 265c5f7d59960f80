import { describe, expect, it } from 'vitest';
import { basis } from '../../../../../tests/support/evidence';
import type { Finding } from '../../judging/finding/types';
import type { Basis } from '../../judging/trial/basis';
import { selectFindings } from './select';

const finding = (name: string, subject: Partial<Finding['subject']>, n = 1, quantity = 'strings') =>
	({ method: name, quantity, n, subject: { spoolId: 's', condition: null, pieceId: null, variant: null, ...subject } }) as Finding;
const rules: Basis = { ...basis, markPieces: { strings: ['new', 'old'] }, specimenKinds: { load: 'hook', blows: null, byHand: null } };
const names = (findings: Finding[], p = rules, quantity = 'strings') => selectFindings(findings, quantity, p).map((f) => f.method);

describe('which finding of a spool stands in a column', () => {
	it('only those of the quantity', () => expect(names([finding('a', {}), finding('b', {}, 1, 'bridge')])).toEqual(['a']));
	it('the wanted state first, then dried, then the rest; what has nothing behind it goes last', () => {
		const of = (condition: Finding['subject']['condition'], n = 1) => finding(`${condition} ${n}`, { condition }, n);
		const all = [of('exposed'), of('dried'), of('asReceived')];
		expect(names(all)).toEqual(['asReceived 1', 'dried 1', 'exposed 1']);
		expect(names(all, { ...rules, conditionPolicy: 'driedFirst' })).toEqual(['dried 1', 'exposed 1', 'asReceived 1']);
		expect(names([of('asReceived', 0), of('exposed'), of('dried', 0)])).toEqual(['exposed 1', 'asReceived 0', 'dried 0']);
		expect(names([of('exposed'), finding('none', {})])).toEqual(['none', 'exposed 1']);
	});
	it('another version of the piece speaks only where the one that counts was not printed', () => {
		const of = (pieceId: string, n: number) => finding(pieceId, { pieceId }, n);
		expect(names([of('old', 3), of('new', 1)])).toEqual(['new']);
		expect(names([of('old', 3), of('new', 0)])).toEqual(['old']);
		expect(names([of('old', 0), of('new', 0)])).toEqual(['new']);
		expect(names([of('other', 3), finding('whole', {})])).toEqual(['whole']);
		expect(names([of('other', 3)], { ...rules, markPieces: {} })).toEqual([]);
	});
	it('of several kinds of test part only the compared one', () => {
		const of = (variant: string) => finding(variant, { variant }, 1, 'strengthLoad');
		expect(names([of('bar'), of('hook')], rules, 'strengthLoad')).toEqual(['hook']);
	});
});
