import fc from 'fast-check';
import { ingredientLibrary, isFlourBase } from '../ingredients';
import { emptyFormula, type Formula, type Line } from './formula';

/** Made-up formulas for tests: one to compute by hand, and any number of random ones. */
/** The plain loaf, a part of it as rolls that are frozen as dough. */
export const partedLoaf = (): Formula => ({
  ...plainLoaf(),
  ways: [
    { id: 'frozen', name: 'Rolls', amount: { kind: 'pieces', pieces: 3, pieceMassG: 70 }, steps: [], putBy: { as: 'frozenRaw', days: 21 } },
    { id: 'tin', name: 'Tin', amount: { kind: 'rest', pieceMassG: 200 }, steps: [] },
  ],
}); // prettier-ignore

export const line = (ingredientId: string, massG: number, id = ingredientId): Line => ({
  id,
  ingredientId,
  massG,
  note: '',
});

/** 500 g of flours, 400 g water poured, one egg of 50 g, 10 g salt, 20 g psyllium, 10 g of seeds on top. */
export function plainLoaf(): Formula {
  return {
    ...emptyFormula('Plain loaf', 'dough'),
    stages: [
      {
        id: 'dough',
        kind: 'main',
        name: 'Dough',
        lines: [
          line('white-rice-flour', 300),
          line('tapioca-starch', 200),
          line('psyllium-husk', 20),
          line('water', 400),
          line('egg-whole', 50),
          line('salt', 10),
        ],
      },
      { id: 'top', kind: 'topping', name: 'On top', lines: [line('poppy-seed', 10)] },
    ],
    steps: [
      {
        id: 'mix',
        kind: 'mix',
        title: '',
        minS: 300,
        maxS: null,
        until: 'even',
        tempC: 26,
        handsOn: true,
        note: '',
      },
      {
        id: 'proof',
        kind: 'proof',
        title: '',
        minS: 3600,
        maxS: 5400,
        until: '',
        tempC: 28,
        handsOn: false,
        note: '',
      },
    ],
    usualYield: { pieces: 1, pieceMassG: 950, bakeLossPercent: 12, bowlLossPercent: 0 },
  };
}

const ids = ingredientLibrary.map(({ id }) => id);
const flours = ingredientLibrary.filter((ingredient) => isFlourBase(ingredient)).map(({ id }) => id);
const massG = fc.double({ min: 0.5, max: 900, noNaN: true });

/** Any formula with at least two flours, and not so much of everything else that it could be refused as too wet. */
export const anyFormula: fc.Arbitrary<Formula> = fc
  .tuple(
    fc.array(fc.tuple(fc.constantFrom(...flours), fc.double({ min: 150, max: 900, noNaN: true })), {
      minLength: 2,
      maxLength: 6,
    }),
    fc.array(fc.tuple(fc.constantFrom(...ids), massG), { maxLength: 12 }),
    fc.constantFrom('flours' as const, 'floursAndBinders' as const),
  )
  .map(([base, rest, percentBase]) => ({
    ...emptyFormula('Any', 'a'),
    percentBase,
    stages: [
      {
        id: 'a',
        kind: 'main' as const,
        name: 'A',
        lines: base.map(([id, mass], index) => line(id, mass, `f${index}`)),
      },
      {
        id: 'b',
        kind: 'late' as const,
        name: 'B',
        lines: rest.map(([id, mass], index) => {
          const made = line(id, mass * (300 / (300 + 60 * rest.length)), `r${index}`);
          const { massG } = made;
          // some were typed in cups
          return index % 3 === 0
            ? { ...made, measured: { said: 'a cup', lowG: 0.9 * massG, highG: 1.1 * massG } }
            : made;
        }),
      },
    ],
  }));
