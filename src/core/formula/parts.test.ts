import { planBatch, ordinaryScales } from '../batch';
import { actualStages, bakeState, nextThing, stillToWeigh, type BakeAction } from '../bake';
import { allergenStatement, cautionsOf } from '../cautions';
import { libraryBook } from '../ingredients';
import { newStep, type MethodStep, type StepKind } from '../method';
import { nutritionOf } from './nutrition';
import { missingG, eatenOf, purposeOf } from './parts';
import { plainLoaf } from './testFormulas';
import { applyEdit, formulaTotals, type Formula, type FormulaEdit } from '.';
import { asWay, yieldOf } from './ways';

const stage = (kind: Formula['stages'][number]['kind'], lines: Record<string, number>, part: Partial<Formula['stages'][number]> = {}) => ({
  id: kind, kind, name: '', lines: Object.entries(lines).map(([ingredientId, massG]) => ({ id: `${kind}-${ingredientId}`, ingredientId, massG, note: '' })), ...part,
}); // prettier-ignore
const step = (kind: StepKind, id: string, part: Partial<MethodStep> = {}): MethodStep => ({ ...newStep(kind, id), ...part }); // prettier-ignore
const dough = plainLoaf();
const rings: Formula = {
  ...dough,
  usualYield: { pieces: 3, pieceMassG: 300, bakeLossPercent: 10, bowlLossPercent: 0 },
  stages: [
    ...dough.stages,
    stage('wash', { 'egg-whole': 30 }),
    stage('sauce', { 'olive-oil': 600 }, { perPieceG: 90 }),
    stage('kettle', { water: 3000, sugar: 100 }),
    stage('dusting', { 'white-rice-flour': 40 }, { takenUp: { lowPercent: 25, highPercent: 75 } }),
  ],
};

test('only what goes into the dough counts in the dough; a bath and dusting are in no total', () => {
  const [was, is] = [formulaTotals(dough, libraryBook), formulaTotals(rings, libraryBook)];
  for (const name of ['baseG', 'doughG', 'hydrationAll', 'saltPercent'] as const)
    expect(is[name]).toBe(was[name]);
  expect(is.totalG).toBe(was.totalG + 30 + 600);
  expect(rings.stages.slice(-4).map(purposeOf)).toEqual(['on', 'with', 'bath', 'dusting']);
});

test('a sauce for five of which three are used: 270 g eaten, 330 g left; what is missing is said', () => {
  const sauce = rings.stages.at(-3)!;
  const with_ = (pieces: number) => eatenOf(sauce, { pieces, doughG: 900 });
  expect(with_(3)).toEqual({ value: 0.45, low: 0.45, high: 0.45, leftG: 330 });
  expect(with_(10)).toMatchObject({ value: 1, leftG: 0 });
  expect([missingG(sauce, 10), missingG(sauce, 3), missingG(rings.stages.at(-2)!, 3)]).toEqual([300, 0, 0]);
  expect(eatenOf(rings.stages[0]!, { pieces: 3, doughG: 900 }).value).toBe(1);
});

test('of a bath goes what the dough takes up, however large the kettle; of dusting a share of what is strewn; what was stated counts', () => {
  const [kettle, dust] = rings.stages.slice(-2);
  const made = { pieces: 3, doughG: 900 };
  const keptG = (part: typeof kettle & object) => {
    const { low, high } = eatenOf(part, made);
    const thereG = part.lines.reduce((sum, { massG }) => sum + massG, 0);
    return [low * thereG, high * thereG].map((massG) => Math.round(massG * 10) / 10);
  };
  const larger = { ...kettle!, lines: kettle!.lines.map((each) => ({ ...each, massG: 3 * each.massG })) };
  expect([keptG(kettle!), keptG(larger)]).toEqual([[9, 36], [9, 36]]); // prettier-ignore
  expect(keptG({ ...kettle!, takenUp: { lowPercent: 1, highPercent: 2 } })).toEqual([31, 62]);
  expect(eatenOf(dust!, made)).toMatchObject({ value: 0.5, low: 0.25, high: 0.75 });
  // no more than there is, and nothing of an empty pot
  expect(eatenOf(stage('oil', { 'sunflower-oil': 20 }), made).high).toBe(1);
  expect(eatenOf(stage('oil', {}), made)).toEqual({ value: 0, low: 0, high: 0, leftG: null });
});

