import type { BatchSheet } from '../batch/batchSheet';
import type { BakeState } from './bakeState';

/** What of a bake was put by: frozen, par-baked, kept. `leftPieces` of those that were made are still there. */
export interface Stock {
  readonly wayId: string;
  readonly name: string;
  readonly as: NonNullable<NonNullable<BatchSheet['ways']>[number]['putBy']>['as'];
  readonly madeAtMs: number;
  /** Until then it is as good as it was meant to be; whether it is safe, local rules say. */
  readonly bestByMs: number;
  readonly madePieces: number;
  readonly leftPieces: number;
}

const DAY_MS = 86_400_000;

/** The stock a bake left: from the moment its log was closed; of one that was given up there is none. */
export function stockOf(
  { ways = [] }: Pick<BatchSheet, 'ways'>,
  { outcome, endedAtMs, stockLeft }: Pick<BakeState, 'outcome' | 'endedAtMs' | 'stockLeft'>,
): Stock[] {
  if (outcome === null || endedAtMs === null) return [];
  return ways.flatMap(({ wayId, name, count, putBy }): Stock[] =>
    putBy && count > 0
      ? [
          {
            wayId,
            name,
            as: putBy.as,
            madeAtMs: endedAtMs,
            bestByMs: endedAtMs + putBy.days * DAY_MS,
            madePieces: count,
            leftPieces: Math.min(count, stockLeft.get(wayId) ?? count),
          },
        ]
      : [],
  );
}
