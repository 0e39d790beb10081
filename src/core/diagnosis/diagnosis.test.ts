import { axesOf, endsAt } from './axes';
import { diagnose, NOTHING_KNOWN, type Circumstances, type Seen } from './diagnose';
import { endsOf } from './factors';
import { nextChange, withChange } from './nextChange';
import { expectedOf, type SignId } from './signs';
import { causesOf, testBake, testCase } from './testBakes';
import { tellApart } from './tellApart';
import { missedBy } from '../tasting';
import { changedBetween } from './changed';
import { libraryBook } from '../ingredients';

const { asked, axes } = testBake('tin');
const written = (sign: SignId) => expectedOf(sign, axes.written, axes.written, {}, { cut: 0 })!;
const seenAs = (signs: Readonly<Partial<Record<SignId, number>>>): Seen[] =>
  Object.entries(signs).flatMap(([sign, value]) =>
    value === undefined ? [] : [{ sign: sign as SignId, value }],
  );
const found = (signs: Readonly<Partial<Record<SignId, number>>>, known: Circumstances = NOTHING_KNOWN) =>
  diagnose(axes, seenAs(signs), known);
const chance = (of: ReturnType<typeof found>, cause: string) =>
  of.likely.find((each) => each.cause === cause)!.probability;

test('two departures at once are near to what each alone does', () => {
  for (const x of [{ water: 0.08, proof: 0.3 }, { bake: -0.2, ovenC: -20 }, { vigour: -0.6, doughC: -3 }]) {
    const [whole, summed] = [endsOf(asked, x)!, endsAt(axes, x)];
    expect(summed.gas / whole.gas).toBeCloseTo(1, 0.9);
    expect(Math.abs(summed.coreC - whole.coreC)).toBeLessThan(4);
    expect(Math.abs(Math.log(summed.s / whole.s))).toBeLessThan(0.02);
    expect(Math.abs(Math.log((summed.brownTop + 0.1) / (whole.brownTop + 0.1)))).toBeLessThan(0.25);
  }
  // as it was written nothing is moved, and at a place that was tried it is that very bake
  expect(endsAt(axes, {}).s).toBeCloseTo(axes.written.s, 9);
  expect(endsAt(axes, {}).coreC).toBe(axes.written.coreC);
  expect(endsAt(axes, { proof: 0.4 }).grown).toBeCloseTo(endsOf(asked, { proof: 0.4 })!.grown, 6);
}); // prettier-ignore

test('what the models do to a bake goes the way bakers say', () => {
  const ends = (x: Parameters<typeof endsAt>[1]) => endsAt(axes, x);
  const gum = (x: Parameters<typeof endsAt>[1]) => expectedOf('fresh.gumminess', axes.written, ends(x), x, { cut: 0 })!;
  expect(gum({ bake: -0.4 })).toBeLessThan(gum({}) - 1);
  expect(gum({ water: 0.15 })).toBeLessThan(gum({}) - 0.5);
  expect(expectedOf('fresh.gumminess', axes.written, axes.written, {}, { cut: -1.2 })!).toBeLessThan(gum({}) - 1);
  // a day later it is no matter when it was cut
  expect(expectedOf('nextDay.gumminess', axes.written, axes.written, {}, { cut: -1.2 })).toBe(expectedOf('nextDay.gumminess', axes.written, axes.written, {}, {}));
  expect(ends({ ovenC: -30 }).brownTop).toBeLessThan(axes.written.brownTop);
  expect(ends({ vigour: -1 }).grown).toBeLessThan(axes.written.grown);
  expect(ends({ leaven: -4 }).grown).toBeLessThan(1 + 0.3 * (axes.written.grown - 1));
  expect(ends({ bake: -0.3 }).lost).toBeLessThan(axes.written.lost);
}); // prettier-ignore

test('nothing seen is nothing learnt: what was believed before, and not enough', () => {
  const { likely, enough } = found({});
  expect(enough).toBe(false);
  for (const { probability, prior } of likely) expect(probability).toBeCloseTo(prior, 9);
  expect(likely.reduce((sum, { probability }) => sum + probability, 0)).toBeCloseTo(1, 9);
  // one score alone does not make anything certain
  const one = found({ 'fresh.gumminess': 1 });
  expect(Math.max(...one.likely.map(({ probability }) => probability))).toBeLessThan(0.6);
});

