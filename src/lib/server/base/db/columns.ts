import { customType, double, varchar } from 'drizzle-orm/mysql-core';
import { parse } from 'uuid';

/** The text of a UUID. The bytes were checked when they were written, and ten thousand are read for a page. */
export function uuidText(bytes: Buffer): string {
	const hex = bytes.toString('hex');
	return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-${hex.slice(12, 16)}-${hex.slice(16, 20)}-${hex.slice(20)}`;
}

/** A UUIDv7 in 16 bytes; text on our side. Made where the evidence is entered. */
export const uuid = customType<{ data: string; driverData: Buffer }>({
	dataType: () => 'binary(16)',
	toDriver: (value) => Buffer.from(parse(value)),
	fromDriver: uuidText
});

/** SHA-256 of a request body. */
export const hash = customType<{ data: Buffer; driverData: Buffer }>({ dataType: () => 'binary(32)' });

/**
 * JSON text. MariaDB's JSON is an alias of longtext, so the driver hands it over unparsed. Text that is no JSON is handed on as a
 * word that no schema takes, so that whoever loads the row shows it as damaged and the rest of the page works.
 */
export const json = <T>() =>
	customType<{ data: T; driverData: string }>({
		dataType: () => 'longtext',
		toDriver: (value) => JSON.stringify(value),
		fromDriver: (value) => {
			try {
				return JSON.parse(value) as T;
			} catch {
				return 'damaged' as T;
			}
		}
	});

/** A moment in UTC, epoch milliseconds: exact, sortable, free of any session time zone. */
export const moment = customType<{ data: number; driverData: string | number }>({
	dataType: () => 'bigint',
	fromDriver: (value) => Number(value)
});

export const mediumBlob = customType<{ data: Buffer; driverData: Buffer }>({ dataType: () => 'mediumblob' });

/** The zone a time was taken in, as an IANA name. */
export const zone = () => varchar({ length: 64 }).notNull();

export const number = () => double();
export const shortText = () => varchar({ length: 120 });
export const longText = () => varchar({ length: 2000 });
/** One word of a closed list: the column says which, so that forms, files and code ask the same. */
export const oneOf = <U extends string, T extends Readonly<[U, ...U[]]>>(list: T, length = 16) => varchar({ length, enum: list });