test('nutrition counts what is eaten, and doubts what is only taken up; allergens count all that is there', () => {
  const { baseG } = formulaTotals(rings, libraryBook);
  const with_ = nutritionOf(rings, libraryBook, baseG);
  expect(with_.counted.map(({ eatenG }) => Math.round(eatenG)).slice(-3)).toEqual([
    270,
    Math.round(0.025 * formulaTotals(dough, libraryBook).doughG),
    20,
  ]);
  const doughG = formulaTotals(dough, libraryBook).doughG;
  // what bakes: the dough, ten grams of poppy seed and the wash
  const bakesG = doughG + 10 + 30;
  const eatenG = 0.9 * bakesG + 270 + 0.025 * doughG + 20;
  const fatG = nutritionOf({ ...rings, stages: rings.stages.slice(0, -3) }, libraryBook, baseG).perBaked100g.fat.value * 0.009 * bakesG; // prettier-ignore
  expect((with_.perBaked100g.fat.value * eatenG) / 100).toBeCloseTo(
    fatG +
      2.7 * libraryBook.get('olive-oil')!.per100g.fat.value +
      0.2 * libraryBook.get('white-rice-flour')!.per100g.fat.value,
    1,
  );
  const sure = nutritionOf({ ...rings, stages: rings.stages.map((each) => (each.kind === 'dusting' ? { ...each, takenUp: { lowPercent: 50, highPercent: 50 } } : each)) }, libraryBook, baseG); // prettier-ignore
  expect(with_.perBaked100g.starch.sd).toBeGreaterThan(sure.perBaked100g.starch.sd);
  expect(allergenStatement(rings, libraryBook).madeWith.some(({ ingredientId }) => ingredientId === 'sugar')).toBe(true); // prettier-ignore
});

test('held back: on the sheet, in no total, never asked for at the bench, and in the dough once it was weighed in', () => {
  const held = edited(dough, { type: 'setHeldBack', lineId: 'water', heldBack: true });
  const totals = formulaTotals(held, libraryBook);
  expect(totals.hydrationPoured).toBe(0);
  expect(totals.doughG).toBe(formulaTotals(dough, libraryBook).doughG - 400);
  expect(edited(held, { type: 'setMass', lineId: 'water', massG: 20 }).stages[0]!.lines.find(({ id }) => id === 'water')).toMatchObject({ heldBack: true, massG: 20 }); // prettier-ignore
  expect(edited(held, { type: 'setHeldBack', lineId: 'water', heldBack: false })).toEqual(dough);
  const sheet = planned(held, { mode: 'factor', factor: 1, pieceMassG: 300, bowlLossPercent: 0 });
  const lines = sheet.stages.flatMap((each) => each.lines);
  expect(lines.find(({ ingredientId }) => ingredientId === 'water')!.heldBack).toBe(true);
  expect(stillToWeigh(sheet, bakeState(0, [])).now.some(({ ingredientId }) => ingredientId === 'water')).toBe(
    false,
  );
  const water = (...actions: BakeAction[]) => {
    const state = bakeState(0, actions.map((action, at) => ({ seq: at + 1, atMs: at, action }))); // prettier-ignore
    const all = actualStages(sheet, state).flatMap((each) => each.lines);
    return all.filter(({ ingredientId }) => ingredientId === 'water').map(({ massG }) => massG);
  };
  expect([water(), water({ type: 'weighed', lineId: 'water', massG: 30 })]).toEqual([[], [30]]);
});

function edited(formula: Formula, edit: FormulaEdit): Formula {
  const done = applyEdit(formula, edit, libraryBook);
  if (!done.ok) throw new Error(JSON.stringify(done.problem));
  return done.value;
}
const planned = (formula: Formula, request: Parameters<typeof planBatch>[1]) => {
  const sheet = planBatch(formula, request, ordinaryScales, libraryBook);
  if (!sheet.ok) throw new Error(JSON.stringify(sheet.problem));
  return sheet.value;
};

const two: Formula = {
  ...dough,
  steps: [
    step('mix', 'mix', { takes: [{ lineId: 'white-rice-flour', share: 0.5 }] }),
    step('kneadAgain', 'again', { takes: [{ lineId: 'white-rice-flour', share: 0.5 }] }),
    step('divide', 'divide'),
  ],
  ways: [
    {
      id: 'loaf', name: 'Loaf', amount: { kind: 'pieces', pieces: 1, pieceMassG: 500 },
      bakedAs: { shape: 'tin', lengthCm: 20, widthCm: 10, tin: 'dark', perLoad: 1 },
      steps: [step('bake', 'loaf-bake')],
    },
    {
      id: 'rolls', name: 'Rolls', amount: { kind: 'rest', pieceMassG: 70 }, putBy: { as: 'frozen', days: 30 },
      steps: [step('shape', 'rolls-shape'), step('bake', 'rolls-bake', { atATime: 4 })],
    },
  ],
}; // prettier-ignore

