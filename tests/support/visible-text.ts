import { parse } from 'svelte/compiler';
import ts from 'typescript';

/** Attributes that a person reads or hears. */
const READ = new Set(['label', 'legend', 'hint', 'placeholder', 'title', 'aria-label', 'alt', 'what', 'none', 'words', 'name', 'text']);
const SKIPPED = new Set(['script', 'style', 'code', 'kbd']);

type Node = { type?: string; name?: string; data?: unknown; value?: unknown; [key: string]: unknown };
const isNode = (value: unknown): value is Node => typeof value === 'object' && value !== null && typeof (value as Node).type === 'string';

/** Words without a blank that an expression may come out as. */
function outcomes(expression: unknown): string[] {
	if (!isNode(expression)) return [];
	if (expression.type === 'Literal')
		return typeof expression.value === 'string' && !expression.value.includes(' ') ? [expression.value] : [];
	if (expression.type === 'ConditionalExpression') return [...outcomes(expression.consequent), ...outcomes(expression.alternate)];
	return expression.type === 'LogicalExpression' ? [...outcomes(expression.left), ...outcomes(expression.right)] : [];
}

/** The texts of a page's source that a person reads: what stands between tags, in attributes that are read, and in expressions. Dots stand for what is filled in. */
export function visibleInSvelte(source: string): string[] {
	const found: string[] = [];
	const take = (text: string): void => {
		const plain = text.replace(/\s+/g, ' ').trim();
		if (/[a-z]{2}/i.test(plain)) found.push(plain);
	};
	const walk = (node: Node): void => {
		if (node.type === 'Attribute' && !READ.has(String(node.name))) return;
		if (node.type?.endsWith('Directive') || node.type === 'Script' || node.type === 'StyleSheet') return;
		if (node.type === 'RegularElement' && SKIPPED.has(String(node.name))) return;
		if (node.type === 'Text') take(String(node.data));
		if (node.type === 'Literal' && typeof node.value === 'string' && node.value.includes(' ')) take(node.value);
		// One word alone is read where an expression comes out as it.
		if (node.type === 'ExpressionTag') outcomes(node.expression).forEach(take);
		if (node.type === 'TemplateLiteral') {
			const quasis = node.quasis as { value: { cooked: string } }[];
			take(quasis.map((q) => q.value.cooked).join('…'));
		}
		for (const [key, value] of Object.entries(node)) {
			if (key === 'css' || key === 'instance' || key === 'module' || key === 'options' || key === 'quasis') continue;
			for (const child of Array.isArray(value) ? value : [value]) if (isNode(child)) walk(child);
		}
	};
	walk(parse(source, { modern: true }).fragment as unknown as Node);
	return found;
}

/** The same of a module of words: every string and template that says something. */
export function visibleInModule(source: string): string[] {
	const found: string[] = [];
	const visit = (node: ts.Node): void => {
		if (ts.isImportDeclaration(node)) return;
		if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) found.push(node.text);
		else if (ts.isTemplateExpression(node)) found.push([node.head.text, ...node.templateSpans.map((s) => s.literal.text)].join('…'));
		ts.forEachChild(node, visit);
	};
	visit(ts.createSourceFile('words.ts', source, ts.ScriptTarget.Latest, true));
	return found.filter((text) => /[a-z]{2}.* /i.test(text));
}
