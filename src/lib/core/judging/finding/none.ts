/** A message without parameters. */
export type None = Record<string, never>;

/** What all of several ids need, so that one of them may be said by an id that is only known when it is said. */
export type ParamsOf<M, I extends keyof M> = (I extends keyof M ? (given: M[I]) => void : never) extends (given: infer P) => void
	? P
	: never;