test('a batch of two ways: counts, loads, what is put by; half the flour at each of two steps', () => {
  const sheet = planned(two, { mode: 'factor', factor: 1, pieceMassG: 100, bowlLossPercent: 0 });
  const { doughG } = formulaTotals(two, libraryBook);
  const rolls = Math.floor((doughG - 500) / 70);
  expect(sheet.ways!.map(({ name, count, doughG: each, putBy }) => [name, count, each, putBy?.as])).toEqual([
    ['Loaf', 1, 500, undefined],
    ['Rolls', rolls, 70, 'frozen'],
  ]);
  const weighedG = sheet.ways!.reduce((sum, each) => sum + each.count * each.doughG + each.overG, 0) + sheet.pieces.remainderG; // prettier-ignore
  expect(weighedG).toBeCloseTo(sheet.usableDoughG, 6);
  const loads = Math.ceil(rolls / 4);
  expect(sheet.steps.map(({ id }) => id)).toEqual([
    'mix', 'again', 'divide', 'loaf-bake', 'rolls-shape', ...Array.from({ length: loads }, (_, at) => `rolls-bake-${at + 1}`),
  ]); // prettier-ignore
  const flour = sheet.stages[0]!.lines.filter(({ ingredientId }) => ingredientId === 'white-rice-flour');
  expect(flour.map(({ id, of, atStepId, massG }) => [id, of?.at, atStepId, massG])).toEqual([
    ['white-rice-flour-1', 1, 'mix', 150],
    ['white-rice-flour-2', 2, 'again', 150],
  ]);
  // asked for when its step has come, not before
  const asked = (...actions: BakeAction[]) =>
    nextThing(sheet, bakeState(0, actions.map((action, at) => ({ seq: at + 1, atMs: at, action })))); // prettier-ignore
  const weighed = (lineId: string): BakeAction => ({ type: 'weighed', lineId, massG: 10 });
  const rest = sheet.stages.flatMap(({ lines }) => lines).filter(({ of }) => !of).map(({ id }) => weighed(id)); // prettier-ignore
  expect(asked(...rest)).toMatchObject({ kind: 'weigh', lineId: 'white-rice-flour-1' });
  expect(asked(...rest, weighed('white-rice-flour-1'))).toMatchObject({ kind: 'step', stepId: 'mix' });
  expect(asked(...rest, weighed('white-rice-flour-1'), { type: 'stepDone', stepId: 'mix' })).toMatchObject({ lineId: 'white-rice-flour-2' }); // prettier-ignore
});

test('asked for by what it makes: two loaves and twelve rolls, or rolls alone', () => {
  const ways = (loaf: number, rolls: number) => ({
    mode: 'ways' as const, ways: [{ wayId: 'loaf', pieces: loaf }, { wayId: 'rolls', pieces: rolls }], pieceMassG: 100, bowlLossPercent: 2,
  }); // prettier-ignore
  const sheet = planned(two, ways(2, 12));
  expect(sheet.usableDoughG).toBeCloseTo(2 * 500 + 12 * 70, -1);
  expect(sheet.ways!.map(({ count }) => count)).toEqual([2, 12]);
  const rollsOnly = planned(two, ways(0, 10));
  expect(rollsOnly.ways!.map(({ wayId, count }) => [wayId, count])).toEqual([['rolls', 10]]);
  expect(rollsOnly.steps.some(({ id }) => id.startsWith('loaf'))).toBe(false);
  const refused = (request: Parameters<typeof planBatch>[1]) => {
    const sheet = planBatch(two, request, ordinaryScales, libraryBook);
    return sheet.ok ? null : [sheet.problem.code, sheet.problem.path];
  };
  expect(refused(ways(0, 0))).toEqual(['tooSmall', 'ways']);
  expect(refused(ways(1.5, 1))).toEqual(['notWhole', 'ways.0.pieces']);
  expect(refused({ ...ways(1, 1), ways: [{ wayId: 'none', pieces: 1 }] })).toEqual(['unknownWay', 'ways']);
});

test('a bath follows its vessel: twice the rings, the same kettle', () => {
  const request = { mode: 'factor' as const, factor: 2, pieceMassG: 300, bowlLossPercent: 0 };
  const massOf = (kind: string) => planned(rings, request).stages.find((each) => each.kind === kind)!.lines[0]!.massG; // prettier-ignore
  expect([massOf('kettle'), massOf('sauce')]).toEqual([3000, 1200]);
});

