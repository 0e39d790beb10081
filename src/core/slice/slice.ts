import type { Consistency } from '../consistency/consistency';
import { crustLab } from '../heat/colour';
import type { Shape } from '../method/heating';
import { seenOf } from './reading';

/** What the section of a baked piece looks like: every figure comes from the prediction, none is for show. */
export interface SliceFigures {
  readonly shape: Shape;
  readonly widthMm: number;
  readonly heightMm: number;
  /** How far the top bulges over the section's own height, -0.3 (sunk) ... 0.5 (dome). */
  readonly crown: number;
  /** Mean width of a pore, mm, and how even they are, 0 ... 1. */
  readonly poreMm: number;
  readonly evenness: number;
  /** Gas in the crumb, share of its volume. */
  readonly gas: number;
  /** Of a cut, the share that shows as holes. */
  readonly seen: number;
  readonly crustMm: number;
  /** Browning index of the crust above and beneath. */
  readonly brownTop: number;
  readonly brownBase: number;
  /** Crumb that is not set: the height of a dense, damp streak over the base, share of the height. */
  readonly streak: number;
}

/** What the drawing is made from: ends of the other models. */
export interface SliceSources {
  readonly shape: Shape;
  readonly widthM: number;
  readonly heightM: number;
  readonly porosity: number;
  readonly consistency: Pick<Consistency, 'rested' | 'holds' | 'clings'>;
  /** How tired the dough's holding was when it went in, 0 ... 1. */
  readonly tired: number;
  readonly crustMm: number;
  readonly brownTop: number;
  readonly brownBase: number;
  /** Likelihood that the crumb was set when it came out. */
  readonly setChance: number;
}

const between = (low: number, value: number, high: number): number => Math.min(high, Math.max(low, value));

/**
 * Height over width of a piece that stands free, before its own dome: a stiff dough stands, a sticky one spreads.
 * 0.6 at S 0.75, 0.45 at 0.9, 0.3 at 1.1.
 */
export const standsOverWidth = (s: number, tall: number): number =>
  tall * between(0.5, 1.75 - 0.83 * s, 1.35);

/**
 * Which quantity drives which feature (docs/models.md has the table):
 * width and height: the baked body; crown: shape, less what a tired dough has sunk; pore width: gas share (cube root of gas over
 * crumb), wetter doughs let bubbles run together, so do tired ones, clinging gums keep them small; evenness: falls with wetness
 * away from soft, with tiredness; crust: the dried layer and the browning index; streak: how likely the crumb was not set.
 */
export function sliceOf(sources: SliceSources): SliceFigures {
  const { shape, consistency, porosity, tired } = sources;
  const { s } = consistency.rested;
  const flat = shape === 'disc' || shape === 'flatbread';
  const round = shape === 'ring' || shape === 'ball' || shape === 'baguette';
  const dome = flat ? 0.08 : round ? 0 : shape === 'tin' ? 0.16 : 0.34;
  const wet = Math.max(0, s - 0.85);
  return {
    shape,
    widthMm: sources.widthM * 1000,
    heightMm: sources.heightM * 1000,
    crown: round ? 0 : dome * between(0.2, 1.9 - s, 1.1) - 0.4 * tired * (flat ? 0.2 : 1),
    poreMm:
      1.15 *
      Math.cbrt(Math.max(0.02, porosity) / Math.max(0.1, 1 - porosity)) *
      (1 + 1.5 * wet) *
      (1 + 0.7 * tired) *
      (1.15 - 0.3 * consistency.clings),
    evenness: between(0.1, 0.9 - 0.9 * Math.abs(s - 0.93) - 0.5 * tired + 0.08 * consistency.clings, 0.95),
    gas: porosity,
    seen: seenOf(porosity),
    crustMm: sources.crustMm,
    brownTop: sources.brownTop,
    brownBase: sources.brownBase,
    streak: between(0, 0.3 * (1 - sources.setChance) ** 1.5, 0.3),
  };
}

/** A browning index as a colour for a screen, `rgb(...)`. From CIE L*a*b* (D65, 2°). */
export function crustRgb(index: number): string {
  const { l, a, b } = crustLab(index);
  const fy = (l + 16) / 116;
  const cube = (f: number) => (f > 6 / 29 ? f ** 3 : 3 * (6 / 29) ** 2 * (f - 4 / 29));
  const x = 0.95047 * cube(fy + a / 500);
  const y = cube(fy);
  const z = 1.08883 * cube(fy - b / 200);
  const gamma = (c: number) =>
    between(
      0,
      Math.round(255 * (c <= 0.0031308 ? 12.92 * c : 1.055 * Math.max(0, c) ** (1 / 2.4) - 0.055)),
      255,
    );
  const red = gamma(3.2406 * x - 1.5372 * y - 0.4986 * z);
  const green = gamma(-0.9689 * x + 1.8758 * y + 0.0415 * z);
  const blue = gamma(0.0557 * x - 0.204 * y + 1.057 * z);
  return `rgb(${red} ${green} ${blue})`;
}
