import type { BatchSheet } from '../batch/batchSheet';
import { allOfS, repeated } from '../method/methodTime';
import { onceS } from '../method/usualTimes';
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
  /** How long it takes from taking it out to the table, by the method, s; 0: it is ready as it is. */
  readonly finishS: number;
}

/** What no piece took of a sauce, a filling: `leftG` of what was left over is still there. */
export interface Leftover {
  readonly stageId: string;
  readonly name: string;
  readonly place: NonNullable<BatchSheet['leftOver']>[number]['keeps']['place'];
  readonly madeAtMs: number;
  readonly bestByMs: number;
  readonly perPieceG: number;
  readonly madeG: number;
  readonly leftG: number;
}

const DAY_MS = 86_400_000;

/** The stock a bake left: from the moment its log was closed; of one that was given up there is none. */
export function stockOf(
  { ways = [] }: Pick<BatchSheet, 'ways'>,
  { outcome, endedAtMs, stockLeft }: Pick<BakeState, 'outcome' | 'endedAtMs' | 'stockLeft'>,
): Stock[] {
  if (outcome === null || endedAtMs === null) return [];
  return ways.flatMap(({ wayId, name, count, putBy, later = [] }): Stock[] =>
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
            finishS: later.reduce((sum, step) => sum + allOfS(repeated(step, onceS(step))), 0),
          },
        ]
      : [],
  );
}

/** What a bake left over of its sauces and fillings, where it is said how that keeps: from the moment its log was closed. */
export function leftoversOf(
  { leftOver = [] }: Pick<BatchSheet, 'leftOver'>,
  { outcome, endedAtMs, leftoverG }: Pick<BakeState, 'outcome' | 'endedAtMs' | 'leftoverG'>,
): Leftover[] {
  if (outcome === null || endedAtMs === null) return [];
  return leftOver.map(({ stageId, name, massG, perPieceG, keeps }) => ({
    stageId,
    name,
    place: keeps.place,
    madeAtMs: endedAtMs,
    bestByMs: endedAtMs + keeps.days * DAY_MS,
    perPieceG,
    madeG: massG,
    leftG: Math.min(massG, leftoverG.get(stageId) ?? massG),
  }));
}
