import fc from 'fast-check';
import { libraryBook, type Ingredient } from '../ingredients';
import { compensatedSum } from '../numeric/compensatedSum';
import {
  allLines,
  applyEdit,
  checkFormula,
  compareFormulas,
  emptyFormula,
  firstMassG,
  formulaSchema,
  formulaTotals,
  record,
  redo,
  settle,
  startHistory,
  takeBack,
  takeApart,
  undo,
  type Formula,
  type FormulaEdit,
} from '.';
import { anyFormula, line, plainLoaf } from './testFormulas';

const totals = (formula: Formula) => formulaTotals(formula, libraryBook);
const edit = (formula: Formula, change: FormulaEdit) => applyEdit(formula, change, libraryBook);
const edited = (formula: Formula, change: FormulaEdit): Formula => {
  const result = edit(formula, change);
  if (!result.ok) throw new Error(JSON.stringify(result.problem));
  return result.value;
};
const code = (formula: Formula, change: FormulaEdit): string => {
  const result = edit(formula, change);
  return result.ok ? 'ok' : result.problem.code;
};

describe('totals', () => {
  test('a loaf computed by hand', () => {
    const sum = totals(plainLoaf());
    expect(sum.baseG).toBe(500);
    expect(sum.doughG).toBe(980);
    expect(sum.totalG).toBe(990);
    expect(sum.hydrationPoured).toBeCloseTo(80, 9);
    // 400 poured + 50 g egg at 76 % + 10 g salt at 0.2 %
    expect(sum.hydrationAll).toBeCloseTo((100 * (400 + 38 + 0.02)) / 500, 9);
    expect(sum.saltPercent).toBeCloseTo(2, 9);
    expect(sum.binderPercent).toBeCloseTo(4, 9);
    expect(sum.linePercent.get('water')).toBeCloseTo(80, 9);
    expect(sum.stageG.get('top')).toBe(10);
  });

  test('binders within the 100 % when that is the stated choice', () => {
    const sum = totals({ ...plainLoaf(), percentBase: 'floursAndBinders' });
    expect(sum.baseG).toBe(520);
    expect(sum.hydrationPoured).toBeCloseTo((100 * 400) / 520, 9);
  });

  test('a starter is flour and water: half of it joins the base, half the hidden water', () => {
    const loaf = edited(plainLoaf(), {
      type: 'addLine',
      stageId: 'dough',
      line: line('sorghum-starter', 100),
    });
    const sum = totals(loaf);
    expect(sum.baseG).toBeCloseTo(550, 9);
    expect(sum.hydrationPoured).toBeCloseTo((100 * 400) / 550, 9);
    expect(sum.hydrationAll).toBeCloseTo((100 * (400 + 38.02 + 50)) / 550, 9);
  });

  test('without flour there are masses but no percentages', () => {
    const wet = {
      ...emptyFormula('Wet', 's'),
      stages: [{ ...plainLoaf().stages[0]!, lines: [line('water', 100)] }],
    };
    const sum = totals(wet);
    expect(sum.hydrationAll).toBeNull();
    expect(sum.linePercent.get('water')).toBeNull();
    expect(sum.totalG).toBe(100);
  });

  test('mass is conserved whatever is in it, and the base is what the base lines and starters hold', () => {
    fc.assert(
      fc.property(anyFormula, (formula) => {
        const sum = totals(formula);
        const mass = compensatedSum(allLines(formula).map(({ massG }) => massG));
        expect(Math.abs(sum.totalG - mass)).toBeLessThan(1e-9 * mass);
        expect(compensatedSum(sum.stageG.values())).toBeCloseTo(mass, 6);
        expect(sum.baseG).toBeLessThanOrEqual(mass + 1e-9);
        expect(sum.hydrationAll! >= 0).toBe(true);
      }),
    );
  });
});