test('a core of 84 °C, pale and gummy: not baked through, or a cold oven; the clock tells which', () => {
  const signs = { 'read.core': 84, 'fresh.gumminess': 1, 'fresh.denseLine': 2, 'fresh.height': Math.round(written('fresh.height')) };
  const open = found(signs);
  expect(chance(open, 'underBaked') + chance(open, 'coolOven') + chance(open, 'piecesLarge')).toBeGreaterThan(0.75);
  const short = found({ ...signs, 'made.bake': -0.3 });
  expect(short.likely[0]!.cause).toBe('underBaked');
  expect(short.likely[0]!.because.map(({ sign }) => sign)).toContain('read.core');
  const cold = found({ ...signs, 'made.bake': 0, 'read.ovenC': -40 });
  expect(cold.likely[0]!.cause).toBe('coolOven');
}); // prettier-ignore

test('what a kitchen knows counts: its eyes, its bags, what was confirmed before; what cannot be is not', () => {
  const pale: Partial<Record<SignId, number>> = { 'fresh.colourAbove': 2, 'fresh.gumminess': 4, 'fresh.height': 4 };
  const fresh = chance(found(pale), 'coolOven');
  // here it was always called pale, also when it was liked
  const earlier = new Map<SignId, number[]>([['fresh.colourAbove', [-1, -1, -1].map((by) => by + 2 - written('fresh.colourAbove') - (2 - written('fresh.colourAbove')))]]);
  expect(chance(found(pale, { ...NOTHING_KNOWN, earlier }), 'coolOven')).toBeLessThan(fresh);
  const wet: Partial<Record<SignId, number>> = { 'read.feel': Math.log(axes.written.s) + 0.12, 'made.water': 0, 'fresh.gumminess': 3 };
  const bag = (times: number) => chance(found(wet, { ...NOTHING_KNOWN, times: { otherBag: times } }), 'otherBag');
  expect(bag(4)).toBeGreaterThan(2 * bag(0.15));
  expect(chance(found(wet, { ...NOTHING_KNOWN, confirmed: { tooWet: 4 } }), 'tooWet')).toBeGreaterThan(chance(found(wet), 'tooWet'));
  expect(found(wet, { ...NOTHING_KNOWN, out: new Set(['tooWet']) }).likely.some(({ cause }) => cause === 'tooWet')).toBe(false);
}); // prettier-ignore

test('a sample of the soak: the true cause is first or second far more often than by what was believed before, what is called likely is, and what is advised helps', () => {
  const rows = ['tin', 'hearth'].flatMap((bake) =>
    causesOf(bake).flatMap((cause, index) => {
      const made = testCase(bake, cause, 7000 + index, 1);
      return made ? [{ bake, cause, made, found: diagnose(testBake(bake).axes, made.seen, made.known) }] : [];
    }),
  );
  expect(rows.length).toBeGreaterThan(35);
  const second = rows.filter(({ cause, found: { likely } }) => likely.slice(0, 2).some((each) => each.cause === cause)).length;
  expect(second / rows.length).toBeGreaterThan(0.6);
  const sure = rows.flatMap(({ cause, found: { likely } }) => likely.filter(({ probability }) => probability > 0.7).map((each) => (each.cause === cause ? 1 : 0)));
  expect(sure.reduce<number>((sum, each) => sum + each, 0) / sure.length).toBeGreaterThan(0.75);
  const advised = rows.map(({ bake, found: of, made }) => ({ made, ...nextChange(testBake(bake).axes, of, made.seen, made.known, testBake(bake).asked)! }));
  // no change for what no tongue would tell
  const nearer = ({ question, same, value }: (typeof advised)[number]['expects'][number]) => Math.abs(missedBy(question, same) ?? 0) - Math.abs(missedBy(question, value) ?? 0);
  const gains = advised.flatMap(({ change, expects }) => change.kind === 'sameAgain' ? [] : [Math.max(...expects.map(nearer))]);
  expect(gains.length).toBeGreaterThan(15);
  expect(Math.min(...gains)).toBeGreaterThan(0.2);
  // every fourth: each is baked twice more, whole
  const next = advised.filter((_, index) => index % 4 === 1).flatMap(({ made, change }) => {
    const [same, changed] = [made.nextCost({ kind: 'sameAgain', by: 1 }), made.nextCost(change)];
    return change.kind === 'sameAgain' || same === null || changed === null ? [] : [{ same, changed }];
  });
  expect(next.length).toBeGreaterThan(3);
  const mean = (of: (row: { same: number; changed: number }) => number) => next.reduce((sum, row) => sum + of(row), 0) / next.length;
  expect(mean(({ changed }) => changed)).toBeLessThan(0.9 * mean(({ same }) => same));
}); // prettier-ignore

