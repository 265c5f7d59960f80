// Every function that core offers says what it does, with one example (examples run as tests, core/examples.test.ts).

/** @type {import('eslint').Rule.RuleModule} */
export const docComments = {
	meta: { type: 'suggestion', schema: [], messages: { none: 'say what it does: a doc comment', example: 'give one @example' } },
	create: (context) => ({
		ExportNamedDeclaration(node) {
			const { declaration } = node;
			const made = declaration?.type === 'VariableDeclaration' ? declaration.declarations.map((d) => d.init?.type ?? '') : [];
			if (declaration?.type !== 'FunctionDeclaration' && !made.some((type) => /Function/.test(type))) return;
			const comment = context.sourceCode.getCommentsBefore(node).at(-1);
			if (!comment?.value.startsWith('*')) context.report({ node, messageId: 'none' });
			else if (!comment.value.includes('@example')) context.report({ node, messageId: 'example' });
		}
	})
};
