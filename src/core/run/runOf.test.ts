import { methodFromWords } from '../process/fromWords';
import type { Formula } from '../formula/formula';
import { sizeFromWords } from '../formula/sizeFromWords';
import { line, plainLoaf } from '../formula/testFormulas';
import { riseCurve } from '../fermentation/riseCurve';
import { ORDINARY_OVENS } from '../heat';
import { libraryBook } from '../ingredients';
import { newStep, type MethodStep, type StepKind } from '../method';
import { formulaAnswers } from '../notices';
import { ORDINARY_KITCHEN, runOf, stepS, type Run } from '.';
import { bakedAsOf } from '../formula/usualShape';
import { rollsWithMethod } from './testRuns';

const made = (formula: Formula): Run => {
  const { totals, consistency } = formulaAnswers(formula, libraryBook);
  const run = runOf(formula, libraryBook, totals, consistency);
  if (!run.ok) throw new Error(`${run.problem.code} ${run.problem.path}`);
  return run.value;
};
const step = (kind: StepKind, minutes: number | null, part: Partial<MethodStep> = {}): MethodStep => ({
  ...newStep(kind, `${kind}-${minutes}-${part.title ?? ''}`.replace(/[^a-z0-9-]/gi, '')),
  minS: minutes === null ? null : minutes * 60,
  ...part,
});
const withSteps = (steps: MethodStep[], part: Partial<Formula> = {}): Formula => ({
  ...rollsWithMethod(),
  // what its words say is read once, as where a recipe is taken in
  steps: methodFromWords(steps),
  ...part,
});

test('one clock: what follows follows, what runs beside ends at loading, what has no time gets a usual one', () => {
  const run = made(
    withSteps([
      step('weigh', null),
      step('mix', 6),
      step('rest', 20),
      step('shape', null),
      step('proof', 40, { maxS: 3600 }),
      step('preheat', 25),
      step('bake', 24),
      step('rotate', null),
      step('cool', 60),
    ]),
  );
  const at = (kind: StepKind) => run.steps.find((each) => each.kind === kind)!;
  expect(at('weigh')).toMatchObject({ startS: 0, endS: 600, timed: false, stretch: 'before' });
  expect(at('mix')).toMatchObject({ startS: 600, endS: 960, timed: true, stretch: 'before' });
  expect(at('rest')).toMatchObject({ startS: 960, stretch: 'rise' });
  // the middle of a range
  expect(at('proof').endS - at('proof').startS).toBe(50 * 60);
  expect(at('bake').startS).toBe(at('proof').endS);
  expect(at('preheat')).toMatchObject({
    stretch: 'beside',
    endS: at('bake').startS,
    startS: at('bake').startS - 1500,
  });
  expect(at('cool')).toMatchObject({ stretch: 'cool', startS: at('bake').endS });
  expect(run.riseFromS).toBe(960);
  expect(run.bake!.fromS).toBe(at('bake').startS);
  expect(run.endS).toBe(at('cool').endS);
  expect(stepS(step('bake', 20, { maxS: 1800 }))).toBe(25 * 60);
});

test('a preheat longer than all before it begins before the first step', () => {
  const run = made(withSteps([step('mix', 5), step('preheat', 60), step('bake', 20)]));
  expect(Math.min(...run.steps.map(({ startS }) => startS))).toBe(0);
  const preheat = run.steps.find(({ kind }) => kind === 'preheat')!;
  expect(preheat).toMatchObject({ startS: 0, endS: 3600 });
  expect(run.steps.find(({ kind }) => kind === 'mix')!.startS).toBe(3300);
});

