import { libraryBook } from '../ingredients';
import { newStep } from '../method';
import { allLines, applyEdit, formulaTotals, type Formula, type FormulaEdit } from '.';
import { line, plainLoaf } from './testFormulas';

const answer = (formula: Formula, edit: FormulaEdit) => applyEdit(formula, edit, libraryBook);
const after = (edit: FormulaEdit, formula = plainLoaf()): Formula => {
  const made = answer(formula, edit);
  if (!made.ok) throw new Error(JSON.stringify(made.problem));
  return made.value;
};
const [dough, top] = plainLoaf().stages as [Formula['stages'][number], Formula['stages'][number]];
const [mix, proof] = plainLoaf().steps as [Formula['steps'][number], Formula['steps'][number]];
const usualYield = { pieces: 3, pieceMassG: 300, bakeLossPercent: 10, bowlLossPercent: 2 };
const bakedAs = { shape: 'roll' } as unknown as NonNullable<Formula['bakedAs']>;
const measured = { said: 'a spoon', lowG: 8, highG: 12 };
const lines = (stage: typeof dough, put: (line: (typeof dough)['lines'][number]) => object) => ({
  ...stage,
  lines: stage.lines.map((each) => ({ ...each, ...put(each) })),
});
const saltBecomes = (part: object) => [lines(dough, ({ id }) => (id === 'salt' ? part : {})), top];

test.each<[FormulaEdit, Partial<Record<keyof Formula, unknown>>]>([
  [{ type: 'rename', name: 'Other' }, { name: 'Other' }],
  [{ type: 'setStyle', style: 'rolls' }, { style: 'rolls' }],
  [{ type: 'setAbout', about: 'Two\nlines' }, { about: 'Two\nlines' }],
  [{ type: 'setPercentBase', percentBase: 'floursAndBinders' }, { percentBase: 'floursAndBinders' }],
  [{ type: 'setBakedAs', bakedAs }, { bakedAs }],
  [{ type: 'setYield', usualYield }, { usualYield }],
  [{ type: 'setMass', lineId: 'salt', massG: 9 }, { stages: saltBecomes({ massG: 9 }) }],
  [{ type: 'setMass', lineId: 'salt', massG: 9, measured }, { stages: saltBecomes({ massG: 9, measured }) }],
  [{ type: 'setPercent', lineId: 'salt', percent: 2.5 }, { stages: saltBecomes({ massG: 12.5 }) }],
  [
    { type: 'setIngredient', lineId: 'salt', ingredientId: 'sugar' },
    { stages: saltBecomes({ ingredientId: 'sugar' }) },
  ],
  [{ type: 'setLineNote', lineId: 'salt', note: 'fine' }, { stages: saltBecomes({ note: 'fine' }) }],
  [
    { type: 'addLine', stageId: 'top', line: line('sesame-seed', 5) },
    { stages: [dough, { ...top, lines: [...top.lines, line('sesame-seed', 5)] }] },
  ],
  [
    { type: 'removeLine', lineId: 'salt' },
    { stages: [{ ...dough, lines: dough.lines.filter(({ id }) => id !== 'salt') }, top] },
  ],
  [
    { type: 'moveLine', lineId: 'salt', toStageId: 'top', toIndex: 0 },
    {
      stages: [
        { ...dough, lines: dough.lines.filter(({ id }) => id !== 'salt') },
        { ...top, lines: [line('salt', 10), ...top.lines] },
      ],
    },
  ],
  [
    { type: 'addStage', stage: { id: 'late', kind: 'late', name: 'Later', lines: [] } },
    { stages: [dough, top, { id: 'late', kind: 'late', name: 'Later', lines: [] }] },
  ],
  [
    { type: 'setStage', stageId: 'top', name: 'In the end', kind: 'late' },
    { stages: [dough, { ...top, name: 'In the end', kind: 'late' }] },
  ],
  [{ type: 'removeStage', stageId: 'top' }, { stages: [dough] }],
  [{ type: 'addStep', kind: 'bake', id: 'b', atIndex: 1 }, { steps: [mix, newStep('bake', 'b'), proof] }],
  [{ type: 'addStep', kind: 'bake', id: 'b', atIndex: -4 }, { steps: [newStep('bake', 'b'), mix, proof] }],
  [{ type: 'addStep', kind: 'bake', id: 'b', atIndex: 99 }, { steps: [mix, proof, newStep('bake', 'b')] }],
  [{ type: 'setStep', step: { ...proof, maxS: 3600 } }, { steps: [mix, { ...proof, maxS: 3600 }] }],
  [{ type: 'setStep', step: { ...proof, tempC: null } }, { steps: [mix, { ...proof, tempC: null }] }],
  [{ type: 'removeStep', stepId: 'mix' }, { steps: [proof] }],
  [{ type: 'moveStep', stepId: 'proof', toIndex: 0 }, { steps: [proof, mix] }],
  [{ type: 'bringBack', formula: { ...plainLoaf(), name: 'As it was' } }, { name: 'As it was' }],
])('%j does just that', (edit, changed) => {
  expect(after(edit)).toEqual({ ...plainLoaf(), ...changed });
});

