import type { CommonMessages } from './common-messages';
import type { None, ParamsOf } from './none';

/**
 * Every message of core by its id, with the parameters its sentence needs. Core holds no sentences: those are in words, by id. Each station
 * adds its own (message-params.ts), so that this file needs no station, and an id without a sentence, or a sentence without an id, does not compile.
 */
export interface MessageParams extends CommonMessages {}

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
