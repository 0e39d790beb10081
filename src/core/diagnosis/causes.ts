import type { CauseId } from '../advice/ids';
import type { Factor } from './factors';

/**
 * What can have gone wrong. Each is a departure of a size that is drawn; `asWritten` is none: the formula itself, and a day like any other.
 * `weight` is how common it is before anything is known, against the others: our own judgement of what bakers tell, which a kitchen's own
 * confirmed causes correct.
 */
interface CauseKind {
  readonly weight: number;
  readonly by: Factor | 'cut' | 'air' | null;
  /** Of the departure: its middle and its spread, on its factor's scale; `either`: as often the other way. */
  readonly middle: number;
  readonly sd: number;
  readonly either?: true;
  /** How much of it is there again next time, where the log does not tell. */
  readonly stays: number;
}

const LN2 = Math.log(2);
export const CAUSES: Readonly<Record<CauseId, CauseKind>> = {
  cutEarly: { weight: 9, by: 'cut', middle: -1.1, sd: 0.4, stays: 0.3 },
  underBaked: { weight: 8, by: 'bake', middle: -0.3, sd: 0.1, stays: 0.6 },
  overBaked: { weight: 3, by: 'bake', middle: 0.25, sd: 0.07, stays: 0.6 },
  coolOven: { weight: 6, by: 'ovenC', middle: -36, sd: 11, stays: 1 },
  hotOven: { weight: 4, by: 'ovenC', middle: 30, sd: 9, stays: 1 },
  coolPlate: { weight: 4, by: 'plate', middle: -0.9, sd: 0.25, stays: 0.7 },
  tooWet: { weight: 7, by: 'water', middle: 0.12, sd: 0.035, stays: 0.5 },
  tooDry: { weight: 5, by: 'water', middle: -0.12, sd: 0.035, stays: 0.5 },
  otherBag: { weight: 4, by: 'water', middle: 0.1, sd: 0.03, either: true, stays: 1 },
  underProofed: { weight: 7, by: 'proof', middle: -0.75, sd: 0.25, stays: 0.5 },
  overProofed: { weight: 7, by: 'proof', middle: 0.6, sd: 0.17, stays: 0.5 },
  weakYeast: { weight: 6, by: 'vigour', middle: -1, sd: 0.35, stays: 0.9 },
  coldDough: { weight: 5, by: 'doughC', middle: -6, sd: 1.6, stays: 0.6 },
  yeastForgotten: { weight: 2, by: 'leaven', middle: -4, sd: 0.4, stays: 0 },
  yeastDoubled: { weight: 2, by: 'leaven', middle: LN2, sd: 0.06, stays: 0 },
  binderForgotten: { weight: 3, by: 'binder', middle: -3.5, sd: 0.5, stays: 0 },
  binderDoubled: { weight: 2, by: 'binder', middle: LN2, sd: 0.06, stays: 0 },
  saltForgotten: { weight: 3, by: 'salt', middle: -3, sd: 0.5, stays: 0 },
  saltDoubled: { weight: 2, by: 'salt', middle: LN2, sd: 0.06, stays: 0 },
  piecesLarge: { weight: 3, by: 'size', middle: 0.38, sd: 0.08, stays: 0.5 },
  piecesSmall: { weight: 2, by: 'size', middle: -0.4, sd: 0.08, stays: 0.5 },
  airLeftIn: { weight: 4, by: 'air', middle: 0.9, sd: 0.2, stays: 0.5 },
  asWritten: { weight: 12, by: null, middle: 0, sd: 0, stays: 1 },
};
export const OTHER_WEIGHT = 5;

/** What differs from day to day though nothing went wrong, one sd on each factor's scale. */
export const DAY: Readonly<Partial<Record<Factor, number>>> = {
  water: 0.022, vigour: 0.2, holding: 0.1, doughC: 1, proof: 0.06, bake: 0.03, ovenC: 6, plate: 0.12, size: 0.03,
}; // prettier-ignore
/** How differently long one waits before it is cut, ln; and how much air is shaped in. */
export const HANDS = { cut: 0.2, air: 0.12 } as const;