describe('taking apart', () => {
  const mixture = (id: string, ...parts: [string, number][]): Ingredient => ({
    ...libraryBook.get('water')!,
    id,
    madeOf: parts.map(([ingredientId, share]) => ({ ingredientId, share })),
  });

  test('to any depth, without losing a milligram', () => {
    const book = new Map(libraryBook)
      .set('inner', mixture('inner', ['millet-flour', 1], ['water', 2]))
      .set('outer', mixture('outer', ['inner', 3], ['salt', 1]));
    const apart = takeApart(book, 'outer', 400);
    expect(apart.ok && apart.value.map(({ ingredient, massG }) => [ingredient.id, massG])).toEqual([
      ['millet-flour', 100],
      ['water', 200],
      ['salt', 100],
    ]);
  });

  test('a mixture that holds itself is refused, and so is one that holds nothing known', () => {
    const book = new Map(libraryBook)
      .set('a', mixture('a', ['b', 1]))
      .set('b', mixture('b', ['a', 1], ['water', 1]))
      .set('c', mixture('c', ['unheard-of', 1]));
    expect(takeApart(book, 'a', 1)).toMatchObject({ ok: false, problem: { code: 'cycle' } });
    expect(takeApart(book, 'c', 1)).toMatchObject({ ok: false, problem: { code: 'unknownIngredient' } });
  });
});

