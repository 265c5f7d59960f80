import { describe, expect, it } from 'vitest';
import { basis, evidence, load, specimen } from '../../../../../tests/support/evidence';
import { strengthStation } from '../../stations/strength/station';
import { BY_HAND_WORDS } from '../../stations/strength/words';
import { goodForFamilies, goodForParts } from './good-for';

const row = (spoolId: string, families: [id: string, low: number, value: number, high: number, known?: boolean][]) => ({
	spoolId,
	families: families.map(([id, low, value, high, known = true]) => ({ id, low, value, high, known, weight: 1 }))
});

describe('who is good for what counts', () => {
	it('all whose range reaches the best one’s; those whose does not are behind', () => {
		expect(
			goodForFamilies([
				row('a', [['family.looks', 0.6, 0.7, 0.8], ['family.holds', 0.1, 0.5, 0.9]]), // prettier-ignore
				row('b', [['family.looks', 0.5, 0.55, 0.6], ['family.holds', 0.2, 0.4, 0.6]]), // prettier-ignore
				row('c', [['family.looks', 0.1, 0.3, 0.59]])
			])
		).toEqual([{ id: 'family.looks', best: ['a', 'b'], behind: ['c'] }]);
	});
	it('the best is the highest, wherever it stands in the list', () => {
		const low = row('c', [['family.looks', 0.1, 0.3, 0.59]]);
		const high = row('a', [['family.looks', 0.6, 0.7, 0.8]]);
		expect(goodForFamilies([low, high])).toEqual([{ id: 'family.looks', best: ['a'], behind: ['c'] }]);
		expect(goodForFamilies([high, low])).toEqual([{ id: 'family.looks', best: ['a'], behind: ['c'] }]);
	});
	it('what nobody measured of a spool puts it nowhere', () => {
		expect(goodForFamilies([row('a', [['family.looks', 0.6, 0.7, 0.8]]), row('b', [['family.looks', 0, 0.1, 0.2, false]])])).toEqual([]);
		expect(goodForFamilies([])).toEqual([]);
	});
});

describe('who is good for a kind of test part', () => {
	/** Parts broken by hand: of each kind so many, all alike. */
	function broken(id: string, kinds: [shape: string, orientation: 'flat' | 'upright', word: (typeof BY_HAND_WORDS)[number]][]) {
		const parts = kinds.flatMap(([shape, orientation, word]) =>
			Array.from({ length: 5 }, () => ({ of: specimen({ shape, orientation, method: 'byHand' }), word }))
		);
		return evidence({
			spool: { id, code: id },
			specimens: parts.map((p) => p.of),
			readings: parts.map((p) => load(p.of, 'byHand', BY_HAND_WORDS.indexOf(p.word)))
		});
	}
	const found = (...spools: ReturnType<typeof broken>[]) =>
		goodForParts(
			spools.flatMap((e) => strengthStation.find(e, basis)),
			strengthStation.quantities(basis)
		).map(({ variant, best, behind }) => ({ variant, best, behind }));
	it('along and across the layers are two uses, each with its own best', () => {
		const tough = broken('tough', [
			['bar', 'flat', 'bends'],
			['bar', 'upright', 'crumbles']
		]);
		const even = broken('even', [
			['bar', 'flat', 'snaps'],
			['bar', 'upright', 'bends']
		]);
		expect(found(tough, even)).toEqual([
			{ variant: 'bar · flat · byHand', best: ['tough'], behind: ['even'] },
			{ variant: 'bar · upright · byHand', best: ['even'], behind: ['tough'] }
		]);
	});
	it('tells what each came to, in its own quantity, and goes by no finding of another station or without a figure', () => {
		const [tough, weak] = [broken('tough', [['bar', 'flat', 'bends']]), broken('weak', [['bar', 'flat', 'snaps']])];
		const findings = [tough, weak].flatMap((e) => strengthStation.find(e, basis));
		const defs = strengthStation.quantities(basis);
		const [told] = goodForParts(findings, defs);
		const of = (id: string) => findings.find((f) => f.subject.spoolId === id && f.subject.variant === 'bar · flat · byHand');
		expect(told?.def).toBe(defs.find((d) => d.id === of('tough')?.quantity));
		expect(Object.keys(told?.values ?? {})).toEqual(['tough', 'weak']);
		expect(told?.values.tough?.estimate).toBe(of('tough')?.estimate);
		const elsewhere = findings.map((f) => ({ ...f, station: 'own' as const }));
		expect(goodForParts(elsewhere, defs)).toEqual([]);
		expect(
			goodForParts(
				findings.map((f) => ({ ...f, subject: { ...f.subject, variant: null } })),
				defs
			)
		).toEqual([]);
		expect(
			goodForParts(
				findings.map((f) => (f.subject.spoolId === 'weak' ? { ...f, estimate: null } : f)),
				defs
			)
		).toEqual([]);
		expect(
			goodForParts(
				findings.map((f) => (f.subject.spoolId === 'weak' ? { ...f, n: 0, estimate: f.estimate } : f)),
				defs
			)
		).toEqual([]);
		expect(
			goodForParts(
				findings,
				defs.filter((d) => d.id !== of('tough')?.quantity)
			)
		).toEqual([]);
	});
	it('nothing is told of a kind that one spool has, nor where nobody is clearly behind', () => {
		expect(found(broken('a', [['bar', 'flat', 'bends']]))).toEqual([]);
		expect(found(broken('a', [['bar', 'flat', 'bends']]), broken('b', [['plate', 'flat', 'snaps']]))).toEqual([]);
		expect(found(broken('a', [['bar', 'flat', 'bends']]), broken('b', [['bar', 'flat', 'bends']]))).toEqual([]);
	});
});
