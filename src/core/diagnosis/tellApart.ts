import { endsAt, type Axes } from './axes';
import type { CauseId } from '../advice/ids';
import type { Diagnosis, Seen } from './diagnose';
import { expectedOf, kindOf, type SignId } from './signs';

/** What to look at to tell the two likeliest causes apart. */
export interface TellApart {
  readonly sign: SignId;
  readonly between: readonly [CauseId, CauseId];
  /** With which of them more of it is to be expected, and how much. */
  readonly moreWith: CauseId;
  readonly expected: readonly [number, number];
}

/** What anybody can still look at, taste or measure; marks and times belong to the next bake. */
const ASKABLE: readonly SignId[] = [
  'fresh.gumminess', 'fresh.height', 'fresh.colourAbove', 'fresh.colourBelow', 'fresh.evenness', 'fresh.tunnels', 'fresh.denseLine', 'fresh.moistness',
  'fresh.bend', 'fresh.crust', 'fresh.flavour', 'fresh.aftertaste', 'fresh.stand', 'nextDay.gumminess', 'nextDay.moistness', 'nextDay.bend',
  'read.core', 'read.lost', 'read.doughC', 'read.feel', 'read.ovenC', 'photo.porosity', 'photo.denseLine', 'photo.tunnel',
]; // prettier-ignore
/** Two that differ by less than one sd cannot be told apart by one look. */
const LEAST = 1;

/** @returns null where one cause is clear, or nothing that is left to look at tells them apart */
export function tellApart(axes: Axes, { likely, draws }: Diagnosis, seen: readonly Seen[]): TellApart | null {
  const [first, second] = likely.filter(({ cause }) => cause !== 'somethingElse');
  if (!first || !second || first.probability > 0.75 || second.probability < 0.1) return null;
  const between = [first.cause, second.cause] as [CauseId, CauseId];
  const have = new Set(seen.map(({ sign }) => sign));
  const likeliest = between.map((cause) => {
    const mine = draws.filter((draw) => draw.cause === cause);
    return mine.sort((a, b) => b.weight - a.weight).slice(0, 40);
  });
  let best: (TellApart & { readonly apart: number }) | null = null;
  for (const sign of ASKABLE) {
    if (have.has(sign)) continue;
    const [a, b] = likeliest.map((mine) => {
      const total = mine.reduce((sum, { weight }) => sum + weight, 0);
      return mine.reduce((sum, { x, hand, weight }) => sum + (weight / total) * (expectedOf(sign, axes.written, endsAt(axes, x), x, hand) ?? 0), 0);
    }) as [number, number];
    const { noise, bias } = kindOf(sign);
    const apart = Math.abs(a - b) / Math.hypot(noise, 0.5 * bias);
    if (apart >= LEAST && apart > (best?.apart ?? 0)) best = { sign, between, moreWith: a > b ? between[0] : between[1], expected: [a, b], apart };
  }
  if (!best) return null;
  const { apart: _, ...told } = best;
  return told;
} // prettier-ignore
