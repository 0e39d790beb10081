import fc from 'fast-check';
import { divideDough } from '../formula';
import type { Way } from '../formula/formulaSchema';
import { STAGE_KINDS } from '../formula/formulaLimits';
import { newStep, STEP_KINDS, type MethodStep, type StepKind } from '../method';
import { activitiesOf, mixingOf } from './activities';
import { cueIn, fieldsFromWords, methodFromWords, processFromWords, standsIn } from './fromWords';
import { stepHeat } from './stepHeat';
import { takingsOf } from './takings';

const step = (kind: StepKind, id: string, part: Partial<MethodStep> = {}): MethodStep => ({
  ...newStep(kind, id),
  ...part,
});
const part = (kind: (typeof STAGE_KINDS)[number], ...lineIds: string[]) => ({
  id: kind,
  kind,
  lines: lineIds.map((id) => ({ id })),
});

test('half the flour now and half later; the rest of the part with the first; what nobody takes where it usually goes', () => {
  const steps = [
    step('bloom', 'bloom'),
    step('mix', 'mix', { takes: [{ lineId: 'flour', share: 0.5 }] }),
    step('kneadAgain', 'again', { takes: [{ lineId: 'flour', share: 0.9 }, { stageId: 'late', share: 1 }] }),
    step('top', 'top'),
    step('bake', 'bake'),
    step('cool', 'cool'),
  ]; // prettier-ignore
  const stages = [
    part('bloom', 'yeast'), part('main', 'flour', 'water'), part('late', 'seeds'), part('topping', 'cheese'), part('sauce', 'tomato'),
    part('oil', 'oil'),
  ]; // prettier-ignore
  const taken = takingsOf(steps, stages);
  const at = (stepId: string | null) =>
    (taken.get(stepId) ?? []).map(({ lineId, share, assumed }) => `${lineId} ${share}${assumed ? ' ?' : ''}`);
  expect(at('bloom')).toEqual(['yeast 1 ?']);
  expect(at('mix')).toEqual(['flour 0.5', 'water 1 ?']);
  // no more than there is left
  expect(at('again')).toEqual(['flour 0.5', 'seeds 1']);
  expect([at('top'), at('cool')]).toEqual([['cheese 1 ?'], ['tomato 1 ?']]);
  // nothing is fried here: the oil has no place
  expect(at(null)).toEqual(['oil 1 ?']);
});

const anySteps = fc.array(
  fc.record({
    kind: fc.constantFrom(...STEP_KINDS),
    takes: fc.array(
      fc.record({ lineId: fc.constantFrom('a', 'b', 'c', 'gone'), share: fc.double({ min: 0.01, max: 1, noNaN: true }) }),
      { maxLength: 4 },
    ),
  }),
  { maxLength: 12 },
); // prettier-ignore