test('one bread of several as if it were all: its steps, its shape, its pieces', () => {
  const rolls = asWay(two, 'rolls');
  expect(rolls.steps.map(({ id }) => id)).toEqual(['mix', 'again', 'divide', 'rolls-shape', 'rolls-bake']);
  expect([rolls.ways, rolls.bakedAs, rolls.usualYield.pieceMassG]).toEqual([undefined, undefined, 70]);
  expect(asWay(two, 'gone').bakedAs?.shape).toBe('tin');
  expect(asWay(dough)).toBe(dough);
});

test('a dough is parted after a step, a bread more, and together again', () => {
  const one: Formula = { ...dough, steps: [step('mix', 'mix'), step('proof', 'proof'), step('bake', 'bake')], usualYield: { pieces: 6, pieceMassG: 100, bakeLossPercent: 10, bowlLossPercent: 1 } }; // prettier-ignore
  const parted = edited(one, { type: 'partDough', afterStepId: 'mix', ways: [{ id: 'a', name: 'A' }, { id: 'b', name: 'B' }] }); // prettier-ignore
  expect([parted.steps, parted.ways!.map(({ steps }) => steps)].flat(2).map(({ id }) => id)).toEqual(['mix', 'proof', 'bake']); // prettier-ignore
  expect(parted.ways!.map(({ amount }) => amount)).toEqual([{ kind: 'pieces', pieces: 3, pieceMassG: 100 }, { kind: 'rest', pieceMassG: 100 }]); // prettier-ignore
  const more = edited(parted, { type: 'addStep', kind: 'fry', id: 'fry', atIndex: 0, wayId: 'b' });
  expect(more.ways![1]!.steps.map(({ id }) => id)).toEqual(['fry']);
  const moved = edited(more, { type: 'moveStep', stepId: 'proof', toIndex: 9, toWayId: null });
  expect(moved.steps.map(({ id }) => id)).toEqual(['mix', 'proof']);
  const third = edited(moved, { type: 'addWay', id: 'c', name: 'C' });
  expect(edited(third, { type: 'removeWay', wayId: 'c' })).toEqual(moved);
  const together = edited(moved, { type: 'removeWay', wayId: 'a' });
  expect([together.ways, together.steps.map(({ id }) => id)]).toEqual([undefined, ['mix', 'proof', 'fry']]);
  const why = (edit: FormulaEdit, of = parted) => {
    const done = applyEdit(of, edit, libraryBook);
    return done.ok ? null : [done.problem.code, done.problem.path];
  };
  const { steps: _, ...wayA } = parted.ways![0]!;
  expect(why({ type: 'partDough', afterStepId: 'mix', ways: [{ id: 'x', name: '' }, { id: 'y', name: '' }] })).toEqual(['alreadyDone', 'ways']); // prettier-ignore
  expect(why({ type: 'setWay', way: { ...wayA, amount: { kind: 'share', share: 2, pieceMassG: 50 } } })).toEqual(['tooLarge', 'share']); // prettier-ignore
  expect(why({ type: 'setWay', way: { ...wayA, id: 'none' } })).toEqual(['unknownWay', 'ways']);
  expect(why({ type: 'addStep', kind: 'bake', id: 'z', atIndex: 0, wayId: 'none' })).toEqual(['unknownWay', 'wayId']); // prettier-ignore
  expect(why({ type: 'setStep', step: step('boil', 'proof', { sides: 9 }) })).toEqual(['tooLarge', 'sides']);
  expect(why({ type: 'setStep', step: step('fold', 'proof', { again: { times: 1, everyS: null } }) })).toEqual(['tooSmall', 'times']); // prettier-ignore
  expect(why({ type: 'addWay', id: 'n', name: 'N' }, one)).toEqual(['unknownWay', 'ways']);
});

test('a line that goes out is taken by no step any more', () => {
  const without = edited(two, { type: 'removeLine', lineId: 'white-rice-flour' });
  expect(without.steps.some(({ takes }) => takes)).toBe(false);
});

test('lye brings its cautions, and is refused a place in a dough', () => {
  const with_ = (kind: 'kettle' | 'main') => cautionsOf({ ...dough, stages: [...dough.stages, stage(kind, { lye: 40 })] }, libraryBook, 500).map(({ code }) => code); // prettier-ignore
  expect(with_('kettle')[0]).toBe('lye');
  expect(with_('kettle')).not.toContain('lyeInDough');
  expect(with_('main').slice(0, 2)).toEqual(['lyeInDough', 'lye']);
});

