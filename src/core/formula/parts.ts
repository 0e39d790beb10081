import type { StageKind } from './formulaLimits';

/**
 * What a part is for. `dough`: goes into it. `on`: lies on the piece while it bakes. `with`: eaten with it, made for itself. `bath`: the
 * water, oil or steam it goes through. `dusting`: what keeps it from sticking. Only `dough` counts in hydration, dough mass and the models of
 * the dough.
 */
export type Purpose = 'dough' | 'on' | 'with' | 'bath' | 'dusting';

const PURPOSE_OF: Readonly<Record<StageKind, Purpose>> = {
  starter: 'dough', preDough: 'dough', soaker: 'dough', scald: 'dough', gel: 'dough', bloom: 'dough', main: 'dough', late: 'dough',
  wash: 'on', topping: 'on',
  filling: 'with', sauce: 'with', glaze: 'with', dip: 'with',
  kettle: 'bath', oil: 'bath', steam: 'bath',
  dusting: 'dusting', grease: 'dusting',
}; // prettier-ignore

export const purposeOf = (part: { readonly kind: StageKind }): Purpose => PURPOSE_OF[part.kind];

/** What a part of a formula has to say of itself for its totals. */
interface PartFigures {
  readonly kind: StageKind;
  readonly lines: readonly { readonly massG: number; readonly heldBack?: true | undefined }[];
  readonly perPieceG?: number | null | undefined;
  readonly takenUp?: { readonly lowPercent: number; readonly highPercent: number } | undefined;
}

/**
 * Of what is put out, the share that the bread keeps, %: a kettle's syrup leaves a film and a little that soaks in; oil is taken up by what is
 * fried, of a pot of it a twentieth or so; steam's water none; of flour on the board about half is brushed or scraped off; most of what greases a
 * tin ends on the crust. Between wide ends: a kitchen may state its own.
 */
const USUAL_TAKEN_UP = {
  kettle: { lowPercent: 1, highPercent: 5 },
  oil: { lowPercent: 3, highPercent: 10 },
  steam: { lowPercent: 0, highPercent: 0 },
  dusting: { lowPercent: 30, highPercent: 70 },
  grease: { lowPercent: 50, highPercent: 95 },
} as const;

/** What of a part is eaten, share of its mass: all of a dough and of what lies on it; with it what the pieces take; of a bath and of dusting what is taken up. */
export interface Eaten {
  readonly value: number;
  readonly low: number;
  readonly high: number;
  /** Of a sauce, g: what is made, what the pieces take, what is left over. Null where it is not said how much a piece takes. */
  readonly leftG: number | null;
}

const whole: Eaten = { value: 1, low: 1, high: 1, leftG: null };

/** What goes in for certain: a line that is held back is not counted. */
export const partMassG = (part: PartFigures): number =>
  part.lines.reduce((sum, line) => sum + (line.heldBack ? 0 : line.massG), 0);

/**
 * What of a part is eaten by so many pieces.
 *
 * A sauce of 600 g of which each of three flats takes 90 g: 270 g eaten, 330 g left.
 */
export function eatenOf(part: PartFigures, pieces: number): Eaten {
  const purpose = purposeOf(part);
  if (purpose === 'dough') return whole;
  if (purpose === 'on' || purpose === 'with') {
    const madeG = partMassG(part);
    if (part.perPieceG == null || madeG <= 0) return whole;
    const takenG = Math.min(madeG, part.perPieceG * pieces);
    const share = takenG / madeG;
    return { value: share, low: share, high: share, leftG: madeG - takenG };
  }
  const { lowPercent, highPercent } =
    part.takenUp ?? USUAL_TAKEN_UP[part.kind as keyof typeof USUAL_TAKEN_UP];
  return {
    value: (lowPercent + highPercent) / 200,
    low: lowPercent / 100,
    high: highPercent / 100,
    leftG: null,
  };
}

/** What the pieces ask of a part beyond what there is of it, g; 0 where it is enough, or not said. */
export const missingG = (part: PartFigures, pieces: number): number =>
  part.perPieceG == null ? 0 : Math.max(0, part.perPieceG * pieces - partMassG(part));
