import { mean, sampleStandardDeviation } from 'simple-statistics';
import { QUESTION_IDS, type Occasion, type QuestionId } from './questions';
import type { Tasting } from './tastingSchema';

/** What several tasters said together of one question. */
export interface Pooled {
  readonly mean: number;
  /** How far tasters are from one another, one standard deviation; null: one taster alone. */
  readonly spread: number | null;
  readonly count: number;
}

type Said = Pick<Tasting, 'occasion' | 'scores' | 'rungId'>;

/**
 * Tastings together, question by question: the plain mean, since five steps say no more. Of another occasion or rung they are not counted:
 * bread of yesterday is another bread.
 */
export function pooled(
  tastings: Iterable<Said>,
  of: { readonly occasion: Occasion; readonly rungId?: string | null },
): Map<QuestionId, Pooled> {
  const alike = [...tastings].filter(
    ({ occasion, rungId }) => occasion === of.occasion && (of.rungId === undefined || rungId === of.rungId),
  );
  return new Map(
    QUESTION_IDS.flatMap((id): [QuestionId, Pooled][] => {
      const given = alike.flatMap(({ scores }) => scores[id] ?? []);
      if (given.length === 0) return [];
      const spread = given.length > 1 ? sampleStandardDeviation(given) : null;
      return [[id, { mean: mean(given), spread, count: given.length }]];
    }),
  );
}