const long = (letters: number) => 'a'.repeat(letters + 1);
const many = <T>(count: number, make: (index: number) => T): T[] =>
  Array.from({ length: count }, (_, index) => make(index));
const fullStage: Formula = {
  ...plainLoaf(),
  stages: [dough, { ...top, lines: many(60, (n) => line('poppy-seed', 1, `p${n}`)) }],
};
const fullSheet: Formula = { ...plainLoaf(), stages: many(16, (n) => ({ ...top, id: `s${n}`, lines: [] })) };
const fullMethod: Formula = { ...plainLoaf(), steps: many(60, (n) => newStep('rest', `r${n}`)) };

test.each<[string, FormulaEdit, object, Formula?]>([
  ['an empty name', { type: 'rename', name: ' ' }, { code: 'required', path: 'name' }],
  ['a long name', { type: 'rename', name: long(80) }, { code: 'tooLong', path: 'name', params: { max: 80 } }],
  [
    'a long text',
    { type: 'setAbout', about: long(4000) },
    { code: 'tooLong', path: 'about', params: { max: 4000 } },
  ],
  [
    'a long note',
    { type: 'setLineNote', lineId: 'salt', note: long(160) },
    { code: 'tooLong', path: 'note', params: { max: 160 } },
  ],
  [
    'no mass',
    { type: 'setMass', lineId: 'salt', massG: 0 },
    { code: 'tooSmall', path: 'massG', params: { min: 0.01 } },
  ],
  [
    'a mass on no line',
    { type: 'setMass', lineId: 'none', massG: 5 },
    { code: 'unknownLine', path: 'massG' },
  ],
  [
    'a flood',
    { type: 'setMass', lineId: 'water', massG: 4500 },
    { code: 'tooWet', path: 'massG', params: { percent: 908, max: 400 } },
  ],
  [
    'a share of no line',
    { type: 'setPercent', lineId: 'none', percent: 5 },
    { code: 'unknownLine', path: 'percent' },
  ],
  [
    'a share of nothing',
    { type: 'setPercent', lineId: 'salt', percent: 0 },
    { code: 'tooSmall', path: 'percent', params: { min: 0.001 } },
  ],
  [
    'a share too small to weigh',
    { type: 'setPercent', lineId: 'salt', percent: 0.0015 },
    { code: 'tooSmall', path: 'percent', params: { min: 0.01 } },
  ],
  [
    'a share without flour',
    { type: 'setPercent', lineId: 'poppy-seed', percent: 5 },
    { code: 'noShareWithoutFlour', path: 'percent' },
    { ...plainLoaf(), stages: [top] },
  ],
  [
    'another share than all of the only flour',
    { type: 'setPercent', lineId: 'tapioca-starch', percent: 50 },
    { code: 'onlyFlour', path: 'percent', params: { percent: 100 } },
    { ...plainLoaf(), stages: [{ ...dough, lines: [line('tapioca-starch', 500), line('water', 400)] }] },
  ],
  [
    'all of two flours',
    { type: 'setPercent', lineId: 'tapioca-starch', percent: 100 },
    { code: 'tooLarge', path: 'percent', params: { max: 99.9 } },
  ],
  [
    'more starter than flour can be',
    { type: 'setPercent', lineId: 'sorghum-starter', percent: 200 },
    { code: 'tooLarge', path: 'percent', params: { max: 196 } },
    {
      ...plainLoaf(),
      stages: [{ ...dough, lines: [line('white-rice-flour', 400), line('sorghum-starter', 100)] }],
    },
  ],
  [
    'an ingredient nobody knows',
    { type: 'setIngredient', lineId: 'salt', ingredientId: 'sand' },
    { code: 'unknownIngredient', path: 'ingredientId' },
  ],
  [
    'a line of it',
    { type: 'addLine', stageId: 'top', line: line('sand', 5) },
    { code: 'unknownIngredient', path: 'ingredientId' },
  ],
  [
    'a line without weight',
    { type: 'addLine', stageId: 'top', line: line('sesame-seed', 0) },
    { code: 'tooSmall', path: 'massG', params: { min: 0.01 } },
  ],
  [
    'a line in no part',
    { type: 'addLine', stageId: 'none', line: line('sesame-seed', 5) },
    { code: 'unknownStage', path: 'stageId' },
  ],
  [
    'a line twice',
    { type: 'addLine', stageId: 'top', line: line('salt', 5) },
    { code: 'duplicateId', path: 'id' },
  ],
  [
    'the sixty-first line',
    { type: 'addLine', stageId: 'top', line: line('sesame-seed', 5) },
    { code: 'tooMany', path: 'lines', params: { max: 60 } },
    fullStage,
  ],
  [
    'no line moved',
    { type: 'moveLine', lineId: 'none', toStageId: 'top', toIndex: 0 },
    { code: 'unknownLine', path: 'lineId' },
  ],
  [
    'a line moved nowhere',
    { type: 'moveLine', lineId: 'salt', toStageId: 'none', toIndex: 0 },
    { code: 'unknownStage', path: 'stageId' },
  ],
  [
    'one part too many',
    { type: 'addStage', stage: { ...top, id: 'new' } },
    { code: 'tooMany', path: 'stages', params: { max: 16 } },
    fullSheet,
  ],
  [
    'a long name of a part',
    { type: 'setStage', stageId: 'top', name: long(40), kind: 'late' },
    { code: 'tooLong', path: 'name', params: { max: 40 } },
  ],
  [
    'the last part',
    { type: 'removeStage', stageId: 'dough' },
    { code: 'lastStage', path: 'stages' },
    { ...plainLoaf(), stages: [dough] },
  ],
  [
    'the sixty-first step',
    { type: 'addStep', kind: 'rest', id: 'new', atIndex: 0 },
    { code: 'tooMany', path: 'steps', params: { max: 60 } },
    fullMethod,
  ],
  [
    'no step moved',
    { type: 'moveStep', stepId: 'none', toIndex: 0 },
    { code: 'unknownStep', path: 'stepId' },
  ],
  ...(
    [
      ['title', { title: long(60) }, 'tooLong', { max: 60 }],
      ['until', { until: long(240) }, 'tooLong', { max: 240 }],
      ['note', { note: long(240) }, 'tooLong', { max: 240 }],
      ['minS', { minS: 0, maxS: null }, 'tooSmall', { min: 1 }],
      ['maxS', { maxS: 604_801 }, 'tooLarge', { max: 604_800 }],
      ['maxS', { minS: null, maxS: 60 }, 'rangeReversed', undefined],
      ['maxS', { minS: 60, maxS: 59 }, 'rangeReversed', undefined],
    ] as const
  ).map(([path, part, code, params]): [string, FormulaEdit, object] => [
    `a step with ${JSON.stringify(part).slice(0, 40)}`,
    { type: 'setStep', step: { ...mix, ...part } },
    { code, path, ...(params && { params }) },
  ]),
])('%s is refused at its field', (_, edit, problem, formula = plainLoaf()) => {
  const refused = answer(formula, edit);
  expect(refused.ok ? null : refused.problem).toEqual(problem);
});

