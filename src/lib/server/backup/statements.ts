/**
 * What a statement of a backup may be. A backup makes its own tables and fills them; a file that says anything else (goes to another
 * database, names one, makes or drops one, changes rows that are there) is no backup of ours, whatever it is called. The list says what
 * is allowed, not what is dangerous: nobody knows all of that.
 */

/** Session variables that a dump sets so that it loads as it was written, and the values it gives them. */
const VALUE = `(?:@@?\\w+|\\d+|utf8(?:mb[34])?(?:_\\w+)?|binary|NULL|'(?:NO_AUTO_VALUE_ON_ZERO|\\+00:00|)')`;
const VARIABLE = `(?:@OLD_\\w+|@saved_cs_client|(?:SESSION )?(?:TIME_ZONE|UNIQUE_CHECKS|FOREIGN_KEY_CHECKS|SQL_MODE|SQL_NOTES|NOTE_VERBOSITY|AUTOCOMMIT|CHARACTER_SET_CLIENT|CHARACTER_SET_RESULTS|COLLATION_CONNECTION))`;
const ASSIGNED = `@{0,2}${VARIABLE} ?= ?(?:${VALUE}|IFNULL\\( ?${VALUE} ?, ?${VALUE} ?\\))`;
const SET = new RegExp(`^SET (?:NAMES (?:utf8(?:mb[34])?|binary)|${ASSIGNED}(?: ?, ?${ASSIGNED})*)$`, 'i');
const NAME = '`[A-Za-z0-9_]{1,64}`';
const PLAIN = new RegExp(
	`^(?:DROP TABLE IF EXISTS ${NAME}|LOCK TABLES ${NAME} WRITE|UNLOCK TABLES|ALTER TABLE ${NAME} (?:DISABLE|ENABLE) KEYS|COMMIT|START TRANSACTION)$`,
	'i'
);
const INSERT = new RegExp(`^INSERT INTO (${NAME}) (?:\\( ?${NAME}(?: ?, ?${NAME})* ?\\) )?VALUES ?`, 'i');
const CREATE = new RegExp(`^CREATE TABLE ${NAME} \\(`, 'i');

/** Words that would bring a table something from elsewhere, or keep it elsewhere. */
const NOT_OF_A_TABLE = /\b(?:SELECT|LIKE|DIRECTORY|CONNECTION|UNION|TABLESPACE|PARTITION|WITH|AS)\b/i;
const ENGINE = /\bENGINE ?= ?(\w+)/i;

/** Texts, numbers and bytes of a row; nothing that is worked out or read from anywhere. */
const LITERAL = /[\s,()]+|NULL|0x[0-9A-Fa-f]*|-?\d+(?:\.\d+)?(?:e[+-]?\d+)?|(?:_binary )?'[^'\\]*(?:(?:\\[^]|'')[^'\\]*)*'/iy;

/** What a dump says to the client that loads it: that it may run no commands. */
const SANDBOX = /^\/\*M?!999999\\- enable the sandbox mode \*\/\s*;?$/;
/** Comments that servers of some version read as statements. */
const OPENED = /\/\*M?!\d{5,6}/g;

/**
 * What is wrong with a statement of a backup, without its closing semicolon; null where it is one a backup has.
 * @returns the beginning of what it says instead
 */
export function foreignStatement(statement: string): string | null {
	const told = statement.trim();
	if (told === '' || isInsert(told)) return null;
	// Between the marks of an executable comment stands a statement like any other.
	const plain = told.replace(OPENED, ' ').replaceAll('*/', ' ').replace(/\s+/g, ' ').trim();
	if (plain === '' || SET.test(plain) || PLAIN.test(plain) || isTable(plain)) return null;
	return plain.slice(0, 60);
}

function isInsert(statement: string): boolean {
	const head = INSERT.exec(statement);
	if (!head) return false;
	LITERAL.lastIndex = head[0].length;
	while (LITERAL.lastIndex < statement.length) if (!LITERAL.test(statement)) return false;
	return true;
}

function isTable(statement: string): boolean {
	if (!CREATE.test(statement)) return false;
	const bare = statement.replace(/'[^'\\]*(?:(?:\\[^]|'')[^'\\]*)*'/g, "''").replace(/`[^`]*`/g, '``');
	// A name with a dot in it is of another database.
	return ENGINE.exec(bare)?.[1]?.toLowerCase() === 'innodb' && !bare.includes('.') && !NOT_OF_A_TABLE.test(bare) && !bare.includes(';');
}

/** Splits the lines of a backup into statements. A backup ends each at a line's end, and no text of its rows has a line break in it. */
export class StatementReader {
	#open = '';

	/** @returns the statements that end on this line */
	take(line: string): string | null {
		if (this.#open === '' && (line === '' || line.startsWith('-- ') || line === '--' || SANDBOX.test(line))) return null;
		this.#open = this.#open === '' ? line : `${this.#open}\n${line}`;
		// One that goes on over many lines is a table; what never ends is no backup.
		if (!this.#open.endsWith(';')) return this.#open.length > MOST_OPEN ? this.#end() : null;
		return this.#end();
	}

	/** What was begun and not ended. */
	get rest(): string {
		return this.#open;
	}

	#end(): string {
		const statement = this.#open.replace(/;$/, '');
		this.#open = '';
		return statement;
	}
}

/** Longer than any table says of itself, and than the longest row (a photograph in hexadecimal). */
const MOST_OPEN = 80_000_000;
