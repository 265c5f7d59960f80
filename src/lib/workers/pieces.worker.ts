import { expose, transfer } from 'comlink';
import Module from 'manifold-3d';
import wasmUrl from 'manifold-3d/manifold.wasm?url';
import { drawingOf, type Drawing } from '$lib/core/judging/pieces/files/drawing';
import { pieceKind } from '$lib/core/judging/pieces/library/library';
import { solidOf } from '$lib/core/judging/pieces/files/solid';
import { stlOf } from '$lib/core/judging/pieces/files/stl';
import { threeMfOf } from '$lib/core/judging/pieces/files/three-mf';
import type { Params } from '$lib/core/judging/pieces/kit/types';

/** A thin shell: solids are put together here, off the page's thread. */
const loading = Module({ locateFile: () => wasmUrl }).then((engine) => {
	engine.setup();
	return engine;
});

async function solid(kindId: string, params: Params, code: string) {
	const kind = pieceKind(kindId);
	if (!kind) throw new RangeError(`no piece ${kindId}`);
	return solidOf(await loading, kind.shape(params, code));
}

export type DrawnPiece = { drawing: Drawing; volumeMm3: number; size: { x: number; y: number; z: number } };

const piecesWorker = {
	async draw(kindId: string, params: Params, code: string): Promise<DrawnPiece> {
		const { mesh, volumeMm3, size } = await solid(kindId, params, code);
		return { drawing: drawingOf(mesh), volumeMm3, size };
	},
	async file(kindId: string, params: Params, code: string, format: 'stl' | '3mf', title: string): Promise<Uint8Array<ArrayBuffer>> {
		const { mesh } = await solid(kindId, params, code);
		const bytes = format === 'stl' ? stlOf(mesh) : threeMfOf(mesh, title);
		return transfer(bytes, [bytes.buffer]);
	}
};

export type PiecesWorker = typeof piecesWorker;

expose(piecesWorker);
