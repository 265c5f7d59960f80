import { z } from 'zod';
import { CORE_VERSION } from '$lib/core/version';
import { PROBLEM_CODES } from '$lib/words/problems';
import { REFUSAL_CODES } from '$lib/words/refusals';
import { ENDPOINTS, type Endpoint } from './endpoints';

const params = z.record(z.string(), z.union([z.string(), z.number()]));

const problem = z.object({
	type: z.string(),
	title: z.string(),
	status: z.number(),
	code: z.enum(PROBLEM_CODES).describe('why the request was not carried out'),
	params,
	errors: z.array(
		z.object({ path: z.string(), code: z.enum(REFUSAL_CODES), params, message: z.string(), suggestion: z.string().optional() })
	)
});

/** Draft 2020-12 is the dialect of OpenAPI 3.1; what comes in is described, before defaults are filled in. */
const schemaOf = (schema: z.ZodType, io: 'input' | 'output') => {
	const { $schema: _, ...rest } = z.toJSONSchema(schema, { io, unrepresentable: 'any' });
	return rest;
};

const problems = (statuses: readonly [status: string, description: string][]) =>
	Object.fromEntries(
		statuses.map(([status, description]) => [
			status,
			{ description, content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } } }
		])
	);

function operation(endpoint: Endpoint) {
	const inPath = [...endpoint.path.matchAll(/\{(\w+)\}/g)].map(([, name]) => ({
		name,
		in: 'path',
		required: true,
		schema: { type: 'string' }
	}));
	if (endpoint.method === 'post')
		return {
			summary: endpoint.summary,
			description: `At most ${Math.round(endpoint.limit / 1024)} kB. The id is made by the sender: the same id and body may be sent again.`,
			requestBody: { required: true, content: { 'application/json': { schema: schemaOf(endpoint.body, 'input') } } },
			responses: {
				'201': { description: 'kept' },
				'200': { description: 'kept before, or only looked at' },
				...problems([
					['409', 'the id is in use for something else'],
					['413', 'larger than allowed'],
					['422', 'not right; the errors name the field or the row'],
					['503', 'the database is away; nothing was stored']
				])
			}
		};
	if (endpoint.method === 'put')
		return {
			summary: endpoint.summary,
			description: `At most ${Math.round(endpoint.limit / 1024)} kB. The same piece may be sent again.`,
			parameters: inPath,
			requestBody: { required: true, content: { 'application/octet-stream': { schema: { type: 'string', format: 'binary' } } } },
			responses: {
				'200': { description: 'kept' },
				...problems([
					['404', 'there is no such thing'],
					['409', 'another piece was sent in its place before, or it is taken in already'],
					['413', 'larger than allowed'],
					['503', 'the database is away; nothing was stored']
				])
			}
		};
	const content =
		endpoint.answer === 'csv'
			? { 'text/csv': { schema: { type: 'string' } } }
			: { 'application/json': { schema: endpoint.answer ? schemaOf(endpoint.answer, 'output') : { type: 'object' } } };
	const query = (endpoint.query?.split(', ') ?? []).map((name) => ({ name, in: 'query', required: false, schema: { type: 'string' } }));
	return {
		summary: endpoint.summary,
		parameters: [...inPath, ...query],
		responses: { '200': { description: 'as asked', content }, ...problems([['404', 'there is no such thing']]) }
	};
}

/** The OpenAPI 3.1 document, emitted from the schemas that guard the routes. */
export function openApiDocument(origin: string) {
	const paths: Record<string, Record<string, unknown>> = {};
	for (const endpoint of ENDPOINTS) {
		const path = `/api/v1/${endpoint.path}`;
		paths[path] = { ...paths[path], [endpoint.method]: operation(endpoint) };
	}
	return {
		openapi: '3.1.0',
		info: {
			title: 'Draught',
			version: CORE_VERSION,
			description: 'Compares filament spools by measured evidence. JSON in and out; times with offset.'
		},
		servers: [{ url: origin }],
		paths,
		components: { schemas: { Problem: schemaOf(problem, 'output') } }
	};
}
