// Every function that core offers says what it does, with one example (examples run as tests, core/examples.test.ts), and the unit of every
// number that goes in or comes out: in the name where it can (massG, stepMm), else with @param or @returns.

/** Names that say a unit at their end, or that the number is a count, a share, a moment, a place in a list. */
const UNIT_IN_NAME =
	/[a-z0-9](Deg|Mm|Mm3|Gcm3|M|G|Kg|C|H|Ms|N|Pct|Px|Minor|Days|At|Count|Counts|Share|Chance|Index|Number|Level|Cdf|Quantile)$|^(n|df|count|counts|share|chance|index|seed|number|level|at|i|j|k|x|y|z|p|df1|df2|a|b)$/;

/** Nodes of the TypeScript parser, which ESLint's own types do not know. @typedef {{ type: string, [key: string]: any }} Node */

/** @param {Node | undefined} annotation */
const isNumber = (annotation) => annotation?.type === 'TSNumberKeyword';
/** A number, or a number that may be missing. @param {Node | undefined} annotation */
const givesNumber = (annotation) => {
	if (annotation?.type !== 'TSUnionType') return isNumber(annotation);
	const /** @type {Node[]} */ types = annotation['types'];
	return types.some(isNumber) && types.every((t) => isNumber(t) || t.type === 'TSNullKeyword');
};

/** The functions a declaration makes, each with its name. @param {Node | null | undefined} declaration */
function functionsOf(declaration) {
	if (declaration?.type === 'FunctionDeclaration') return [{ name: String(declaration['id'].name), made: declaration }];
	const /** @type {Node[]} */ made = declaration?.type === 'VariableDeclaration' ? declaration['declarations'] : [];
	return made
		.filter((d) => /Function/.test(d['init']?.type ?? ''))
		.map((d) => ({ name: String(d['id'].name), made: /** @type {Node} */ (d['init']) }));
}

/** @type {import('eslint').Rule.RuleModule} */
export const docComments = {
	meta: {
		type: 'suggestion',
		schema: [],
		messages: {
			none: 'say what it does: a doc comment',
			example: 'give one @example',
			param: 'say the unit of {{name}}, in its name or with @param',
			returns: 'say the unit of what {{name}} gives, in its name or with @returns'
		}
	},
	create: (context) => ({
		ExportNamedDeclaration(node) {
			const functions = functionsOf(node.declaration);
			if (functions.length === 0) return;
			const comment = context.sourceCode.getCommentsBefore(node).at(-1);
			if (!comment?.value.startsWith('*')) return context.report({ node, messageId: 'none' });
			const said = comment.value;
			if (!said.includes('@example')) context.report({ node, messageId: 'example' });
			for (const { name, made } of functions) {
				for (const param of /** @type {Node[]} */ (made['params'])) {
					const named = param.type === 'AssignmentPattern' ? param['left'] : param;
					if (named.type !== 'Identifier' || !isNumber(named.typeAnnotation?.typeAnnotation) || UNIT_IN_NAME.test(named.name)) continue;
					if (!new RegExp(`@param ${named.name}\\b`).test(said)) context.report({ node, messageId: 'param', data: { name: named.name } });
				}
				if (givesNumber(made['returnType']?.typeAnnotation) && !UNIT_IN_NAME.test(name) && !said.includes('@returns'))
					context.report({ node, messageId: 'returns', data: { name } });
			}
		}
	})
};
