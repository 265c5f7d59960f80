import { nth } from '../../../kernel/lists/nth';
import type { Manifold, ManifoldToplevel } from 'manifold-3d';
import { type Part, type Shape, ROUND } from '../kit/shape';

/** Triangles of a closed solid: corners as x, y, z one after the other in mm, triangles as three numbers of corners, outside to the right hand. */
export type Mesh = { corners: Float32Array; triangles: Uint32Array };

export type Solid = { mesh: Mesh; volumeMm3: number; size: { x: number; y: number; z: number } };

/**
 * Puts the parts of a shape together. What touches becomes one; the result is closed, or nothing at all.
 * Source: boolean operations of the manifold-3d library.
 * Errors: throws an Error if the parts do not make a solid, which is a fault of the shape.
 * @param engine the loaded geometry engine
 * @example solidOf(engine, flatTile.shape(usualParams(flatTile), '')).volumeMm3 // 3200
 */
export function solidOf(engine: ManifoldToplevel, shape: Shape): Solid {
	const used: Manifold[] = [];
	const made = (solid: Manifold): Manifold => {
		used.push(solid);
		return solid;
	};
	try {
		const whole = made(engine.Manifold.union(shape.add.map((part) => made(partOf(engine, part)))));
		const cut =
			shape.cut.length === 0
				? whole
				: made(whole.subtract(made(engine.Manifold.union(shape.cut.map((part) => made(partOf(engine, part)))))));
		if (cut.isEmpty() || cut.status() !== 'NoError') throw new Error(`solidOf: ${cut.status()}`);
		const mesh = cut.getMesh();
		const bounds = cut.boundingBox();
		const size = (axis: 0 | 1 | 2) => bounds.max[axis] - bounds.min[axis];
		return {
			mesh: { corners: cornersOf(mesh.vertProperties, mesh.numProp), triangles: mesh.triVerts.slice() },
			volumeMm3: cut.volume(),
			size: { x: size(0), y: size(1), z: size(2) }
		};
	} finally {
		// The engine's memory is its own: nobody else frees it.
		for (const solid of used) solid.delete();
	}
}

function partOf({ Manifold: M, CrossSection }: ManifoldToplevel, part: Part): Manifold {
	if (part.kind === 'cone') {
		const cone = M.cylinder(part.height, part.bottomRadius, part.topRadius, ROUND);
		const there = cone.translate([part.x, part.y, part.z]);
		cone.delete();
		return there;
	}
	const section = new CrossSection(part.outline.map(([a, b]) => [a, b] as [number, number]));
	const height = part.kind === 'plate' ? part.height : part.depth;
	const raised = section.extrude(height);
	section.delete();
	// A prism is drawn from the side: what the engine extrudes upwards is turned to run along y.
	const turned = part.kind === 'plate' ? raised.translate([0, 0, part.z]) : raised.rotate([90, 0, 0]);
	const there = part.kind === 'plate' ? turned : turned.translate([0, part.y + height, 0]);
	raised.delete();
	if (there !== turned) turned.delete();
	return there;
}

function cornersOf(properties: Float32Array, stride: number): Float32Array {
	if (stride === 3) return properties.slice();
	return Float32Array.from({ length: (properties.length / stride) * 3 }, (_, i) => nth(properties, Math.floor(i / 3) * stride + (i % 3)));
}
