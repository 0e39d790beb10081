import { FIGURE_DRAWS, figuresDrawn } from '../calibrated/draws';
import { line } from '../formula/testFormulas';
import { emptyFormula, type Formula } from '../formula/formula';
import { CENTRAL_DRAW } from '../heat/bake';
import { libraryBook } from '../ingredients';
import { newStep } from '../method/step';
import { seededRandom } from '../numeric/seededRandom';
import { normalAbove } from '../numeric/draws';
import { ORDINARY_KITCHEN } from '../run';
import { axesOf, type Axes } from './axes';
import { CAUSE_IDS, type CauseId } from '../advice/ids';
import { CAUSES, DAY } from './causes';
import { endsOf, FACTORS, type BakeAsked, type Departure, type Factor } from './factors';
import { expectedOf, type Hand, type SignId } from './signs';
import type { Change } from '../advice/adviceSchema';
import type { Circumstances, Drawn, Seen } from './diagnose';
import { added, asHand, ASKED, asX } from './nextChange';

/**
 * Made-up bakes with one hidden cause each, for tests and `./crumb soak diagnosis`. The truth is simulated whole, all departures at once, by
 * the heat's figures as they might as well be, in an oven of its own, and said by tasters whose scale is stretched and moved: nothing of that is
 * known to who has to find the cause.
 */
const tin = (): Formula => ({
  ...emptyFormula('Tin', 'dough'),
  stages: [{ id: 'dough', kind: 'main', name: 'Dough', lines: [line('white-rice-flour', 250), line('millet-flour', 120), line('tapioca-starch', 130), line('psyllium-husk', 22), line('water', 480), line('instant-yeast', 7), line('salt', 9), line('sugar', 12), line('sunflower-oil', 20)] }],
  steps: [
    { ...newStep('mix', 'mix'), minS: 360, tempC: 26 },
    { ...newStep('fill', 'fill'), minS: 300 },
    { ...newStep('proof', 'proof'), minS: 3300, tempC: 28 },
    { ...newStep('bake', 'bake'), minS: 3300, tempC: 205 },
    { ...newStep('cool', 'cool'), minS: 7200 },
  ],
  usualYield: { pieces: 1, pieceMassG: 980, bakeLossPercent: 12, bowlLossPercent: 1 },
}); // prettier-ignore
const withSteps = (formula: Formula, style: Formula['style'], steps: Formula['steps'], pieces: number, pieceMassG: number): Formula => ({
  ...formula, style, steps, usualYield: { ...formula.usualYield, pieces, pieceMassG },
}); // prettier-ignore
export const BAKES: Readonly<Record<string, () => Formula>> = {
  tin,
  rolls: () => withSteps(tin(), 'rolls', [
    { ...newStep('mix', 'mix'), minS: 360, tempC: 26 },
    { ...newStep('bulk', 'bulk'), minS: 2400 },
    { ...newStep('shape', 'shape'), minS: 600 },
    { ...newStep('proof', 'proof'), minS: 2700, tempC: 28 },
    { ...newStep('bake', 'bake'), minS: 1560, tempC: 210 },
    { ...newStep('cool', 'cool'), minS: 3600 },
  ], 10, 95),
  hearth: () => withSteps(tin(), 'hearthLoaf', [
    { ...newStep('mix', 'mix'), minS: 360, tempC: 25 },
    { ...newStep('shape', 'shape'), minS: 600 },
    { ...newStep('proof', 'proof'), minS: 4200, tempC: 26 },
    { ...newStep('preheat', 'preheat'), minS: 2700, tempC: 235 },
    { ...newStep('bake', 'bake'), minS: 3000, tempC: 225, heat: { moist: 'steam', on: 'stone' } },
    { ...newStep('cool', 'cool'), minS: 7200 },
  ], 1, 900),
  batter: () => ({ ...tin(), stages: tin().stages.map((stage) => ({ ...stage, lines: stage.lines.map((each) => (each.ingredientId === 'psyllium-husk' ? line('xanthan', 8) : each.ingredientId === 'water' ? { ...each, massG: 520 } : each)) })) }),
}; // prettier-ignore

const known = new Map<string, { asked: BakeAsked; axes: Axes }>();
export function testBake(name: string): { asked: BakeAsked; axes: Axes } {
  const found = known.get(name);
  if (found) return found;
  const asked = { formula: BAKES[name]!(), book: libraryBook, kitchen: ORDINARY_KITCHEN, marksAtS: [2400] };
  const axes = axesOf(asked);
  if (!axes) throw new Error(`${name} cannot be computed`);
  const made = { asked, axes };
  known.set(name, made);
  return made;
}

