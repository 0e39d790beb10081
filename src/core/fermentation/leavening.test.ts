import { consistencyOf } from '../consistency';
import { formulaTotals, type Formula } from '../formula';
import { line, plainLoaf } from '../formula/testFormulas';
import { libraryBook } from '../ingredients';
import { bookWith } from '../ingredients/bookWith';
import { newStep } from '../method';
import { doughDensity } from '../vessel/vessel';
import { FERMENTATION, bakedVolume, leavenKinds, leaveningOf, riseCurve, type Leavening } from '.';
import { FIGURES } from '../calibrated';
import { holdingOf, type Structure } from './holding';
import { freshDough, PLAIN_TEMPER } from './stepper';

const plus = (extra: readonly [string, number][], part: Partial<Formula> = {}): Formula => {
  const plain = plainLoaf();
  return {
    ...plain,
    ...part,
    stages: plain.stages.map((stage, index) =>
      index === 0 ? { ...stage, lines: [...stage.lines, ...extra.map(([id, g]) => line(id, g))] } : stage,
    ),
  };
};
const of = (formula: Formula): Leavening => {
  const totals = formulaTotals(formula, libraryBook);
  const density = doughDensity(formula, libraryBook, totals.doughG);
  const made = leaveningOf(formula, libraryBook, totals, consistencyOf(formula, libraryBook), density);
  if (!made) throw new Error('no dough');
  return made;
};
const plainSugarG = of(plainLoaf()).sugarG;

test('the three yeasts are worth what they gas, and wake in their own time', () => {
  const instant = of(plus([['instant-yeast', 5]]));
  const dry = of(plus([['active-dry-yeast', 5]]));
  const fresh = of(plus([['fresh-yeast', 15]]));
  expect(instant.yeastG).toBeCloseTo(fresh.yeastG, 9);
  expect(dry.yeastG).toBeLessThan(instant.yeastG);
  expect(dry.wakingMin).toBeGreaterThan(instant.wakingMin);
  expect(instant.wakingMin).toBeGreaterThan(fresh.wakingMin);
  const bloomed = of(plus([['active-dry-yeast', 5]], { steps: [newStep('bloom', 'b')] }));
  expect(bloomed.wakingMin).toBe(FERMENTATION.wakingMin.bloomed);
  expect(leavenKinds(instant)).toEqual(['yeast']);
});

test('an old jar of yeast counts for what of it works, and is less sure; a new one beside it for all', () => {
  const book = bookWith(libraryBook, [
    {
      kind: 'bag',
      id: 'instant-yeast',
      bag: 'from spring',
      source: '',
      changes: { vigour: { value: 0.5, sd: 0.15 } },
    },
  ]);
  if (!book.ok) throw new Error(book.problem.code);
  const formula = plus([
    ['instant-yeast', 5],
    ['fresh-yeast', 15],
  ]);
  const totals = formulaTotals(formula, book.value);
  const old = leaveningOf(formula, book.value, totals, consistencyOf(formula, book.value), 1.1)!;
  expect(old.yeastG).toBeCloseTo(15 * 0.5 + 15, 9);
  expect(old.yeastCv).toBeGreaterThan(of(formula).yeastCv);
  expect(of(formula).yeastG).toBeCloseTo(30, 9);
});

test('without water nothing works, with a little of it slowly, from a stiff dough on as ever', () => {
  const wet = (waterG: number): Leavening => {
    const formula = plus([
      ['instant-yeast', 5],
      ['baking-powder', 5],
    ]);
    return of({
      ...formula,
      stages: formula.stages.map((stage) => ({
        ...stage,
        lines: stage.lines.flatMap((each) =>
          each.ingredientId === 'egg-whole'
            ? []
            : each.ingredientId !== 'water'
              ? [each]
              : waterG > 0
                ? [{ ...each, massG: waterG }]
                : [],
        ),
      })),
    });
  };
  const [none, damp, stiff, soft] = [wet(0), wet(130), wet(200), wet(400)];
  expect(none).toMatchObject({ brake: 0, coldMmol: 0 });
  expect(damp.brake).toBeGreaterThan(0);
  expect(damp.brake).toBeLessThan(0.8 * stiff.brake);
  // in less water the same salt and sugar brake more
  expect(stiff.brake).toBeLessThan(soft.brake);
  for (const { coldMmol, ovenMmol } of [none, damp, stiff])
    expect(coldMmol + ovenMmol).toBeCloseTo(soft.coldMmol + soft.ovenMmol, 9);
  const still = riseCurve({
    leavening: { ...none, waterG: 0 },
    doughC: 26,
    stays: [{ place: 'room', tempC: 24, durationS: 7200, standing: 'bowl', pieceG: 500, pressedOut: 0 }],
    beyondS: 3600,
    pressurePa: 101_325,
  });
  if (!still.ok) throw new Error(still.problem.path);
  // its air shrinks a hair as it cools, no more
  for (const volume of [...still.value.volume, ...still.value.high]) expect(volume).toBeCloseTo(1, 2);
});

test('a wild starter is culture and acid; its flour and water are the dough’s', () => {
  const wild = of(plus([['rice-starter', 150]]));
  expect(wild.wildG).toBeCloseTo((150 * FIGURES['wild.ripe']) / 100, 9);
  expect(wild.yeastG).toBe(0);
  expect(wild.yeastCv).toBeGreaterThan(of(plus([['instant-yeast', 5]])).yeastCv);
  expect(wild.floursG).toBeGreaterThan(of(plainLoaf()).floursG + 60);
  expect(leavenKinds(wild)).toEqual(['wild']);
  // its acid frees soda's gas at once
  expect(of(plus([['rice-starter', 150], ['baking-soda', 1]])).coldMmol).toBeGreaterThan(10); // prettier-ignore
});

