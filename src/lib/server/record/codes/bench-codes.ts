import { proposeBenchCode, spellsMaterial } from '$lib/core/stations/intake/bench-code';
import { fieldError, type FieldError } from '$lib/schemas/field-error';
import type { Reader, Transaction } from '../../base/db/client';
import { server, spool } from '../../base/db/schema';

/** Whoever takes a spool in waits here, before its first look at the codes, so that no two are proposed the same one. */
export async function lockCodes(tx: Transaction): Promise<void> {
	await tx.select({ id: server.id }).from(server).for('update');
}

async function usedCodes(db: Reader): Promise<Set<string>> {
	return new Set((await db.select({ code: spool.benchCode }).from(spool)).map((row) => row.code));
}

/** The next bench code that is free; null when all that could be proposed are used. */
export async function nextBenchCode(db: Reader): Promise<string | null> {
	return proposeBenchCode(await usedCodes(db));
}

/** The code that was wanted, or the next free one, or why there is none. */
export async function chooseCode(
	db: Reader,
	wanted: string | undefined
): Promise<{ ok: true; code: string } | { ok: false; error: FieldError }> {
	const used = await usedCodes(db);
	if (!wanted) {
		const code = proposeBenchCode(used);
		return code ? { ok: true, code } : { ok: false, error: fieldError('benchCode', 'codesExhausted') };
	}
	if (used.has(wanted)) return { ok: false, error: fieldError('benchCode', 'codeTaken', { code: wanted }) };
	if (spellsMaterial(wanted)) return { ok: false, error: fieldError('benchCode', 'codeSpellsMaterial', { code: wanted }) };
	return { ok: true, code: wanted };
}