/** Signs that a baker may give, and how often each is there. */
const GIVEN: readonly (readonly [SignId, number])[] = [
  ...(['height', 'colourAbove', 'colourBelow', 'evenness', 'tunnels', 'denseLine', 'gumminess', 'moistness', 'bend', 'crust', 'flavour', 'aftertaste', 'stand'] as const).map((id) => [`fresh.${id}`, 0.8] as const),
  ...(['gumminess', 'moistness', 'bend'] as const).map((id) => [`nextDay.${id}`, 0.4] as const),
  ['read.core', 0.6], ['read.lost', 0.4], ['read.doughC', 0.5], ['read.feel', 0.6], ['read.ovenC', 0.15], ['mark.0', 0.45],
  ['photo.porosity', 0.4], ['photo.heightToWidth', 0.4], ['photo.evenness', 0.4], ['photo.tunnel', 0.4], ['photo.denseLine', 0.4],
  ['made.water', 0.9], ['made.binder', 0.9], ['made.salt', 0.9], ['made.leaven', 0.9], ['made.proof', 0.7], ['made.bake', 0.7], ['made.cut', 0.6], ['made.size', 0.5],
]; // prettier-ignore
/** How often what is written down hides it: a tick though nothing went in, a clock that was stopped late. */
const HIDDEN = 0.3;

export interface TestCase {
  readonly bake: string;
  readonly cause: CauseId;
  readonly seen: readonly Seen[];
  readonly known: Circumstances;
  /** What the cause was, with which it would be known. */
  readonly truth: Drawn;
  /**
   * How far the next bread is from what one wants when it is made with a change: squared steps over all questions, by the whole truth and an unbiased
   * tongue; the same day whichever change is asked. Null: it cannot be computed.
   */
  readonly nextCost: (change: Change) => number | null;
}

/**
 * @param earlier so many bakes of that formula by the same hands before, with nothing wrong
 * @returns null where the truth cannot be computed (nothing rises, say)
 */