test('soda works cold as far as there is acid, the rest of it half and late; powder has its own', () => {
  const alone = of(plus([['baking-soda', 3]]));
  expect(alone.coldMmol).toBe(0);
  expect(alone.ovenMmol).toBeCloseTo((3 * FERMENTATION.bakingSodaMmolPerG) / 2, 9);
  const sour = of(plus([['baking-soda', 3], ['cider-vinegar', 20]])); // prettier-ignore
  expect(sour.coldMmol).toBeCloseTo(20 * 0.83, 9);
  expect(sour.ovenMmol).toBeCloseTo((3 * FERMENTATION.bakingSodaMmolPerG - 20 * 0.83) / 2, 9);
  // more acid than soda frees no more than there is
  const sourest = of(plus([['baking-soda', 3], ['cider-vinegar', 200]])); // prettier-ignore
  expect(sourest.coldMmol).toBeCloseTo(3 * FERMENTATION.bakingSodaMmolPerG, 9);
  expect(sourest.ovenMmol).toBeCloseTo(0, 9);
  const powder = of(plus([['baking-powder', 10], ['instant-yeast', 3]])); // prettier-ignore
  expect(powder.ovenMmol).toBeGreaterThan(powder.coldMmol);
  expect(leavenKinds(powder)).toEqual(['yeast', 'chemical']);
  expect(leavenKinds(of(plainLoaf()))).toEqual(['none']);
});

test('food: sugar feeds, milk sugar does not, much sugar and salt brake', () => {
  expect(of(plus([['sugar', 20]])).sugarG - plainSugarG).toBeCloseTo(20 * 0.999, 6);
  expect(of(plus([['whole-milk', 200]])).sugarG).toBeCloseTo(plainSugarG, 9);
  const plain = of(plainLoaf());
  expect(of(plus([['sugar', 20]])).brake).toBeGreaterThan(0.85 * plain.brake);
  expect(of(plus([['sugar', 100]])).brake).toBeLessThan(0.7 * plain.brake);
  expect(of(plus([['salt', 15]])).brake).toBeLessThan(0.75 * plain.brake);
  // by what is dissolved in the dough's water: the same in twice the water brakes far less
  expect(of(plus([['sugar', 100], ['water', 400]])).brake).toBeGreaterThan(of(plus([['sugar', 100]])).brake); // prettier-ignore
  // whole grain frees more sugar of itself, and what a starch frees is next to nothing
  const freed = (id: string) => of(plus([[id, 200]])).freedSugarG - plain.freedSugarG;
  expect(freed('buckwheat-flour')).toBeGreaterThan(1.5 * freed('white-rice-flour'));
  expect(freed('maize-starch')).toBeLessThan(0.2 * freed('white-rice-flour'));
});

test('a dough holds most when it is soft to sticky, and more the better it is bound', () => {
  const held = (waterG: number) => of(plus([['water', waterG]])).mostHeld;
  const best = Math.max(...[0, 40, 80, 120, 160].map(held));
  expect(held(700)).toBeLessThan(0.6 * best);
  // at the same consistency: what binds decides the rest, from next to nothing to more than twice the dough
  const at = (part: Partial<Structure>) => holdingOf({ ...NONE, ...part }, 1, FIGURES).mostHeld;
  expect(at({})).toBeLessThan(0.45);
  expect(at({ psyllium: 4.5 })).toBeGreaterThan(2.5 * at({}));
  expect(at({ cellulose: 2 })).toBeGreaterThan(5 * at({}));
  expect(at({ psyllium: 4.5, whole: 0.7 })).toBeLessThan(at({ psyllium: 4.5 }));
  expect(at({ gum: 1.2, egg: 20 })).toBeGreaterThan(at({ gum: 1.2 }));
  // and there is no cliff: a tenth of saturation is never worth a third of the gas between soft and batter
  for (let s = 0.9; s < 1.3; s += 0.05) {
    const now = holdingOf({ ...NONE, psyllium: 4 }, s, FIGURES).mostHeld;
    const next = holdingOf({ ...NONE, psyllium: 4 }, s + 0.05, FIGURES).mostHeld;
    expect(Math.abs(Math.log(next / now))).toBeLessThan(0.25);
  }
});
const NONE: Structure = { psyllium: 0, cellulose: 0, gum: 0, seed: 0, egg: 0, whole: 0 };

test('oven spring: more gas springs further, within what the dough can hold; late powder lifts what yeast has not', () => {
  const yeasted = of(plus([['instant-yeast', 5]]));
  const flat = freshDough(yeasted, 26);
  const risen = { ...flat, heldMmol: 12, dissolvedMmol: 15 };
  expect(bakedVolume(risen, yeasted)).toBeGreaterThan(bakedVolume(flat, yeasted) + 0.15);
  expect(bakedVolume({ ...risen, heldMmol: 500 }, yeasted)).toBeLessThanOrEqual(1 + yeasted.mostHeld * 1.4);
  expect(bakedVolume({ ...risen, tired: 1 }, yeasted)).toBeLessThan(bakedVolume(risen, yeasted));
  const powdered = of(plus([['baking-powder', 12]]));
  expect(bakedVolume(freshDough(powdered, 26), powdered)).toBeGreaterThan(bakedVolume(flat, yeasted) + 0.1);
  // thinner air, larger bubbles
  expect(bakedVolume(risen, yeasted, PLAIN_TEMPER, 81_500)).toBeGreaterThan(bakedVolume(risen, yeasted));
});
