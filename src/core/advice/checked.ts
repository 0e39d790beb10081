import { QUESTIONS } from '../tasting/questions';
import type { Pooled } from '../tasting/pooled';
import type { QuestionId } from '../tasting/questions';
import type { TakenAdvice } from './adviceSchema';

/**
 * What became of advice: `right` where what was disliked came nearer to its best by half a step at the least, or is at it; `half` where some of it did;
 * `wrong` where none did; `open` while nobody tasted the bread that followed it.
 */
export interface AdviceResult {
  readonly verdict: 'right' | 'half' | 'wrong' | 'open';
  readonly scores: readonly {
    readonly question: QuestionId;
    readonly was: number | null;
    readonly now: number;
    /** Inside of the eight of ten that were told. */
    readonly isInside: boolean;
    readonly isBetter: boolean;
  }[];
}

/** Half a step is what one taster is off from one day to another. */
const NEARER = 0.5;

/** Holds advice against what was said of the bread that was made by it. */
export function checkedAdvice(
  { expects }: Pick<TakenAdvice, 'expects'>,
  said: ReadonlyMap<QuestionId, Pooled> | null,
): AdviceResult {
  const scores = expects.flatMap(({ question, was, low, high }) => {
    const now = said?.get(question)?.mean;
    const best = QUESTIONS.find(({ id }) => id === question)?.best ?? null;
    if (now === undefined || best === null) return [];
    const [missed, misses] = [was === null ? null : Math.abs(was - best), Math.abs(now - best)];
    const isBetter = misses < NEARER || (missed !== null && missed - misses >= NEARER);
    return [{ question, was, now, isInside: now >= low && now <= high, isBetter }];
  });
  const better = scores.filter(({ isBetter }) => isBetter).length;
  const verdict =
    scores.length === 0 ? 'open' : better === scores.length ? 'right' : better > 0 ? 'half' : 'wrong';
  return { verdict, scores };
}
