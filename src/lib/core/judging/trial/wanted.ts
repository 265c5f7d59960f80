import type { ConditionKind } from '../../record/lists/closed-lists';
import type { Basis } from './basis';

/**
 * The state in which a trial counts prints.
 * @example wantedCondition({ conditionPolicy: 'driedFirst' }) // 'dried'
 */
export const wantedCondition = ({ conditionPolicy }: Pick<Basis, 'conditionPolicy'>): ConditionKind =>
	conditionPolicy === 'driedFirst' ? 'dried' : 'asReceived';
