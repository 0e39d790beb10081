import type { BatchSheet } from '../batch/batchSheet';
import { lossPercent, type Outcome } from './outcome';
import type { BakeState } from './bakeState';
import { leftoversOf, stockOf, type Leftover, type Stock } from './stock';

/** What a list shows of a bake: a line in the logbook. */
export interface BakeCard {
  /** Null while it is under way, ms since 1970. */
  readonly endedAtMs: number | null;
  readonly name: string;
  readonly pieces: number;
  /** Dough of one piece, g. */
  readonly doughG: number;
  /** Weight lost from tin to rack, %; null unless both were weighed. */
  readonly lossPercent: number | null;
  readonly scores: Outcome['scores'] | null;
  readonly again: Outcome['again'];
  readonly words: string;
  /** Why it was given up; null: it was not. */
  readonly givenUp: string | null;
  /** What it put by, as far as any is left. */
  readonly stock: readonly (Stock | Leftover)[];
}

/** How a card follows from a bake, numbered: raised with every change of `bakeCard`, and all that are stored are made anew. */
export const CARD_DERIVATION = 9;

/** The card of a bake, from its sheet and what has happened to it. */
export function bakeCard(
  sheet: Pick<BatchSheet, 'name' | 'pieces' | 'ways' | 'leftOver'>,
  state: BakeState,
): BakeCard {
  const { name, pieces } = sheet;
  const { endedAtMs, outcome, abandoned } = state;
  return {
    endedAtMs,
    name,
    pieces: pieces.count,
    doughG: pieces.doughG,
    lossPercent: outcome && lossPercent(outcome),
    scores: outcome && outcome.scores,
    again: outcome && outcome.again,
    words: outcome?.words ?? '',
    givenUp: abandoned && abandoned.reason,
    stock: [
      ...stockOf(sheet, state).filter(({ leftPieces }) => leftPieces > 0),
      ...leftoversOf(sheet, state).filter(({ leftG }) => leftG >= 1),
    ],
  };
}