test('what hurts somebody is found in every way: hot oil in the second', () => {
  const fries: Formula = { ...two, ways: [two.ways![0]!, { ...two.ways![1]!, steps: [step('fry', 'f', { tempC: 175 })] }] }; // prettier-ignore
  const codes = cautionsOf(fries, libraryBook, 500).map(({ code }) => code);
  expect(codes).toContain('hotOil');
  expect(cautionsOf(two, libraryBook, 500).map(({ code }) => code)).not.toContain('hotOil');
});

test('a cup stays a cup, through the batch: twice the formula two cups, half of it at each of two steps', () => {
  const counts = [{ count: 1, measure: 'cup' }, { count: -1, measure: 'tbsp' }]; // prettier-ignore
  const measured: Formula = edited(two, { type: 'setMass', lineId: 'white-rice-flour', massG: 300, measured: { said: '1 cup less 1 tbsp', lowG: 280, highG: 320, counts } }); // prettier-ignore
  const sheet = planned(measured, { mode: 'factor', factor: 3, pieceMassG: 100, bowlLossPercent: 0 });
  const lines = sheet.stages[0]!.lines.filter(({ ingredientId }) => ingredientId === 'white-rice-flour');
  expect(lines.map((line) => line.counts)).toEqual([1, 2].map(() => counts.map(({ count, measure }) => ({ count: 1.5 * count, measure })))); // prettier-ignore
  expect(sheet.stages[0]!.lines.filter((line) => line.counts).length).toBe(2);
});

test('what is shared is shared by the pieces of all its breads', () => {
  const { pieces, doughG } = yieldOf(two);
  expect([pieces, doughG]).toEqual([1 + Math.floor((0.99 * doughG - 500) / 70), formulaTotals(two, libraryBook).doughG]); // prettier-ignore
  expect(yieldOf({ ...dough, usualYield: { ...dough.usualYield, pieces: 4 } }).pieces).toBe(4);
});

test('no dough is made to follow a kettle', () => {
  const fixed = (lineId: string) => {
    const sheet = planBatch(rings, { mode: 'fixed', lineId, massG: 200, pieceMassG: 300, bowlLossPercent: 0 }, ordinaryScales, libraryBook); // prettier-ignore
    return sheet.ok ? sheet.value.factor : sheet.problem.code;
  };
  expect([fixed('water'), fixed('kettle-water')]).toEqual([0.5, 'unknownLine']);
});

test('whatever ids steps and lines have, no two things of a batch share one', () => {
  const long = 'a'.repeat(40);
  const odd: Formula = {
    ...dough,
    stages: dough.stages.map((each, at) => ({
      ...each,
      lines:
        at > 0
          ? each.lines
          : [...each.lines, { id: 'white-rice-flour-1', ingredientId: 'millet-flour', massG: 10, note: '' }],
    })),
    steps: [
      step('mix', 'mix', { takes: [{ lineId: 'white-rice-flour', share: 0.5 }] }),
      step('kneadAgain', 'again', { takes: [{ lineId: 'white-rice-flour', share: 0.5 }] }),
      step('bake', 'b', { atATime: 1 }),
      step('cool', 'b-1'),
      step('fold', long, { again: { times: 3, everyS: null } }),
      step('fold', `${'a'.repeat(39)}b`, { again: { times: 3, everyS: null } }),
    ],
  };
  const sheet = planned(odd, { mode: 'pieces', pieces: 2, pieceMassG: 300, weighed: 'dough', bakeLossPercent: 10, bowlLossPercent: 0 }); // prettier-ignore
  const stepIds = sheet.steps.map(({ id }) => id);
  const lineIds = sheet.stages.flatMap(({ lines }) => lines.map(({ id }) => id));
  for (const ids of [stepIds, lineIds]) {
    expect(new Set(ids).size).toBe(ids.length);
    expect(ids.every((id) => /^[A-Za-z0-9_-]{1,40}$/.test(id))).toBe(true);
  }
  // what is done once is called by its own, and every call is known by what it is called
  expect(stepIds).toContain('b-1');
  expect(sheet.activities!.every(({ id }) => stepIds.includes(id))).toBe(true);
  expect(sheet.activities!.filter(({ stepId }) => stepId === 'b').map(({ load }) => load?.at)).toEqual([
    1, 2,
  ]);
});
