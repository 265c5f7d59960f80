import type { MaterialFigures } from './figures';
import { materialOf } from './material-of';

/**
 * The class a material is counted in: the handbook's name for it, else as it was written, in capitals.
 * @example materialClass('petg-cf', HANDBOOK) // 'PETG'
 */
export const materialClass = (name: string, handbook: readonly MaterialFigures[]): string =>
	materialOf(name, handbook)?.material ?? name.trim().toUpperCase();