describe('edits', () => {
  test('grams and percent are two sides of one thing', () => {
    fc.assert(
      fc.property(
        anyFormula,
        fc.nat(),
        fc.double({ min: 0.1, max: 60, noNaN: true }),
        (formula, pick, percent) => {
          const { id } = allLines(formula)[pick % allLines(formula).length]!;
          const result = edit(formula, { type: 'setPercent', lineId: id, percent });
          if (!result.ok) return;
          expect(totals(result.value).linePercent.get(id)).toBeCloseTo(percent, 6);
          const { massG } = allLines(result.value).find((each) => each.id === id)!;
          const back = edited(formula, { type: 'setMass', lineId: id, massG });
          if (!totals(formula).baseLineIds.has(id)) {
            expect(totals(back).linePercent.get(id)).toBeCloseTo(percent, 6);
          }
        },
      ),
    );
  });

  test('a flour set by percent holds the base: the other flours give way in proportion, the water stays', () => {
    const loaf = edited(plainLoaf(), { type: 'setPercent', lineId: 'white-rice-flour', percent: 80 });
    expect(totals(loaf).baseG).toBeCloseTo(500, 9);
    expect(allLines(loaf).find(({ id }) => id === 'tapioca-starch')?.massG).toBeCloseTo(100, 9);
    expect(totals(loaf).hydrationPoured).toBeCloseTo(80, 9);
    fc.assert(
      fc.property(anyFormula, fc.double({ min: 1, max: 60, noNaN: true }), (formula, percent) => {
        const result = edit(formula, { type: 'setPercent', lineId: 'f0', percent });
        if (result.ok) expect(totals(result.value).baseG).toBeCloseTo(totals(formula).baseG, 6);
      }),
    );
  });

  test.each<[string, FormulaEdit, string]>([
    ['negative grams', { type: 'setMass', lineId: 'water', massG: -5 }, 'tooSmall'],
    ['no grams', { type: 'setMass', lineId: 'salt', massG: 0 }, 'tooSmall'],
    ['a lorry load', { type: 'setMass', lineId: 'salt', massG: 1e9 }, 'tooLarge'],
    ['not a number', { type: 'setMass', lineId: 'salt', massG: NaN }, 'notANumber'],
    ['900 % water', { type: 'setPercent', lineId: 'water', percent: 900 }, 'tooLarge'],
    ['4.5 kg of water', { type: 'setMass', lineId: 'water', massG: 4500 }, 'tooWet'],
    ['nearly no flour', { type: 'setMass', lineId: 'white-rice-flour', massG: 0 }, 'tooSmall'],
    ['more than all the flour', { type: 'setPercent', lineId: 'tapioca-starch', percent: 100 }, 'tooLarge'],
    ['a line from elsewhere', { type: 'setMass', lineId: 'nowhere', massG: 5 }, 'unknownLine'],
    [
      'an unheard-of ingredient',
      { type: 'setIngredient', lineId: 'water', ingredientId: 'moon-dust' },
      'unknownIngredient',
    ],
    ['an empty name', { type: 'rename', name: '   ' }, 'required'],
    ['a megabyte of name', { type: 'rename', name: 'a'.repeat(1_000_000) }, 'tooLong'],
    ['a bell in the name', { type: 'rename', name: 'Loaf\u0007' }, 'control'],
    ['half a surrogate', { type: 'setAbout', about: '\ud83c' }, 'control'],
    [
      'an oven of 5000 °C',
      { type: 'setStep', step: { ...plainLoaf().steps[0]!, kind: 'bake', tempC: 5000 } },
      'tooLarge',
    ],
    [
      'a proof in boiling heat',
      { type: 'setStep', step: { ...plainLoaf().steps[1]!, tempC: 95 } },
      'tooLarge',
    ],
    [
      'a range turned round',
      { type: 'setStep', step: { ...plainLoaf().steps[1]!, maxS: 60 } },
      'rangeReversed',
    ],
    ['the same line twice', { type: 'addLine', stageId: 'dough', line: line('water', 5) }, 'duplicateId'],
  ])('%s is refused and changes nothing', (_, change, expected) => {
    const before = plainLoaf();
    expect(code(before, change)).toBe(expected);
    expect(before).toEqual(plainLoaf());
  });

  test('a wet sheet may be dried, and emoji are letters like others', () => {
    const wet = {
      ...plainLoaf(),
      stages: [{ ...plainLoaf().stages[0]!, lines: [line('potato-starch', 50), line('water', 400)] }],
    };
    expect(checkFormula(wet, libraryBook).map((problem) => problem.code)).toEqual(['tooWet']);
    expect(code(wet, { type: 'setMass', lineId: 'water', massG: 390 })).toBe('ok');
    expect(code(plainLoaf(), { type: 'rename', name: 'Birthday 🎂' })).toBe('ok');
  });

  test('the only flour is the whole of the 100 %', () => {
    const one = edited(plainLoaf(), { type: 'removeLine', lineId: 'tapioca-starch' });
    expect(code(one, { type: 'setPercent', lineId: 'white-rice-flour', percent: 50 })).toBe('onlyFlour');
    const none = edited(one, { type: 'removeLine', lineId: 'white-rice-flour' });
    expect(code(none, { type: 'setPercent', lineId: 'water', percent: 50 })).toBe('noShareWithoutFlour');
  });

  test('moving a line keeps every line, wherever it goes', () => {
    fc.assert(
      fc.property(
        anyFormula,
        fc.nat(),
        fc.boolean(),
        fc.integer({ min: -3, max: 30 }),
        (formula, pick, late, toIndex) => {
          const lines = allLines(formula);
          const { id } = lines[pick % lines.length]!;
          const after = edited(formula, {
            type: 'moveLine',
            lineId: id,
            toStageId: late ? 'b' : 'a',
            toIndex,
          });
          expect(
            allLines(after)
              .map((each) => each.id)
              .sort(),
          ).toEqual(lines.map((each) => each.id).sort());
          expect(after.stages[late ? 1 : 0]!.lines.some((each) => each.id === id)).toBe(true);
        },
      ),
    );
  });

  test('stages and steps come, move and go; the last stage stays', () => {
    let loaf = edited(plainLoaf(), { type: 'removeStage', stageId: 'top' });
    expect(code(loaf, { type: 'removeStage', stageId: 'dough' })).toBe('lastStage');
    loaf = edited(loaf, { type: 'addStep', kind: 'cool', id: 'cool', atIndex: 99 });
    loaf = edited(loaf, { type: 'moveStep', stepId: 'cool', toIndex: 0 });
    expect(loaf.steps.map(({ id }) => id)).toEqual(['cool', 'mix', 'proof']);
    loaf = edited(loaf, { type: 'removeStep', stepId: 'mix' });
    expect(formulaSchema.safeParse(loaf).success).toBe(true);
  });
});