test('where the dough stands: bowl, then shaped; room, warm, fridge by kind and warmth; hands press gas out', () => {
  const run = made(
    withSteps([
      step('mix', 5, { tempC: 24 }),
      step('bulk', 60, { tempC: 28 }),
      step('fold', 2),
      step('divide', 5),
      step('shape', 5),
      step('chill', 600, { tempC: 6 }),
      step('proof', 60),
      step('bake', 20),
    ]),
  );
  expect(run.rise.doughC).toBe(24);
  expect(run.rise.stays.map(({ place, tempC, standing }) => [place, tempC, standing])).toEqual([
    ['warm', 28, 'bowl'],
    ['room', 21, 'bowl'],
    ['room', 21, 'pieces'],
    ['room', 21, 'pieces'],
    ['fridge', 6, 'pieces'],
    ['room', 21, 'pieces'],
  ]);
  expect(run.rise.stays.map(({ pressedOut }) => pressedOut > 0)).toEqual([
    false,
    true,
    true,
    true,
    false,
    false,
  ]);
  const [bulk, , divide] = run.rise.stays;
  expect(bulk!.pieceG).toBeGreaterThan(700);
  expect(divide!.pieceG).toBe(85);
  const without = made(withSteps([step('mix', 5), step('chill', 600), step('bake', 20)]));
  expect(without.rise.stays[0]).toMatchObject({ place: 'fridge', tempC: ORDINARY_KITCHEN.fridgeC });
});

test('phases: kettle, oven, coast, rack; both sides of a griddle; oil in the fryer', () => {
  const ring = made(
    withSteps(
      [
        step('mix', 5),
        step('boil', 2),
        step('bake', 22, { tempC: 220 }),
        step('coast', 10),
        step('cool', 30),
        step('bake', 5, { tempC: 230, title: 'Topped: finish' }),
      ],
      { style: 'boiledRing' },
    ),
  );
  expect(ring.bake!.phases.map(({ kind, setC, door, topped }) => [kind, setC, door, topped])).toEqual([
    ['boil', 200, false, false],
    ['oven', 220, true, false],
    ['coast', 200, false, false],
    ['rack', 0, false, false],
    ['oven', 230, true, true],
    // nobody said it cools, but it does
    ['rack', 0, false, false],
  ]);
  expect(ring.bake!.shape).toBe('ring');
  const flat = made(
    withSteps(
      [
        step('mix', 5),
        step('griddle', 2, { tempC: 210 }),
        step('griddle', 1, { tempC: 210, title: 'other' }),
      ],
      {
        style: 'flatbread',
      },
    ),
  );
  expect(flat.bake!.phases.map(({ kind, on, turned }) => [kind, on, turned])).toEqual([
    ['griddle', 'griddle', false],
    ['griddle', 'griddle', true],
    ['rack', null, false],
  ]);
  expect(flat.bake!.oven).toBe(ORDINARY_OVENS.griddle);
  expect(flat.bake!.preheat).toBeNull();
  const fried = made(withSteps([step('mix', 5), step('fry', 5, { tempC: 165 })], { style: 'friedDough' }));
  expect(fried.bake!.oven).toBe(ORDINARY_OVENS.fryer);
});

test('a tin’s loaf bakes in its tin until it is turned out; a lid stays on until it is said to come off', () => {
  const tin = made(
    withSteps(
      [
        step('mix', 5),
        step('bake', 20),
        step('bake', 20, { title: 'On' }),
        step('bake', 5, { title: 'Out of the tin' }),
      ],
      {
        style: 'tinLoaf',
        usualYield: { ...rollsWithMethod().usualYield, pieces: 1, pieceMassG: 800 },
      },
    ),
  );
  expect(tin.bake!.phases.map(({ kind, inTin, on }) => [kind, inTin, on])).toEqual([
    ['oven', true, null],
    ['oven', true, null],
    ['oven', false, null],
    ['rack', false, null],
  ]);
  // the door is not opened between two stretches of one bake
  expect(tin.bake!.phases.map(({ door }) => door)).toEqual([true, false, false, false]);
  const pot = made(
    withSteps(
      [
        step('mix', 5),
        step('preheat', 40, { tempC: 250, title: 'Iron pot in the oven' }),
        step('bake', 25, { title: 'Lid on' }),
        step('bake', 5, { title: 'Turn it' }),
        step('bake', 20, { title: 'Lid off' }),
      ],
      { style: 'hearthLoaf', usualYield: { ...rollsWithMethod().usualYield, pieceMassG: 800 } },
    ),
  );
  expect(pot.bake!.phases.slice(0, 3).map(({ moist, on }) => [moist, on])).toEqual([
    ['lid', 'castIron'],
    ['lid', 'castIron'],
    ['dry', 'castIron'],
  ]);
  expect(pot.bake!.preheat).toEqual({ plate: 'castIron', setC: 250 });
});

