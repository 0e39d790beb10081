import type { Ingredient } from '../ingredients/ingredient';
import type { MeasureSystem } from './measures';
import { unitOf } from './measures';
import type { OwnMeasure } from './ownMeasures';
import { pieceWeight } from './pieces';
import { weigh, type Count } from './weigh';

/** A weight as cups, spoons or eggs, and what those weigh, g. */
export interface InMeasures {
  readonly counts: readonly Count[];
  readonly massG: number;
}

/** What cups are made for besides whole ones; a spoon is halved, a small spoon goes down to an eighth. */
const CUP_PARTS = [0, 1 / 4, 1 / 3, 1 / 2, 2 / 3, 3 / 4, 1] as const;
const SMALL_PARTS = [1 / 8, 1 / 4, 1 / 2, 3 / 4] as const;
/** So far off a single measure may be before a second goes with it. */
const CLOSE = 0.03;
/** Eggs come whole, or half of one beaten; further off they are weighed. */
const EGG_CLOSE = 0.12;

const EGGS: ReadonlySet<string> = new Set(['egg-whole', 'egg-white', 'egg-yolk', 'quail-egg']);

const nearest = (values: readonly number[], to: number): number =>
  values.reduce((best, each) => (Math.abs(each - to) < Math.abs(best - to) ? each : best));

/** The largest number of cups that is not more, and the nearest one. */
function cupsOf(count: number): { readonly under: number; readonly near: number } {
  const whole = Math.floor(count);
  const parts = CUP_PARTS.map((part) => whole + part);
  return { under: parts.filter((part) => part <= count + 1e-9).at(-1) ?? whole, near: nearest(parts, count) };
}

interface Asked {
  readonly system: MeasureSystem;
  readonly own?: readonly OwnMeasure[];
}

/**
 * A weight as a baker without a scale would measure it: eggs by number, then cups, with spoons for the rest, then spoons. By the kitchen's own
 * cup or spoon where it weighed one. The nearest that measures are made for, so `massG` lies a few percent off; how full a cup is filled comes on top.
 *
 * 250 g of water: 1 cup (metric). 300 g of it: 1 cup and 3 ½ tbsp (302.5 g).
 *
 * @returns null for less than a sixteenth of a teaspoon
 */
export function inMeasures(massG: number, ingredient: Ingredient, { system, own }: Asked): InMeasures | null {
  if (EGGS.has(ingredient.id)) {
    const one = pieceWeight(ingredient.id, null, 'large', system)?.g ?? 0;
    const count = Math.round((2 * massG) / one) / 2;
    if (count > 0 && Math.abs(count * one - massG) <= EGG_CLOSE * massG)
      return {
        counts: [{ count, measure: ingredient.id === 'quail-egg' ? 'piece' : 'large' }],
        massG: count * one,
      };
  }
  const gOf = (word: string): number => {
    const unit = unitOf(word);
    const amount = { low: 1, high: 1 };
    const phrase = { terms: [{ amount, unit, size: null, fill: null, each: null }], from: 0, to: 1 };
    const one = weigh(phrase, ingredient, { system, bareUnitG: null, baseG: null, ...(own && { own }) });
    return one.ok ? one.value.massG : Infinity;
  };
  const [cupG, tbspG, tspG] = [gOf('cup'), gOf('tbsp'), gOf('tsp')];
  const sum = (counts: readonly Count[]): InMeasures => {
    const each = { cup: cupG, tbsp: tbspG, tsp: tspG };
    const all = counts.filter(({ count }) => count > 0);
    return {
      counts: all,
      massG: all.reduce((g, { count, measure }) => g + count * each[measure as keyof typeof each], 0),
    };
  };
  const close = (one: InMeasures) => Math.abs(one.massG - massG) <= CLOSE * massG;
  if (massG >= 0.24 * cupG) {
    const { under, near } = cupsOf(massG / cupG);
    const cups = sum([{ count: near, measure: 'cup' }]);
    if (close(cups)) return cups;
    const spoons = Math.round((2 * (massG - under * cupG)) / tbspG) / 2;
    return sum([
      { count: under, measure: 'cup' },
      { count: spoons, measure: 'tbsp' },
    ]);
  }
  if (massG >= 0.9 * tbspG) {
    const halves = sum([{ count: Math.round((2 * massG) / tbspG) / 2, measure: 'tbsp' }]);
    if (close(halves)) return halves;
    const whole = Math.floor(massG / tbspG);
    const rest = (massG - whole * tbspG) / tspG;
    return sum([
      { count: whole, measure: 'tbsp' },
      { count: Math.round(4 * rest) / 4, measure: 'tsp' },
    ]);
  }
  const count = massG / tspG;
  if (count < 1 / 16) return null;
  const whole = Math.floor(count);
  const near = nearest(
    whole === 0
      ? [...SMALL_PARTS, 1]
      : [whole, ...SMALL_PARTS.slice(1).map((part) => whole + part), whole + 1],
    count,
  );
  return sum([{ count: near, measure: 'tsp' }]);
}
