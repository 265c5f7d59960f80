import { beforeEach, describe, expect, it, vi } from 'vitest';
import { diameters, evidence } from '../../../../tests/support/evidence';
import { Bench } from './bench.svelte';
import { outbox } from './outbox-state.svelte';

const { address, put } = vi.hoisted(() => ({ address: { url: new URL('http://bench/') }, put: vi.fn() }));
vi.mock('$app/state', () => ({ page: address }));
vi.mock('$app/navigation', () => ({
	goto: (to: string) => Promise.resolve((address.url = new URL(to, address.url))),
	invalidateAll: () => Promise.resolve()
}));
vi.spyOn(outbox, 'put').mockImplementation((path, body) => {
	put(path, body);
	return Promise.resolve();
});

const spools = ['A', 'B', 'C'].map((code, i) =>
	evidence({ spool: { id: code, code, revision: 1 }, readings: diameters(Array.from({ length: i }, () => 1.75)) })
);
const bench = (first?: string, list = spools) =>
	new Bench({ station: 'diameter', evidence: () => list, first, status: (e, i) => `${i}: ${e.readings.length} read` });

beforeEach(() => {
	address.url = new URL('http://bench/');
	put.mockClear();
});

describe('a bench', () => {
	it('has the spool the address names, else the one to begin with, else the first', () => {
		expect(bench().evidence?.spool.id).toBe('A');
		expect(bench('C').evidence?.spool.id).toBe('C');
		address.url = new URL('http://bench/?spool=B');
		expect(bench('C').evidence?.spool.id).toBe('B');
		address.url = new URL('http://bench/?spool=gone');
		expect(bench('C').evidence?.spool.id).toBe('A');
		expect(bench(undefined, []).evidence).toBeUndefined();
	});
	it('moves round, says so in the address, and puts the hand back to the field', () => {
		const here = bench();
		let focused = 0;
		here.field = { focus: () => (focused += 1) };
		here.move(-1);
		expect(here.evidence?.spool.id).toBe('C');
		here.move(1, { measure: 'm' });
		expect(address.url.search).toBe('?spool=A&measure=m');
		here.choose('B');
		expect(address.url.search).toBe('?spool=B');
		expect(focused).toBe(3);
	});
	it('tells each spool’s state in the rail', () => {
		expect(bench().items.map((i) => [i.code, i.status])).toEqual([
			['A', '0: 0 read'],
			['B', '1: 1 read'],
			['C', '2: 2 read']
		]);
	});
	it('keeps what is typed for the spool on it, and nothing that is not understood', () => {
		const here = bench('B');
		expect(here.keep('diameter', '1,7x', {})).toMatchObject({ path: 'typed', code: 'unknownUnit' });
		expect(put).not.toHaveBeenCalled();
		expect(here.keep('diameter', '1,76', { placeIndex: 4 })).toBeNull();
		expect(put).toHaveBeenCalledExactlyOnceWith(
			'readings',
			expect.objectContaining({ spoolId: 'B', quantity: 'diameter', typed: '1,76', placeIndex: 4 })
		);
		expect(here.evidence?.readings.map((r) => r.value)).toEqual([1.75, 1.76]);
		expect(here.live[0]?.readings).toEqual([]);
	});
	it('takes the last back that counts, whatever their order', () => {
		const here = bench();
		const readings = [
			{ id: 'late', status: 'counts', takenAt: 3 },
			{ id: 'struck', status: 'excluded', takenAt: 9 },
			{ id: 'early', status: 'counts', takenAt: 1 }
		];
		here.takeBack(readings);
		expect(put).toHaveBeenCalledExactlyOnceWith('amendments', expect.objectContaining({ targetId: 'late', action: 'exclude' }));
		here.takeBack(readings.slice(1, 2));
		expect(put).toHaveBeenCalledOnce();
	});
	it('lays what else a page knows over what was captured, and tells when another spool is chosen', () => {
		const chosen = vi.fn();
		const here = new Bench({
			station: 'diameter',
			evidence: () => spools,
			status: () => '',
			more: (e) => ({ ...e, spool: { ...e.spool, code: `${e.spool.code}${e.readings.length}` } }),
			onchoose: chosen
		});
		here.keep('diameter', '1.75');
		expect(here.evidence?.spool.code).toBe('A1');
		here.move(1);
		expect(chosen).toHaveBeenCalledOnce();
	});
});
