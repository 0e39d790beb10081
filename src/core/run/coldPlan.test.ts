import { ordinaryScales } from '../batch';
import { loafSheet } from '../batch/testBatch';
import { coldCourse, stateOf, type BakeAction, type BakeRecord } from '../bake';
import type { Formula } from '../formula';
import { line, plainLoaf } from '../formula/testFormulas';
import { libraryBook } from '../ingredients';
import { newStep } from '../method';
import { coldPlans, ORDINARY_KITCHEN, riseAsked, riseNow } from '.';

const T0 = 1_000_000_000;
const HOUR = 3600;
const formula: Formula = {
  ...plainLoaf(),
  stages: plainLoaf().stages.map((stage, index) =>
    index === 0 ? { ...stage, lines: [...stage.lines, line('instant-yeast', 6)] } : stage,
  ),
  steps: [
    { ...newStep('mix', 'mix'), minS: 300, tempC: 26 },
    { ...newStep('proof', 'proof'), minS: HOUR, tempC: 28, cue: { kind: 'grown', percent: 30 } },
    { ...newStep('bake', 'bake'), minS: 2400, tempC: 220 },
  ],
};
const bake: BakeRecord = {
  id: 'b', formulaId: 'f', revision: 1, startedAtMs: T0, sheet: loafSheet(980, ordinaryScales, 1, formula),
  events: ([{ type: 'stepDone', stepId: 'mix' }, { type: 'timerStarted', stepId: 'proof', durationS: HOUR }] as BakeAction[])
    .map((action, index) => ({ seq: index + 1, atMs: T0, action })),
}; // prettier-ignore
const NOW = T0 + 15 * 60_000;
const ask = (record: BakeRecord, stepId: string, nowMs = NOW) => riseAsked(record, stateOf(record), stepId, formula, libraryBook, ORDINARY_KITCHEN, nowMs)!; // prettier-ignore

test('a cold dough has to come to itself first: longer in there is longer out of it, and its gas shrinks with the cold', () => {
  const asked = ask(bake, 'proof');
  const plans = [2, 6, 10, 16].map((hours) => coldPlans(asked, 5, NOW)(hours * HOUR)!);
  expect(plans.map(({ onS, grownPercent, sinks }) => [Math.round(onS! / 60), Math.round(grownPercent), sinks])).toEqual([[0, 30, false], [36, 26, false], [47, 24, false], [55, 22, false]]); // prettier-ignore
  const [night, days] = [10, 72].map((hours) => coldPlans(asked, 5, NOW)(hours * HOUR)!);
  expect([night!.sinks, days!.sinks, days!.onS]).toEqual([false, true, null]);
  expect(days!.most.percent).toBeLessThan(night!.most.percent / 2);
  // a fridge that is hardly cold is no fridge: it goes on in there
  const mild = coldPlans(asked, 13, NOW)(6 * HOUR)!;
  expect(mild.onS!).toBeLessThan(plans[1]!.onS!);
  expect(mild.grownPercent).toBeGreaterThan(plans[1]!.grownPercent);
});

test('what it says is what the bench says when it comes out: the course it makes is forecast to the same minute', () => {
  const asked = ask(bake, 'proof');
  const coldS = 10 * HOUR;
  const plan = coldPlans(asked, ORDINARY_KITCHEN.fridgeC, NOW)(coldS)!;
  const before = stateOf(bake);
  const course = coldCourse(bake.sheet, before, 'proof', coldS, plan, NOW);
  const outMs = NOW + coldS * 1000;
  const [coldId, onId] = ['cold-3', 'on-3'];
  const later: [number, BakeAction][] = [
    ...course.map((action): [number, BakeAction] => [NOW, action]),
    [outMs, { type: 'stepDone', stepId: coldId }],
  ];
  const record = { ...bake, events: [...bake.events, ...later.map(([atMs, action], index) => ({ seq: index + 3, atMs, action }))] }; // prettier-ignore
  const out = riseNow(ask(record, onId, outMs + 60_000))!;
  expect(Math.abs(out.ready!.value! - (outMs + plan.onS! * 1000))).toBeLessThan(5 * 60_000);
});