test('up to each limit there is room', () => {
  const room = <K extends 'stages' | 'steps'>(formula: Formula, of: K, edit: FormulaEdit) =>
    answer({ ...formula, [of]: formula[of].slice(1) }, edit).ok;
  expect(room(fullSheet, 'stages', { type: 'addStage', stage: { ...top, id: 'new', lines: [] } })).toBe(true);
  expect(room(fullMethod, 'steps', { type: 'addStep', kind: 'rest', id: 'new', atIndex: 0 })).toBe(true);
  const short = { ...fullStage, stages: [dough, { ...top, lines: fullStage.stages[1]!.lines.slice(1) }] };
  expect(answer(short, { type: 'addLine', stageId: 'top', line: line('salt', 5, 'new') }).ok).toBe(true);
});

test('a step’s warmth must suit its kind', () => {
  const warm = (tempC: number) => answer(plainLoaf(), { type: 'setStep', step: { ...mix, tempC } });
  expect(warm(100).ok).toBe(true);
  const refused = warm(101);
  expect(refused.ok ? null : refused.problem).toMatchObject({ code: 'tooLarge', path: 'tempC' });
});

test('a starter set by percent: the flour it brings counts in what it is measured against', () => {
  const formula = {
    ...plainLoaf(),
    stages: [{ ...dough, lines: [line('white-rice-flour', 400), line('sorghum-starter', 100)] }],
  };
  // half of a starter is flour: 30 % of 400 + m/2 is m for 120 / 0.85
  const made = after({ type: 'setPercent', lineId: 'sorghum-starter', percent: 30 }, formula);
  expect(allLines(made)[1]!.massG).toBeCloseTo(120 / 0.85, 9);
  expect(formulaTotals(made, libraryBook).linePercent.get('sorghum-starter')).toBeCloseTo(30, 9);
});

