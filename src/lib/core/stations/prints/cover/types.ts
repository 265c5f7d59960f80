/** A photograph, or a part of one, as a browser's canvas gives it: red, green, blue, opacity, row by row from the top. */
export type Pixels = { width: number; height: number; data: Uint8ClampedArray };

/** A point of a picture, from its top left corner. */
export type Point = readonly [x: number, y: number];

/** The clear room between two spikes: inner edge of the left spike at its top, of the right one, then the same at their feet. */
export type Corners = readonly [topLeft: Point, topRight: Point, bottomRight: Point, bottomLeft: Point];
