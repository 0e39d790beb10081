import { endsOf, FACTORS, type BakeAsked, type Departure, type Ends, type Factor } from './factors';

/** Where each factor is tried, beside as it was written. */
const TRIED: Readonly<Record<Factor, readonly number[]>> = {
  water: [-0.22, -0.1, 0.1, 0.22],
  binder: [-6, Math.log(0.5), Math.log(2)],
  salt: [-6, Math.log(2)],
  leaven: [-5, Math.log(2)],
  vigour: [-2, -1.1, -0.5, 0.4],
  holding: [-0.35, 0.35],
  doughC: [-9, -4, 5],
  proof: [-1.2, -0.5, 0.4, 0.9],
  bake: [-0.5, -0.22, 0.25],
  ovenC: [-60, -25, 20, 45],
  plate: [-1.2, 0.3],
  size: [-0.5, 0.5],
};

type Figure = Exclude<keyof Ends, 'marks'>;
const logit = (p: number) => Math.log(Math.max(1e-3, p) / Math.max(1e-3, 1 - p));
const same = (y: number) => y;
const after = (shift: number) => [(y: number) => Math.log(Math.max(1e-3, y + shift)), (z: number) => Math.exp(z) - shift] as const; // prettier-ignore
const risen = after(-0.97);
/** Scales on which what two departures do comes near to their sum, there and back. */
const SCALES: Readonly<Record<Figure, readonly [(y: number) => number, (z: number) => number]>> = {
  s: after(0), holds: [same, same], clings: [same, same], grown: risen, ready: [same, same], tired: [same, same], doughC: [same, same],
  gas: [logit, (z) => 1 / (1 + Math.exp(-z))], heightMm: after(0), widthMm: after(0), poreMm: after(0), evenness: [same, same], coreC: [same, same], lost: after(0.002),
  brownTop: after(0.03), brownBase: after(0.03), setMargin: [same, same], crustMm: after(0.2), firmAfterS: after(0),
}; // prettier-ignore
const FIGURES = Object.keys(SCALES) as Figure[];

/** What each factor alone does to a bake: enough to tell in microseconds what several do together, on scales on which that is their sum. */
export interface Axes {
  readonly written: Ends;
  /** The same on its scales. */
  readonly zero: readonly number[];
  /** Plain data, so that it can be stored: of each factor where it was tried, and what it moved there. */
  readonly by: readonly { readonly factor: Factor; readonly at: readonly number[]; readonly moves: readonly (readonly number[])[] }[];
} // prettier-ignore

const flat = (ends: Ends): number[] => [
  ...FIGURES.map((figure) => SCALES[figure][0](ends[figure])),
  ...ends.marks.map(risen[0]),
];

/**
 * Some 35 bakes, each with one factor off: one to two seconds. Held against bakes with two factors off at once by its test.
 *
 * @param factors those that can be off in this formula
 * @returns null where the bake as it was written cannot be computed
 */
export function axesOf(asked: BakeAsked, factors: readonly Factor[] = FACTORS): Axes | null {
  const written = endsOf(asked, {});
  if (!written) return null;
  const zero = flat(written);
  const by = factors.map((factor) => {
    const points = [{ at: 0, move: zero.map(() => 0) }];
    for (const at of TRIED[factor]) {
      const ends = endsOf(asked, { [factor]: at });
      // beyond what a model takes it stays as at the last place it could tell
      if (ends) points.push({ at, move: flat(ends).map((y, index) => y - zero[index]!) });
    }
    points.sort((a, b) => a.at - b.at);
    return { factor, at: points.map(({ at }) => at), moves: points.map(({ move }) => move) };
  });
  return { written, zero, by };
}

/** What several departures do together, as the sum of what each does alone. */
export function endsAt({ zero, by }: Axes, x: Departure): Ends {
  const z = [...zero];
  for (const { factor, at, moves } of by) {
    const value = x[factor];
    if (!value) continue;
    const clamped = Math.min(at[at.length - 1]!, Math.max(at[0]!, value));
    let high = 1;
    while (high < at.length - 1 && at[high]! < clamped) high += 1;
    if (at.length < 2) continue;
    const share = (clamped - at[high - 1]!) / (at[high]! - at[high - 1]!);
    const [low, top] = [moves[high - 1]!, moves[high]!];
    for (let index = 0; index < z.length; index += 1)
      z[index]! += low[index]! + share * (top[index]! - low[index]!);
  }
  const ends: Partial<Record<Figure, number>> = {};
  // asked thousands of times: no lists in between
  for (let index = 0; index < FIGURES.length; index += 1)
    ends[FIGURES[index]!] = SCALES[FIGURES[index]!][1](z[index]!);
  return { ...(ends as Record<Figure, number>), marks: z.slice(FIGURES.length).map(risen[1]) };
}