test('beside flour that sits in a starter a flour can be no more than what is left', () => {
  const formula = {
    ...plainLoaf(),
    stages: [{ ...dough, lines: [line('white-rice-flour', 400), line('sorghum-starter', 200)] }],
  };
  const share = (percent: number) =>
    answer(formula, { type: 'setPercent', lineId: 'white-rice-flour', percent });
  expect(share(80).ok).toBe(true);
  const refused = share(79);
  expect(refused.ok ? null : refused.problem).toMatchObject({ code: 'onlyFlour', path: 'percent' });
  expect(refused.ok ? 0 : (refused.problem.params?.percent as number)).toBeCloseTo(80, 9);
});

test('one of three flours takes from the others in proportion, each as long as it can be weighed', () => {
  const formula = {
    ...plainLoaf(),
    stages: [
      {
        ...dough,
        lines: [line('white-rice-flour', 300), line('tapioca-starch', 199.9), line('teff-flour', 0.1)],
      },
    ],
  };
  const made = after({ type: 'setPercent', lineId: 'white-rice-flour', percent: 80 }, formula);
  expect(allLines(made).map(({ massG }) => massG)).toEqual([
    expect.closeTo(400, 9),
    expect.closeTo(99.95, 9),
    expect.closeTo(0.05, 9),
  ]);
  const refused = answer(formula, { type: 'setPercent', lineId: 'white-rice-flour', percent: 98 });
  expect(refused.ok ? null : refused.problem).toMatchObject({ code: 'tooLarge', params: { max: 99.9 } });
});

test('what is too wet already may be dried or left, not wetted; without flour nothing is wet', () => {
  const wet = {
    ...plainLoaf(),
    stages: [{ ...dough, lines: [line('tapioca-starch', 100), line('water', 450), line('salt', 2)] }],
  };
  const water = (massG: number) => answer(wet, { type: 'setMass', lineId: 'water', massG });
  expect(water(440).ok).toBe(true);
  expect(water(450).ok).toBe(true);
  expect(water(450.1)).toMatchObject({ problem: { code: 'tooWet', params: { percent: 450, max: 400 } } });
  const atMost = { ...wet, stages: [{ ...dough, lines: [line('tapioca-starch', 100), line('water', 300)] }] };
  expect(answer(atMost, { type: 'setMass', lineId: 'water', massG: 400 }).ok).toBe(true);
  expect(answer(atMost, { type: 'setMass', lineId: 'water', massG: 400.1 }).ok).toBe(false);
});

test('what an edit leaves alone stays the very same object', () => {
  const before = plainLoaf();
  expect(after({ type: 'setMass', lineId: 'salt', massG: 9 }, before).stages[1]).toBe(before.stages[1]);
  const held = after({ type: 'setPercent', lineId: 'white-rice-flour', percent: 60 }, before);
  expect(held.stages[0]!.lines[0]).toBe(before.stages[0]!.lines[0]);
});