export function testCase(bake: string, cause: CauseId, seed: number, earlier = 2): TestCase | null {
  const random = seededRandom(seed);
  const normal = (sd: number) => sd * normalAbove(Math.min(0.9995, Math.max(0.0005, random())));
  const { asked, axes } = testBake(bake);
  // this kitchen: its oven, flours, camera and tasters, the same in all of its bakes
  const heat = { ...CENTRAL_DRAW, transfer: Math.exp(normal(0.1)), conduction: Math.exp(normal(0.06)), browning: Math.exp(normal(0.25)), contact: Math.exp(normal(0.12)), rack: Math.exp(normal(0.1)) }; // prettier-ignore
  const other = { heat, figures: figuresDrawn(Math.floor(random() * FIGURE_DRAWS)) };
  const stretch = new Map<SignId, { by: number; off: number }>(
    GIVEN.map(([sign]) => [sign, { by: Math.exp(normal(0.3)), off: sign.startsWith('made') ? 0 : normal(offOf(sign)) }]),
  ); // prettier-ignore
  const usual = { holding: normal(0.08), vigour: normal(0.1) };
  const day = () => {
    const x: Partial<Record<Factor, number>> = {};
    for (const factor of FACTORS) x[factor] = normal(DAY[factor] ?? 0);
    x.holding = (x.holding ?? 0) + usual.holding;
    x.vigour = (x.vigour ?? 0) + usual.vigour;
    return { x, hand: { cut: normal(0.2), air: Math.max(0, normal(0.1)) } };
  };
  const departure = (of: CauseId) => {
    const { either, middle, sd } = CAUSES[of];
    return (either && random() < 0.5 ? -1 : 1) * (middle + normal(sd));
  };
  const bakeOnce = (of: CauseId, own = departure(of)): Seen[] | null => {
    const { x, hand } = day();
    const kind = CAUSES[of];
    if (kind.by === 'cut' || kind.by === 'air') hand[kind.by] = own;
    else if (kind.by) x[kind.by] = (x[kind.by] ?? 0) + own;
    const ends = endsOf(asked, x, other);
    if (!ends) return null;
    return GIVEN.flatMap(([sign, share]): Seen[] => {
      const there = random() < share;
      const noise = normal(noiseOf(sign));
      const hidden = random() < HIDDEN;
      if (!there) return [];
      // a bag that absorbs otherwise is weighed as ever
      const level = sign === 'made.water' && of === 'otherBag' ? 0 : levelOf(sign, axes, ends, x, hand);
      const middle = levelOf(sign, axes, axes.written, {}, { cut: 0 });
      if (level === null || middle === null) return [];
      if (sign.startsWith('made.')) return [{ sign, value: (hidden ? 0 : level) + noise }];
      const { by, off } = stretch.get(sign)!;
      const value = middle + by * (level - middle) + off + noise;
      const isScore = sign.startsWith('fresh') || sign.startsWith('nextDay');
      return [{ sign, value: isScore ? Math.min(5, Math.max(1, Math.round(value))) : value }];
    });
  };
  const before = Array.from({ length: earlier }, () => bakeOnce('asWritten') ?? []);
  const own = departure(cause);
  const seen = bakeOnce(cause, own);
  if (!seen) return null;
  const residuals = new Map<SignId, number[]>();
  for (const { sign, value } of before.flat()) {
    const expected = levelOf(sign, axes, axes.written, {}, { cut: 0 });
    if (expected !== null && !sign.startsWith('made.'))
      residuals.set(sign, [...(residuals.get(sign) ?? []), value - expected]);
  }
  const changed = cause === 'otherBag' || random() < 0.12;
  const times = { otherBag: changed ? 4 : 0.15, weakYeast: cause === 'weakYeast' && random() < 0.5 ? 3 : 1 };
  const { by, stays } = CAUSES[cause];
  const isHand = by === 'cut' || by === 'air';
  const truth: Drawn = {
    cause,
    weight: 1,
    x: by && !isHand ? { [by]: own } : {},
    hand: isHand ? { [by]: own } : {},
  };
  const tomorrow = day();
  const costOf = (change: Change, isThere: boolean): number | null => {
    const was: Pick<Drawn, 'x' | 'hand'> = isThere ? truth : { x: {}, hand: {} };
    const x = added(added(tomorrow.x, was.x), asX(change));
    const hand = {
      cut: (was.hand.cut ?? tomorrow.hand.cut) + (asHand(change).cut ?? 0),
      air: was.hand.air ?? tomorrow.hand.air,
    };
    const ends = endsOf(asked, x, other);
    return (
      ends &&
      ASKED.reduce(
        (sum, { id, best }) =>
          sum + (Math.min(5, Math.max(1, levelOf(`fresh.${id}`, axes, ends, x, hand) ?? 3)) - best) ** 2,
        0,
      )
    );
  };
  // what went wrong is there again as often as its kind stays
  const nextCost = (change: Change): number | null => {
    const [again, gone] = [stays > 0 ? costOf(change, true) : 0, stays < 1 ? costOf(change, false) : 0];
    return again === null || gone === null ? null : stays * again + (1 - stays) * gone;
  };
  return {
    bake,
    cause,
    seen,
    truth,
    nextCost,
    known: { out: outOf(bake), times, confirmed: {}, earlier: residuals },
  };
}

const levelOf = (sign: SignId, axes: Axes, ends: Axes['written'], x: Departure, hand: Hand) =>
  expectedOf(sign, axes.written, ends, x, hand);
const offOf = (sign: SignId): number =>
  ({ 'read.core': 1, 'read.lost': 0.12, 'read.doughC': 0.7, 'read.feel': 0.05, 'read.ovenC': 3, 'mark.0': 0.1, 'photo.porosity': 0.25, 'photo.heightToWidth': 0.1, 'photo.evenness': 0.1, 'photo.tunnel': 5, 'photo.denseLine': 2 })[sign as string] ?? 0.45; // prettier-ignore
const noiseOf = (sign: SignId): number =>
  ({ 'read.core': 2, 'read.lost': 0.08, 'read.doughC': 1, 'read.feel': 0.05, 'read.ovenC': 8, 'mark.0': 0.15, 'photo.porosity': 0.12, 'photo.heightToWidth': 0.06, 'photo.evenness': 0.1, 'photo.tunnel': 7, 'photo.denseLine': 3, 'made.water': 0.01, 'made.binder': 0.03, 'made.salt': 0.03, 'made.leaven': 0.04, 'made.size': 0.03, 'made.proof': 0.05, 'made.bake': 0.03, 'made.cut': 0.25 })[sign as string] ?? 0.6; // prettier-ignore

/** A tin has no plate under it. */
const outOf = (bake: string): ReadonlySet<CauseId> => new Set(bake === 'hearth' ? [] : ['coolPlate']);
export const causesOf = (bake: string): CauseId[] =>
  CAUSE_IDS.filter((cause) => cause !== 'asWritten' && !outOf(bake).has(cause));
