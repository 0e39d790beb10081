import { formulaAnswers } from '../notices';
import { libraryBook } from '../ingredients';
import { newStep, type MethodStep, type StepKind } from '../method';
import { assumedIn, forecastRun, ORDINARY_KITCHEN, runOf, stepOfProblem } from '.';
import { rollsWithMethod } from './testRuns';

const step = (kind: StepKind, part: Partial<MethodStep> = {}): MethodStep => ({
  ...newStep(kind, kind),
  ...part,
});

test('what a method leaves open is told step by step, with what was taken; hands’ short steps are not', () => {
  expect(
    assumedIn({
      steps: [
        step('mix'),
        step('bulk'),
        step('proof', { minS: 3000, stands: { place: 'warm' } }),
        step('shape'),
        step('boil', { minS: 60, sides: 2 }),
        step('fry'),
        step('griddle', { minS: 120 }),
        step('bake', { minS: 1500, tempC: 205 }),
        step('chill'),
        step('cool', { minS: 3600 }),
      ],
    }),
  ).toEqual([
    { stepId: 'bulk', takenS: 5400, takenC: null, inRoom: true },
    { stepId: 'fry', takenS: 300, takenC: 165, inRoom: false },
    { stepId: 'griddle', takenS: null, takenC: 220, inRoom: false },
    { stepId: 'chill', takenS: 43_200, takenC: null, inRoom: false },
  ]);
  // a temperature of its own says where as well as a place does
  expect(assumedIn({ steps: [step('proof', { minS: 60, tempC: 28 })] })).toEqual([]);
});

test('a step nobody could bake by is named, and the rise is there all the same', () => {
  const asked = (bakes: Partial<MethodStep>[]) => {
    const rolls = rollsWithMethod();
    const steps = rolls.steps.flatMap((each) =>
      each.kind === 'bake' ? bakes.map((part, at) => ({ ...each, id: `bake-${at}`, ...part })) : [each],
    );
    const formula = { ...rolls, steps };
    const answers = formulaAnswers(formula, libraryBook);
    const run = runOf(formula, libraryBook, answers.totals, answers.consistency, ORDINARY_KITCHEN);
    if (!run.ok) throw new Error(run.problem.code);
    const working = forecastRun(run.value, answers.consistency!);
    for (;;) {
      const next = working.next();
      if (!next.done) continue;
      if (!next.value.ok) throw new Error(next.value.problem.code);
      const { bakeProblem, rise } = next.value.value;
      expect(rise.end.volume).toBeGreaterThan(1.2);
      return bakeProblem && stepOfProblem(run.value, bakeProblem);
    }
  };
  // on again after it was off: the second of two
  expect(asked([{ heat: { moist: 'dry' } }, { heat: { moist: 'lid' } }])).toBe('bake-1');
  expect(asked([{}, { tempC: 600 }])).toBe('bake-1');
  expect(asked([{ tempC: 20 }])).toBe('bake-0');
  expect(stepOfProblem({ bake: null }, { code: 'tooSmall', path: 'phases.0.setC' })).toBeNull();
  expect(asked([{}])).toBeNull();
});
