import type { CostMessages } from '../cost/message-params';
import type { DiameterMessages } from '../diameter/message-params';
import type { DryingMessages } from '../drying/message-params';
import type { HandbookMessages } from '../handbook/message-params';
import type { IntakeMessages } from '../intake/message-params';
import type { MoistureMessages } from '../moisture/message-params';
import type { PrintsMessages } from '../prints/message-params';
import type { StrengthMessages } from '../strength/message-params';
import type { CommonMessages } from './common-messages';
import type { None, ParamsOf } from './none';

/** Every message of core by its id, with the parameters its sentence needs. Core holds no sentences: those are in ui/words, by id. */
export type MessageParams = CommonMessages &
	CostMessages &
	DiameterMessages &
	DryingMessages &
	HandbookMessages &
	IntakeMessages &
	MoistureMessages &
	PrintsMessages &
	StrengthMessages;

export type MessageId = keyof MessageParams;

/** A message of one of these ids. An id that is not known, or a parameter that is missing, does not compile. */
export type MessageOf<I extends MessageId> = { [K in I]: { id: K; params: MessageParams[K] } }[I];

export type Message = MessageOf<MessageId>;

/**
 * A message by its id, with the parameters that its sentence needs and no others.
 * @example say('successCount', { finished: 3, n: 4 }) // { id: 'successCount', params: { finished: 3, n: 4 } }
 */
export function say<I extends MessageId>(
	id: I,
	...[params]: [ParamsOf<MessageParams, I>] extends [None] ? [] : [ParamsOf<MessageParams, I>]
): MessageOf<I> {
	return { id, params: params ?? {} } as MessageOf<I>;
}
