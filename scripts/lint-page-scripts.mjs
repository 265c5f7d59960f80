// A page gathers what it shows from parts; a script longer than this holds work that has a name of its own, and belongs to ui, words or core.
const MOST_LINES = 120;

/** @type {import('eslint').Rule.RuleModule} */
export const pageScripts = {
	meta: {
		type: 'suggestion',
		schema: [],
		messages: { long: `the script of a page has {{lines}} lines; at most ${MOST_LINES}: give a part of it a name and a file` }
	},
	create: (context) => ({
		/** @param {any} node */
		SvelteScriptElement(node) {
			const lines = node.loc.end.line - node.loc.start.line - 1;
			if (lines > MOST_LINES) context.report({ loc: node.loc.start, messageId: 'long', data: { lines: String(lines) } });
		}
	})
};
