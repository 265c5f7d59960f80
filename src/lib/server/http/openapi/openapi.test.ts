import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join, relative } from 'node:path';
import { describe, expect, it } from 'vitest';
import { isTimed } from '$lib/schemas/timed';
import { openApiDocument } from './document';
import { ENDPOINTS } from './endpoints';

const ROUTES = join(process.cwd(), 'src/routes/api/v1');

function routes(directory: string): string[] {
	return readdirSync(directory).flatMap((name) => {
		const path = join(directory, name);
		if (statSync(path).isDirectory()) return routes(path);
		if (name !== '+server.ts') return [];
		const source = readFileSync(path, 'utf8');
		const address = relative(ROUTES, directory).replaceAll('[', '{').replaceAll(']', '}');
		return [...source.matchAll(/export const (GET|POST|PUT)/g)].map((m) => `${(m[1] as string).toLowerCase()} ${address}`);
	});
}

describe('OpenAPI document', () => {
	const document = openApiDocument('http://localhost:4170');
	it('describes every route that is there, and none that is not', () => {
		// A program sends the passphrase with every request; logging in and out is for browsers.
		const forBrowsers = (route: string) => route.includes('session');
		expect(ENDPOINTS.map((e) => `${e.method} ${e.path}`).sort()).toEqual(
			routes(ROUTES)
				.filter((route) => !forBrowsers(route))
				.sort()
		);
	});
	it('is plain JSON of version 3.1', () => {
		expect(document.openapi).toBe('3.1.0');
		expect(JSON.parse(JSON.stringify(document))).toEqual(document);
	});
	it('carries the fields of the wire schema, with what must be given', () => {
		const reading = JSON.parse(JSON.stringify(document.paths['/api/v1/readings'])) as {
			post: { requestBody: { content: { 'application/json': { schema: { required: string[]; properties: Record<string, unknown> } } } } };
		};
		const { schema } = reading.post.requestBody.content['application/json'];
		expect(schema.required).toEqual(expect.arrayContaining(['id', 'spoolId', 'quantity', 'typed', 'takenAt']));
		expect(schema.required).not.toContain('accepted');
		expect(Object.keys(schema.properties)).toContain('specimenId');
	});
	it('a body that says when is one that a page says it in', () => {
		for (const endpoint of ENDPOINTS) {
			if (endpoint.method !== 'post') continue;
			const schema = JSON.parse(JSON.stringify(document.paths[`/api/v1/${endpoint.path}`])) as {
				post: { requestBody: { content: { 'application/json': { schema: { properties: object; additionalProperties?: boolean } } } } };
			};
			const { properties, additionalProperties } = schema.post.requestBody.content['application/json'].schema;
			expect('at' in properties && 'zone' in properties, endpoint.path).toBe(isTimed(endpoint.path));
			// No body takes what it does not know.
			expect(additionalProperties, endpoint.path).toBe(false);
		}
	});
	it('every post names its limit and its problems', () => {
		for (const [path, methods] of Object.entries(document.paths)) {
			const post = methods.post as { description: string; responses: object } | undefined;
			if (!post) continue;
			expect(post.description, path).toMatch(/At most \d+ kB/);
			expect(Object.keys(post.responses)).toEqual(expect.arrayContaining(['201', '409', '413', '422']));
		}
	});
});