describe('the whole formula', () => {
  test('two things with one id, and an ingredient nobody knows, are found with their path', () => {
    const loaf = plainLoaf();
    loaf.stages[1]!.lines[0] = line('moon-dust', 5, 'water');
    expect(checkFormula(loaf, libraryBook)).toMatchObject([
      { code: 'duplicateId', path: 'stages' },
      { code: 'unknownIngredient', path: 'stages.1.lines.0.ingredientId' },
    ]);
  });

  test('a new ingredient starts at a plausible weight', () => {
    const sum = totals(plainLoaf());
    expect(firstMassG(libraryBook.get('salt')!, sum)).toBe(10);
    expect(firstMassG(libraryBook.get('millet-flour')!, sum)).toBe(100);
    expect(firstMassG(libraryBook.get('water')!, { baseG: 500, hydrationPoured: 0 })).toBe(400);
    for (const ingredient of libraryBook.values()) expect(firstMassG(ingredient, sum)).toBeGreaterThan(0);
  });

  test('differences are told line by line', () => {
    const from = plainLoaf();
    let to = edited(from, { type: 'setMass', lineId: 'water', massG: 420 });
    to = edited(to, { type: 'removeLine', lineId: 'egg-whole' });
    to = edited(to, { type: 'addLine', stageId: 'dough', line: line('honey', 12) });
    to = edited(to, { type: 'setIngredient', lineId: 'tapioca-starch', ingredientId: 'potato-starch' });
    to = edited(to, { type: 'removeStep', stepId: 'mix' });
    expect(compareFormulas(from, to)).toEqual([
      { kind: 'swapped', fromId: 'tapioca-starch', toId: 'potato-starch', fromG: 200, toG: 200 },
      { kind: 'mass', ingredientId: 'water', fromG: 400, toG: 420 },
      { kind: 'added', ingredientId: 'honey', massG: 12 },
      { kind: 'removed', ingredientId: 'egg-whole', massG: 50 },
      { kind: 'method', changed: 0, added: 0, removed: 1 },
    ]);
    expect(compareFormulas(from, from)).toEqual([]);
    expect(compareFormulas(from, { ...from, about: 'x' })).toEqual([{ kind: 'other' }]);
  });
});

describe('history', () => {
  test('keystrokes in one cell are one step back; leaving the cell begins another', () => {
    const [a, b, c, d] = ['a', 'b', 'c', 'd'].map((name) => ({ ...plainLoaf(), name })) as [
      Formula,
      Formula,
      Formula,
      Formula,
    ];
    let history = record(startHistory(a), b, 'name');
    history = record(history, c, 'name');
    expect(undo(history).present.name).toBe('a');
    history = record(settle(history), d, 'name');
    expect(undo(history).present.name).toBe('c');
    expect(redo(undo(history)).present.name).toBe('d');
    expect(undo(undo(undo(undo(history)))).present.name).toBe('a');
    expect(record(undo(history), b, null).future).toEqual([]);
  });

  test('what was typed on the way to a refusal is taken back; what another cell holds is not', () => {
    const [a, b, c] = ['a', 'b', 'c'].map((name) => ({ ...plainLoaf(), name })) as [
      Formula,
      Formula,
      Formula,
    ];
    const typing = record(record(startHistory(a), b, 'name'), c, 'name');
    expect(takeBack(typing, 'name').present.name).toBe('a');
    expect(takeBack(typing, 'about').present.name).toBe('c');
    expect(takeBack(settle(typing), 'name').present.name).toBe('c');
    expect(takeBack(takeBack(typing, 'name'), 'name').present.name).toBe('a');
  });
});
