import { health } from '$lib/server/health';

export const GET = async (): Promise<Response> => {
	const answer = await health();
	return Response.json(answer, { status: answer.state === 'ok' ? 200 : 503 });
};
