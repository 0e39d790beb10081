import type { BatchSheet } from '../batch/batchSheet';
import { lossPercent, type Outcome } from './outcome';
import type { BakeState } from './bakeState';
import { lotsOf } from './lotsOf';
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
  /** What else it is found by: what was in it, notes, what tasters said, who was at it. */
  readonly says: string;
  /** Bags that went into it. */
  readonly lots: readonly string[];
  /** Why it was given up; null: it was not. */
  readonly givenUp: string | null;
  /** What it put by, as far as any is left. */
  readonly stock: readonly (Stock | Leftover)[];
}

/** How a card follows from a bake, numbered: raised with every change of `bakeCard`, and all that are stored are made anew. */
export const CARD_DERIVATION = 12;
/** A book of notes is found by its beginning. */
const MOST_SAYS = 8000;

/** The card of a bake, from its sheet and what has happened to it. */
export function bakeCard(
  sheet: Pick<BatchSheet, 'name' | 'pieces' | 'ways' | 'leftOver' | 'stages' | 'lots'>,
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
    says: saysOf(sheet, state),
    lots: [...new Set(lotsOf(sheet, state).values())],
    givenUp: abandoned && abandoned.reason,
    stock: [
      ...stockOf(sheet, state).filter(({ leftPieces }) => leftPieces > 0),
      ...leftoversOf(sheet, state).filter(({ leftG }) => leftG >= 1),
    ],
  };
}

function saysOf({ stages, lots }: Pick<BatchSheet, 'stages' | 'lots'>, state: BakeState): string {
  const { notes, additions, tastings, abandoned, hands } = state;
  const all = [
    ...stages.flatMap((stage) => stage.lines.map((line) => line.name)),
    ...(lots ?? []).map(({ name }) => name),
    ...additions.map(({ note }) => note),
    ...notes.map(({ text }) => text),
    ...[...tastings.values()].flatMap(({ taster, words }) => [taster ?? '', words]),
    abandoned?.reason ?? '',
    ...hands,
  ];
  return [...new Set(all)].filter(Boolean).join(' ').slice(0, MOST_SAYS);
}