test('what it is baked as: the baker’s word, else the style’s; the words of a method are read at the edge, not here', () => {
  const rolls = withSteps([
    step('mix', 5),
    step('shape', 5, { title: 'Close on the tray' }),
    step('bake', 20),
  ]);
  expect(bakedAsOf(rolls).shape).toBe('roll');
  expect(bakedAsOf(sizeFromWords(rolls)).shape).toBe('touchingRolls');
  expect(bakedAsOf(withSteps([step('bake', 20)])).shape).toBe('roll');
  const disc = withSteps([step('shape', 5, { title: 'Press to 27 cm' }), step('bake', 5)], {
    style: 'pizza',
  });
  expect(bakedAsOf(disc)).toMatchObject({ shape: 'disc', lengthCm: null });
  expect(bakedAsOf(sizeFromWords(disc))).toMatchObject({ shape: 'disc', lengthCm: 27 });
  const own = { shape: 'ball', lengthCm: null, widthCm: null, tin: null, perLoad: 5 } as const;
  expect(bakedAsOf({ ...disc, bakedAs: own })).toBe(own);
  expect(made({ ...withSteps([step('mix', 5), step('bake', 20)]), bakedAs: own }).bake!.perLoad).toBe(5);
  // crackers bake as the sheet they are cut from
  const crackers = made(
    withSteps([step('mix', 5), step('bake', 40)], {
      style: 'crackers',
      usualYield: { ...rollsWithMethod().usualYield, pieces: 20, pieceMassG: 30 },
    }),
  );
  expect(crackers.bake).toMatchObject({ massG: 600, perLoad: 1, shape: 'flatbread' });
});

test('without flour, or without a method, there is no run; without heat there is a rise and no bake', () => {
  const problem = (formula: Formula) => {
    const { totals, consistency } = formulaAnswers(formula, libraryBook);
    const run = runOf(formula, libraryBook, totals, consistency);
    return run.ok ? null : [run.problem.code, run.problem.path];
  };
  const dry = { ...plainLoaf(), stages: [{ ...plainLoaf().stages[0]!, lines: [line('water', 200)] }] };
  expect(problem(dry)).toEqual(['noFlour', 'stages']);
  expect(problem(withSteps([]))).toEqual(['required', 'steps']);
  expect(problem(withSteps([step('preheat', 20)]))).toEqual(['required', 'steps']);
  expect(made(withSteps([step('mix', 5), step('bulk', 60)])).bake).toBeNull();
});

test('three folds half an hour apart: three presses, and it stands between them', () => {
  const folds = made(
    withSteps([
      step('mix', 5),
      step('fold', 2, { again: { times: 3, everyS: 1800 }, stands: { place: 'room' } }),
      step('proof', 60),
    ]),
  ).rise.stays;
  expect(folds.slice(0, -1).map(({ durationS, pressedOut }) => [durationS, pressedOut > 0])).toEqual([
    [120, true], [1680, false], [120, true], [1680, false], [120, true],
  ]); // prettier-ignore
  const once = made(withSteps([step('mix', 5), step('fold', 2), step('proof', 60)]));
  expect(once.rise.stays.length).toBe(2);
});

test('frozen as dough it still has a run: it hardly moves in the ice, and less of its yeast comes out; left open it skins over', () => {
  const thawing = (...between: MethodStep[]) =>
    made(withSteps([step('mix', 5), step('shape', 5), ...between, step('proof', 90), step('bake', 20)])).rise;
  const [fresh, frozen] = [thawing(), thawing(step('freeze', 7 * 24 * 60))];
  expect(frozen.leavening.yeastG).toBeLessThan(0.9 * fresh.leavening.yeastG);
  const curve = riseCurve(frozen);
  expect(curve.ok).toBe(true);
  if (curve.ok) expect(curve.value.end.volume).toBeGreaterThan(1);
  const air = (stands: MethodStep['stands'] & object) => thawing(step('rest', 30, { stands })).stays[1]!.air;
  expect([
    air({ place: 'room', cover: 'open' }),
    air({ place: 'prover', cover: 'open', humidityPercent: 40 }),
    air({ place: 'prover', cover: 'open', humidityPercent: 80 }),
    air({ place: 'prover', cover: 'open' }),
    air({ place: 'fridge', cover: 'film' }),
    air({ place: 'room' }),
  ]).toEqual(['dry', 'dry', undefined, undefined, undefined, undefined]);
});
