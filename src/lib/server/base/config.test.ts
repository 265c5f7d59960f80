import { describe, expect, it } from 'vitest';
import { readConfig } from './config';

describe('the environment', () => {
	it('has a default for everything on loopback', () => {
		expect(readConfig({ HOST: '127.0.0.1' })).toMatchObject({ ORIGIN: 'http://localhost:4170', DRAUGHT_INSTANCE: 'own' });
	});
	it('takes an empty variable as unset', () => {
		expect(readConfig({ HOST: '127.0.0.1', ORIGIN: '', DRAUGHT_PASSPHRASE: '' }).ORIGIN).toBe('http://localhost:4170');
	});
	it('does not listen wider than this machine without a passphrase', () => {
		expect(() => readConfig({ HOST: '0.0.0.0' })).toThrow(/HOST would listen wider.*DRAUGHT_PASSPHRASE/);
		expect(() => readConfig({})).toThrow(/would listen wider/);
		expect(() => readConfig({ HOST: '0.0.0.0', DRAUGHT_PASSPHRASE: 'short' })).toThrow(/at least 8 characters/);
		expect(readConfig({ HOST: '0.0.0.0', DRAUGHT_PASSPHRASE: 'long enough' }).HOST).toBe('0.0.0.0');
	});
	it('refuses a passphrase that anybody would try', () => {
		for (const word of ['        ', 'password', 'Passw0rd1', '12345678', 'aaaaaaaa', 'abababab', 'qwertzuiop', 'draught2026!', '  short  '])
			expect(() => readConfig({ HOST: '0.0.0.0', DRAUGHT_PASSPHRASE: word }), word).toThrow(/DRAUGHT_PASSPHRASE/);
		expect(readConfig({ HOST: '0.0.0.0', DRAUGHT_PASSPHRASE: 'three herons' }).DRAUGHT_PASSPHRASE).toBe('three herons');
	});
	it('names every variable that is wrong', () => {
		expect(() => readConfig({ HOST: '127.0.0.1', DATABASE_URL: 'postgres://x', ORIGIN: 'bench' })).toThrow(/DATABASE_URL[^]*ORIGIN/);
	});
});
