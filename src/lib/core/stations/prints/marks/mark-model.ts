import { modelOf, type MarkModel } from '../../../judging/posterior/model';
import { MARKS, type MarkDef } from './marks';

/**
 * How a mark is modelled. What is measured against a size of the piece may come out on either side of it; nothing else is less than nothing.
 * @example markModel(MARKS[0]).scale // 'plain'
 */
export const markModel = (mark: MarkDef): MarkModel => MODELS.get(mark.def.id) ?? modelled(mark);

function modelled(mark: MarkDef): MarkModel {
	if (mark.kind === 'words') return modelOf(mark.def, 'words');
	if (mark.kind === 'measure' && mark.dimension === 'count') return modelOf(mark.def, 'count');
	return modelOf(mark.def, 'plain', mark.kind === 'measure' && mark.against !== undefined ? null : 0);
}

const MODELS = new Map(MARKS.map((mark) => [mark.def.id, modelled(mark)]));