test('every line is somewhere, once: its shares make a whole', () => {
  fc.assert(
    fc.property(anySteps, fc.array(fc.constantFrom(...STAGE_KINDS), { minLength: 3, maxLength: 3 }), (of, kinds) => {
      const steps = of.map(({ kind, takes }, at) => step(kind, `s${at}`, { takes }));
      const stages = ['a', 'b', 'c'].map((id, at) => ({ id: `p${at}`, kind: kinds[at]!, lines: [{ id }] }));
      const taken = takingsOf(steps, stages);
      for (const id of ['a', 'b', 'c']) {
        const shares = [...taken.values()].flat().filter(({ lineId }) => lineId === id);
        expect(shares.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
        expect(shares.every(({ share }) => share > 0)).toBe(true);
      }
      expect([...taken.values()].flat().some(({ lineId }) => lineId === 'gone')).toBe(false);
    }),
  ); // prettier-ignore
});

const stretch = (steps: MethodStep[], pieces: number | null, fits = Infinity) =>
  activitiesOf({ wayId: null, steps, pieces, fits: () => fits });
const brief = (activities: ReturnType<typeof activitiesOf>) =>
  activities.map(({ id, load, side, time, pieces }) =>
    [id, load && `load ${load.at}/${load.of}`, side && `side ${side.at}`, time && `time ${time.at}`, pieces].filter((each) => each !== null).join(' '),
  ); // prettier-ignore

test('ten rings two at a time, two sides; then all of them in the oven, six to a tray', () => {
  const all = stretch(
    [step('boil', 'b', { sides: 2, atATime: 2 }), step('bake', 'o'), step('cool', 'c')],
    10,
    6,
  );
  expect(all.length).toBe(5 * 2 + 2 + 1);
  expect(brief(all).slice(0, 3)).toEqual(['b-1-1 load 1/5 side 1 2', 'b-1-2 load 1/5 side 2 2', 'b-2-1 load 2/5 side 1 2']); // prettier-ignore
  expect(brief(all).slice(-3)).toEqual(['o-1 load 1/2 5', 'o-2 load 2/2 5', 'c 10']);
});

test('a load goes through all its oven does before the next; another appliance, or a step between, ends the visit', () => {
  const lidded = [step('bake', 'lid'), step('bake', 'bare'), step('coast', 'door')];
  expect(stretch(lidded, 2, 1).map(({ id }) => id)).toEqual(['lid-1', 'bare-1', 'door-1', 'lid-2', 'bare-2', 'door-2']); // prettier-ignore
  // first passes of three flats, then topped, then finished
  const crossing = [step('bake', 'first'), step('top', 'top'), step('bake', 'last')];
  expect(stretch(crossing, 3, 1).map(({ id }) => id)).toEqual(['first-1', 'first-2', 'first-3', 'top', 'last-1', 'last-2', 'last-3']); // prettier-ignore
  // before it is divided, and of a thousand rolls, nobody counts loads
  expect(stretch([step('bake', 'o')], null, 1).map(({ id }) => id)).toEqual(['o']);
  expect(brief(stretch([step('bake', 'o')], 1000, 2))).toEqual(['o 1000']);
});

test('folds are called one by one', () => {
  const folds = stretch([step('fold', 'f', { again: { times: 3, everyS: 1800 } })], null);
  expect(brief(folds)).toEqual(['f-1 time 1', 'f-2 time 2', 'f-3 time 3']);
});

test('every piece goes through every step once a side, and no two calls share an id', () => {
  const anyMethod = fc.array(
    fc.record({
      kind: fc.constantFrom<StepKind>('boil', 'fry', 'griddle', 'bake', 'coast', 'cool', 'top'),
      sides: fc.option(fc.constantFrom(2, 3), { nil: undefined }),
      atATime: fc.option(fc.integer({ min: 1, max: 9 }), { nil: undefined }),
    }),
    { minLength: 1, maxLength: 8 },
  );
  fc.assert(
    fc.property(anyMethod, fc.integer({ min: 1, max: 50 }), (kinds, pieces) => {
      const steps = kinds.map(({ kind, sides, atATime }, at) =>
        step(kind, `step${at}`, { ...(sides && { sides }), ...(atATime && { atATime }) }),
      );
      const all = stretch(steps, pieces);
      expect(new Set(all.map(({ id }) => id)).size).toBe(all.length);
      for (const { id, sides } of steps)
        expect(all.filter(({ stepId }) => stepId === id).reduce((sum, each) => sum + each.pieces!, 0)).toBe(
          pieces * (sides ?? 1),
        );
    }),
  );
});

const way = (id: string, amount: Way['amount']): Way => ({ id, name: id, amount, steps: [] });

test('1.1 kg to the tin, the rest rolls of 70 g', () => {
  const ways = [way('tin', { kind: 'pieces', pieces: 1, pieceMassG: 1100 }), way('rolls', { kind: 'rest', pieceMassG: 70 })]; // prettier-ignore
  const { shares, leftG, shortG } = divideDough(ways, 2000);
  expect(shares.map(({ pieces }) => pieces)).toEqual([1, 12]);
  expect([leftG, shortG]).toEqual([60, 0]);
  expect(divideDough(ways, 4000, 2).shares.map(({ pieces }) => pieces)).toEqual([2, 25]);
  expect(divideDough(ways, 1000).shortG).toBeCloseTo(100 + 70, 9);
  const third = way('third', { kind: 'share', share: 0.3, pieceMassG: 250 });
  expect(divideDough([third, ways[1]!], 2000).shares.map(({ pieces, overG }) => [pieces, overG])).toEqual([[2, 100], [20, 0]]); // prettier-ignore
});

test('grams are conserved where a dough parts: pieces, what is over, what is left; short only where more is asked than there is', () => {
  const anyAmount = fc.oneof(
    fc.record({ kind: fc.constant('pieces' as const), pieces: fc.integer({ min: 1, max: 9 }), pieceMassG: fc.double({ min: 20, max: 900, noNaN: true }) }),
    fc.record({ kind: fc.constant('share' as const), share: fc.double({ min: 0.05, max: 0.9, noNaN: true }), pieceMassG: fc.double({ min: 20, max: 900, noNaN: true }) }),
    fc.record({ kind: fc.constant('rest' as const), pieceMassG: fc.double({ min: 20, max: 900, noNaN: true }) }),
  ); // prettier-ignore
  fc.assert(
    fc.property(fc.array(anyAmount, { minLength: 1, maxLength: 6 }), fc.double({ min: 100, max: 9000, noNaN: true }), (amounts, doughG) => {
      const { shares, leftG, shortG } = divideDough(amounts.map((amount, at) => way(`w${at}`, amount)), doughG);
      const usedG = shares.reduce((sum, { pieces, pieceG, overG }) => sum + pieces * pieceG + overG, 0) + leftG;
      expect(leftG).toBeGreaterThanOrEqual(0);
      // half a per cent of a piece is what rounding may take from one
      expect(usedG).toBeGreaterThan(doughG * 0.999);
      const slackG = shares.reduce((sum, { pieces, pieceG }) => sum + 0.006 * pieces * pieceG, 0);
      expect(usedG).toBeLessThan(doughG + shortG + slackG + 1e-6);
    }),
  ); // prettier-ignore
});

test.each<[StepKind, string, ReturnType<typeof cueIn>]>([
  ['bulk', 'grown by half', { kind: 'grown', percent: 50 }],
  ['proof', 'risen by a good half and domed just above the rim', { kind: 'grown', percent: 50 }],
  ['bulk', 'until doubled', { kind: 'grown', percent: 100 }],
  ['bulk', 'risen by about 70 %', { kind: 'grown', percent: 70 }],
  ['bulk', 'nearly doubled, domed at the rim', { kind: 'grown', percent: 85 }],
  ['proof', 'a dent springs back slowly', { kind: 'springsBack' }],
  ['bake', 'core 97 °C', { kind: 'core', tempC: 97 }],
  ['bake', '96.5 °C in the middle', { kind: 'core', tempC: 96.5 }],
  ['bake', 'deep golden all over', { kind: 'colour', colour: 'deepGolden' }],
  ['bake', 'golden brown', { kind: 'colour', colour: 'golden' }],
  ['bake', 'not brown yet', null],
  ['boil', 'until they float', { kind: 'floats' }],
  ['bloom', 'foamy', { kind: 'foam' }],
  ['cool', 'quite cold', { kind: 'cold' }],
  ['bulk', 'it feels alive', null],
  ['bake', 'doubled', null],
  ['bulk', 'grown by 40%', { kind: 'grown', percent: 40 }],
  ['bulk', 'up about 60 %', { kind: 'grown', percent: 60 }],
  ['bulk', 'rises 25 %', { kind: 'grown', percent: 25 }],
  ['bulk', 'grown by about half', { kind: 'grown', percent: 50 }],
  ['bulk', 'larger by half', { kind: 'grown', percent: 50 }],
  ['bulk', 'half as big again', { kind: 'grown', percent: 50 }],
  ['bulk', 'grown by a third', { kind: 'grown', percent: 33 }],
  ['bulk', 'by about a quarter', { kind: 'grown', percent: 25 }],
  ['bulk', 'by two thirds', { kind: 'grown', percent: 67 }],
  ['bulk', 'three quarters up the tin', { kind: 'grown', percent: 75 }],
  ['bulk', 'twice its size', { kind: 'grown', percent: 100 }],
  // at the ends of what can be, and beyond
  ['bulk', 'risen 5 %', { kind: 'grown', percent: 5 }],
  ['bulk', 'risen 400 %', { kind: 'grown', percent: 400 }],
  ['bulk', 'risen 4 %', null],
  ['bulk', 'risen 401 %', null],
  ['bake', 'core 130 °C', { kind: 'core', tempC: 130 }],
  ['bake', 'core 131 °C', null],
  ['bake', 'the centre should be at 94 c', { kind: 'core', tempC: 94 }],
  ['fry', 'it comes up', { kind: 'floats' }],
  ['bake', 'pale', { kind: 'colour', colour: 'straw' }],
  ['bake', 'dark brown', { kind: 'colour', colour: 'dark' }],
  ['bake', 'well browned', { kind: 'colour', colour: 'brown' }],
  ['bloom', 'frothy', { kind: 'foam' }],
  ['proof', 'a dent stays', { kind: 'springsBack' }],
  ['cool', 'cooled through', { kind: 'cold' }],
  ['proof', 'cold', null],
])('%s until “%s”', (kind, until, cue) => {
  expect(cueIn(kind, until)).toEqual(cue);
});

test.each([
  ['overnight in the fridge, in a bag', { place: 'fridge', cover: 'bag' }],
  ['do not put it in the fridge', null],
  ['warm place under a damp cloth', { place: 'warm', cover: 'damp' }],
  ['in the oven with its light on', { place: 'ovenLight' }],
  ['at room temperature under film', { place: 'room', cover: 'film' }],
  ['leave it', null],
])('stands: %s', (text, stands) => {
  expect(standsIn(text)).toEqual(stands);
});

test.each<[StepKind, string, MethodStep['cue']]>([
  // of what is heated only what follows an "until" is waited for, and what is said of the core
  ['bake', 'On a dark tray. Leave it until deep golden', { kind: 'colour', colour: 'deepGolden' }],
  ['bake', 'a dark tray', undefined],
  ['bake', 'it is done when pale', { kind: 'colour', colour: 'straw' }],
  ['bake', 'Turn it. The inside is 96 c', { kind: 'core', tempC: 96 }],
  ['bake', 'bake in the middle of the oven at 94 c', undefined],
  ['bake', 'on the middle shelf at 94 c', undefined],
  ['boil', 'they float in a minute', { kind: 'floats' }],
  ['fry', 'each comes up', { kind: 'floats' }],
  ['bake', 'they float', undefined],
  ['cool', 'cool completely', { kind: 'cold' }],
  ['cool', 'leave it cold', { kind: 'cold' }],
  ['cool', 'cool a little', undefined],
  ['bulk', 'it is grown by half', { kind: 'grown', percent: 50 }],
])('of a remark at %s, “%s”, is waited for', (kind, note, cue) => {
  const [read] = methodFromWords([step(kind, 's', { note })]);
  expect(read!.cue).toEqual(cue);
});

test.each<[string, MethodStep['heat']]>([
  ['in the dutch oven', { on: 'castIron' }],
  ['on the steel, steam', { on: 'steel', moist: 'steam' }],
  ['lid off', { moist: 'dry' }],
  ['a tray of water below', { moist: 'steam' }],
  ['out of its tin', { inTin: false }],
  ['with sauce', { topped: true }],
  ['on baking paper', { paper: true }],
  ['with a sheet of parchment', { paper: true }],
  ['never on the stone', undefined],
  ['plain', undefined],
])('heat, “%s”', (title, heat) => {
  expect(fieldsFromWords(step('bake', 's', { title }), [], false).heat).toEqual(heat);
});

test('where it stands is read of what stands, not of what bakes; a place of its own stays', () => {
  const title = 'in the fridge';
  expect(fieldsFromWords(step('chill', 's', { title }), [], false).stands).toEqual({ place: 'fridge' });
  expect(fieldsFromWords(step('bake', 's', { title }), [], false).stands).toBeUndefined();
  const own = step('proof', 's', { title, stands: { place: 'warm' } });
  expect(fieldsFromWords(own, [], false).stands).toEqual({ place: 'warm' });
  for (const [text, stands] of [
    ['in the freezer', { place: 'freezer' }],
    ['in the proving box with a lid', { place: 'prover', cover: 'lid' }],
    ['in a warm corner, a cloth over it', { place: 'warm', cover: 'cloth' }],
    ['airing cupboard, cling', { place: 'warm', cover: 'film' }],
    ['on the counter in a bag', { place: 'room', cover: 'bag' }],
  ] as const)
    expect(standsIn(text)).toEqual(stands);
});

test('each of several mixes goes from the first mixing to the last before the dough rises', () => {
  const at = (...kinds: StepKind[]) => mixingOf(kinds.map((kind, index) => step(kind, `${index}`)));
  expect(at('weigh', 'mix', 'rest', 'kneadAgain', 'bulk', 'mix')).toEqual({ from: 1, to: 4 });
  expect(at('mix', 'free', 'mix', 'rest')).toEqual({ from: 0, to: 3 });
  expect(at('bloom', 'mix')).toEqual({ from: 1, to: 2 });
  expect(at('mix', 'bulk', 'kneadAgain')).toEqual({ from: 0, to: 1 });
  expect(at('weigh', 'bulk')).toEqual({ from: 0, to: 0 });
});

const plain = { moist: 'dry', on: 'tray', inTin: false, topped: false, paper: false } as const;

test('words are read once into fields; a field that was set stays; a remark changes nothing unless a whole text was taken in', () => {
  const lidded = step('bake', 'b', { title: 'Lid on', note: 'on the stone' });
  const hot = step('preheat', 'p', { title: 'Oven and pot' });
  expect(fieldsFromWords(lidded, [hot, lidded], false).heat).toEqual({ on: 'castIron', moist: 'lid' });
  expect(fieldsFromWords(lidded, [lidded], false).heat).toEqual({ moist: 'lid' });
  expect(fieldsFromWords(lidded, [lidded], true).heat).toEqual({ on: 'stone', moist: 'lid' });
  const own = { ...lidded, heat: { moist: 'steam' as const } };
  expect(fieldsFromWords(own, [own], true).heat).toEqual({ on: 'stone', moist: 'steam' });
  expect(fieldsFromWords(step('bake', 'b', { title: 'Bake without steam' }), [], true).heat).toBeUndefined();
  // read again it says the same
  const once = methodFromWords([hot, lidded]);
  expect(methodFromWords(once)).toEqual(once);
});

test('how a step heats follows from its fields and the heating before it alone', () => {
  const lid = stepHeat(step('bake', 'a', { heat: { moist: 'lid', on: 'castIron' } }), plain);
  expect(lid).toEqual({ ...plain, moist: 'lid', on: 'castIron' });
  expect(stepHeat(step('bake', 'b', { title: 'lid off, on the stone' }), lid)).toEqual(lid);
  const steam = stepHeat(step('bake', 'c', { heat: { moist: 'steam', topped: true, paper: true } }), plain);
  // steam ends with its step, and so does what lies on it; paper stays under it
  expect(stepHeat(step('bake', 'd'), steam)).toEqual({ ...plain, paper: true });
  expect(stepHeat(step('griddle', 'e'), plain).on).toBe('griddle');
});

test('what is stored of before is read whatever is in it', () => {
  expect(processFromWords({ name: 'x', steps: 'none', stages: [null, 7, { kind: 'topping', name: 'Egg wash' }, { kind: 'topping', name: 'Seeds' }] })).toEqual({
    name: 'x', steps: 'none', stages: [null, 7, { kind: 'wash', name: 'Egg wash' }, { kind: 'topping', name: 'Seeds' }],
  }); // prettier-ignore
  expect(processFromWords({ steps: [3, null, { kind: 'bake' }] })).toEqual({
    steps: [3, null, { kind: 'bake' }],
  });
  expect(processFromWords({})).toEqual({});
});