test('two causes that look alike: what is told to look at is expected otherwise with each', () => {
  const open = found({ 'fresh.gumminess': 2, 'fresh.height': 3.6, 'fresh.tunnels': 4 });
  const tell = tellApart(axes, open, seenAs({ 'fresh.gumminess': 2, 'fresh.height': 3.6, 'fresh.tunnels': 4 }));
  expect(tell).not.toBeNull();
  expect(tell!.between).toEqual(open.likely.filter(({ cause }) => cause !== 'somethingElse').slice(0, 2).map(({ cause }) => cause));
  expect(tell!.sign).not.toBe('fresh.gumminess');
  expect((tell!.expected[0] > tell!.expected[1]) === (tell!.moreWith === tell!.between[0])).toBe(true);
}); // prettier-ignore

describe('the next change', () => {
  const at = { formula: asked.formula, book: asked.book };
  const change = (signs: Readonly<Partial<Record<SignId, number>>>) => {
    const seen = seenAs(signs);
    return nextChange(axes, diagnose(axes, seen, NOTHING_KNOWN), seen, NOTHING_KNOWN, at)!;
  };
  test('what was baked for the planned time and is raw is baked for longer or hotter', () => {
    const advice = change({ 'read.core': 86, 'fresh.gumminess': 1, 'fresh.denseLine': 2, 'fresh.colourAbove': 2, 'made.bake': 0 });
    expect(['bake', 'oven']).toContain(advice.change.kind);
    expect(advice.change.by).toBeGreaterThan(1);
    const gum = advice.expects.find(({ question }) => question === 'gumminess')!;
    expect(gum.value).toBeGreaterThan(gum.same + 0.3);
    expect(gum.low).toBeLessThan(gum.value);
    expect(gum.high).toBeGreaterThan(gum.value);
    expect(advice.better).toBeGreaterThan(0.6);
  }); // prettier-ignore
  test('what the log shows as a slip of the day changes nothing: bake it again as it is', () => {
    const advice = change({ 'made.salt': -3.5, 'fresh.flavour': 1, 'fresh.height': 4, 'fresh.gumminess': 4, 'fresh.evenness': 4 });
    expect(advice.change.kind).toBe('sameAgain');
    expect(advice.better).toBeNull();
  }); // prettier-ignore
  test('without a score nobody knows what is to become better', () => {
    const seen = seenAs({ 'read.core': 84 });
    expect(
      nextChange(axes, diagnose(axes, seen, NOTHING_KNOWN), seen, NOTHING_KNOWN, {
        ...at,
        book: libraryBook,
      }),
    ).toBeNull();
  });
  test('a change is in the formula to the gram, the minute and the degree, and nowhere else', () => {
    const around = { firmS: 5430, doughC: 26, id: 'cool-new' };
    const made = (kind: Parameters<typeof withChange>[1]['kind'], by: number) => changedBetween(asked.formula, withChange(asked.formula, { kind, by }, asked.book, around));
    expect(made('water', 0.94)).toEqual({ lines: [{ ingredientId: 'water', fromG: 480, toG: 451.2 }], steps: [] });
    expect(made('bake', 1.2).steps).toEqual([expect.objectContaining({ kind: 'bake', fromS: 3300, toS: 3960 })]);
    expect(made('oven', -10).steps).toEqual([expect.objectContaining({ kind: 'bake', fromC: 205, toC: 195 })]);
    expect(made('cool', 1.5)).toEqual({ lines: [], steps: [] });
    expect(made('sameAgain', 1)).toEqual({ lines: [], steps: [] });
    const uncooled = { ...asked.formula, steps: asked.formula.steps.filter(({ kind }) => kind !== 'cool') };
    expect(withChange(uncooled, { kind: 'cool', by: 1.5 }, asked.book, around).steps.at(-1)).toMatchObject({ id: 'cool-new', kind: 'cool', minS: 5460 });
  }); // prettier-ignore
});

test('a bake that has no heat cannot be looked into', () => {
  const raw = {
    ...asked,
    formula: { ...asked.formula, steps: asked.formula.steps.filter(({ kind }) => kind !== 'bake') },
  };
  expect(axesOf(raw, [])).toBeNull();
});
