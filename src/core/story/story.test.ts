import fc from 'fast-check';
import { applyEdit, type Formula, type FormulaEdit } from '../formula';
import { anyFormula, line, plainLoaf } from '../formula/testFormulas';
import { libraryBook } from '../ingredients';
import { storyOf } from '.';

function edited(...edits: FormulaEdit[]): Formula {
  return edits.reduce((formula, edit) => {
    const next = applyEdit(formula, edit, libraryBook);
    if (!next.ok) throw new Error(next.problem.code);
    return next.value;
  }, plainLoaf());
}
const told = (to: Formula, from = plainLoaf()) => storyOf(from, to, libraryBook);

test('a story is told in shares, largest change first, with what follows from it', () => {
  const after = edited(
    { type: 'setMass', lineId: 'water', massG: 410 },
    { type: 'setMass', lineId: 'psyllium-husk', massG: 25 },
    { type: 'removeLine', lineId: 'egg-whole' },
    { type: 'addLine', stageId: 'dough', line: line('honey', 10) },
  );
  expect(told(after).slice(0, 4)).toEqual([
    { kind: 'came', ingredientId: 'honey', percent: 2, massG: 10 },
    { kind: 'went', ingredientId: 'egg-whole', percent: 10, massG: 50 },
    { kind: 'share', ingredientId: 'psyllium-husk', from: 4, to: 5 },
    { kind: 'share', ingredientId: 'water', from: 80, to: 82 },
  ]);
  expect(told(after).map(({ kind }) => kind)).toContain('hydration');
});

test('changes of one size stand in the order of the sheet, whatever the last digits of their figures say', () => {
  // all of these by one factor on the same flours; for some factors their quotients differ in the last digit
  const moved = ['psyllium-husk', 'water', 'egg-whole', 'salt'];
  const was = new Map(plainLoaf().stages[0]!.lines.map(({ id, massG }) => [id, massG]));
  for (let factor = 0.2; factor < 0.6; factor += 0.0137) {
    const edits = moved.map((lineId): FormulaEdit => ({
      type: 'setMass',
      lineId,
      massG: was.get(lineId)! * factor,
    }));
    for (const order of [edits, [...edits].reverse()])
      expect(
        told(edited(...order)).flatMap((turn) => (turn.kind === 'share' ? [turn.ingredientId] : [])),
      ).toEqual(moved);
  }
});

test('a larger batch is one word, moving a line none, a step is told by what changed in it', () => {
  const doubled: Formula = {
    ...plainLoaf(),
    stages: plainLoaf().stages.map((stage) => ({
      ...stage,
      lines: stage.lines.map((each) => ({ ...each, massG: each.massG * 2 })),
    })),
  };
  expect(told(doubled)).toEqual([{ kind: 'size', factor: 2 }]);
  expect(
    told(edited({ type: 'moveLine', lineId: 'salt', toStageId: 'top', toIndex: 0 })).map(({ kind }) => kind),
  ).toEqual(['words']);
  const step = plainLoaf().steps[1]!;
  expect(told(edited({ type: 'setStep', step: { ...step, minS: 1800 } }))).toMatchObject([
    { kind: 'step', change: 'time' },
  ]);
  expect(told(edited({ type: 'setStep', step: { ...step, tempC: 30 } }))).toMatchObject([
    { kind: 'step', change: 'heat' },
  ]);
  expect(told(edited({ type: 'removeStep', stepId: step.id }))).toMatchObject([
    { kind: 'step', change: 'gone' },
  ]);
  expect(told(edited({ type: 'rename', name: 'New' }))).toEqual([
    { kind: 'name', from: 'Plain loaf', to: 'New' },
  ]);
});

test('no difference is no story, and any difference has one', () => {
  fc.assert(
    fc.property(anyFormula, anyFormula, (from, to) => {
      expect(storyOf(from, from, libraryBook)).toEqual([]);
      if (JSON.stringify(from) !== JSON.stringify(to))
        expect(storyOf(from, to, libraryBook).length).toBeGreaterThan(0);
    }),
    { numRuns: 60 },
  );
});
