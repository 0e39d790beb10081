import type { SetAside } from '@/core/documents';
import type { Problem } from '@/core/result';

/** Why a use case did not do what was asked: expected, and the same for every caller. */
export type Failure =
  | { readonly kind: 'notFound' }
  | { readonly kind: 'invalid'; readonly problems: readonly Problem[] }
  /** Somebody saved in between: what the writer had seen is no longer the newest. */
  /** This id came before with something else: neither is guessed at, and the first stays. */
  | { readonly kind: 'otherContent' }
  /** It is there, and this program cannot read it. */
  | { readonly kind: 'unreadable'; readonly setAside: SetAside }
  | { readonly kind: 'stale'; readonly revision: number; readonly savedAtMs: number };

export type Done<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly failure: Failure };

export const done = <T>(value: T): Done<T> => ({ ok: true, value });
export const failed = (failure: Failure): Done<never> => ({ ok: false, failure });
export const invalid = (...problems: Problem[]): Done<never> => failed({ kind: 'invalid', problems });

/** Thrown where as much of this is under way as may be: it can be asked for again in a moment. */
export class Busy extends Error {}
