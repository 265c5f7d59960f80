import Module, { type ManifoldToplevel } from 'manifold-3d';

let loading: Promise<ManifoldToplevel> | null = null;

/** The geometry engine, loaded once when it is first asked for. */
export function geometryEngine(): Promise<ManifoldToplevel> {
	loading ??= Module().then((engine) => {
		engine.setup();
		return engine;
	});
	return loading;
}
