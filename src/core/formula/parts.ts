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

/** Whether a dough is made at all: a sauce with a formula of its own makes none. */
export const makesDough = (stages: readonly Pick<PartFigures, 'kind' | 'lines'>[]): boolean =>
  stages.some((stage) => purposeOf(stage) === 'dough' && stage.lines.some(({ heldBack }) => !heldBack));

/** What a part of a formula has to say of itself for its totals. */
interface PartFigures {
  readonly kind: StageKind;
  readonly lines: readonly { readonly massG: number; readonly heldBack?: true | undefined }[];
  readonly perPieceG?: number | null | undefined;
  readonly takenUp?: { readonly lowPercent: number; readonly highPercent: number } | undefined;
}

/**
 * What the bread keeps where nobody says, %. Of a bath it goes by the pieces that go through it, not by the vessel: of their dough's weight a ring takes up
 * so much of its kettle, syrup and all; what is fried so much oil (reviews of frying; core/heat/oilTaken.ts says it of a piece); of steam's water nothing.
 * Of what is dusted or greased it goes by what is put out: about half of the flour is brushed or scraped off, most of what greases a tin ends on the crust.
 */
const USUALLY_KEPT = {
  kettle: { of: 'dough', low: 1, high: 4 },
  oil: { of: 'dough', low: 5, high: 12 },
  steam: { of: 'dough', low: 0, high: 0 },
  dusting: { of: 'part', low: 30, high: 70 },
  grease: { of: 'part', low: 50, high: 95 },
} as const;

/** The middle of what is kept of flour that is strewn, share of it. */
export const DUSTING_SHARE = (USUALLY_KEPT.dusting.low + USUALLY_KEPT.dusting.high) / 200;

/** A bath follows its vessel: of twice the rings no more water is boiled. */
export const followsDough = (part: { readonly kind: StageKind }): boolean => purposeOf(part) !== 'bath';

/** What a part is eaten with: so many pieces of so much dough in all, g. */
export interface Yield {
  readonly pieces: number;
  readonly doughG: number;
}

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
 * What of a part is eaten with these pieces.
 *
 * A sauce of 600 g of which each of three flats takes 90 g: 270 g eaten, 330 g left. A kettle of 3 kg for 900 g of rings: 9-36 g, 0.3-1.2 % of it.
 */
export function eatenOf(part: PartFigures, { pieces, doughG }: Yield): Eaten {
  const purpose = purposeOf(part);
  if (purpose === 'dough') return whole;
  const madeG = partMassG(part);
  if (purpose === 'on' || purpose === 'with') {
    if (part.perPieceG == null || madeG <= 0) return whole;
    const takenG = Math.min(madeG, part.perPieceG * pieces);
    const share = takenG / madeG;
    return { value: share, low: share, high: share, leftG: madeG - takenG };
  }
  const share = (percent: number, ofG: number) =>
    madeG > 0 ? Math.min(1, (percent * ofG) / 100 / madeG) : 0;
  const usual = USUALLY_KEPT[part.kind as keyof typeof USUALLY_KEPT];
  const ofG = part.takenUp || usual.of === 'part' ? madeG : doughG;
  const low = share(part.takenUp?.lowPercent ?? usual.low, ofG);
  const high = share(part.takenUp?.highPercent ?? usual.high, ofG);
  return { value: (low + high) / 2, low, high, leftG: null };
}

/** What the pieces ask of a part beyond what there is of it, g; 0 where it is enough, or not said. */
export const missingG = (part: PartFigures, pieces: number): number =>
  part.perPieceG == null ? 0 : Math.max(0, part.perPieceG * pieces - partMassG(part));
