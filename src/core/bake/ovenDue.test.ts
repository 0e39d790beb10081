import { newStep } from '../method/step';
import type { BakeAction } from './bakeEvent';
import { bakeState } from './bakeState';
import { ovenDue, type OvenWanted } from './ovenDue';

const MIN = 60_000;
const step = (
  ...[kind, minS, tempC = null]: [Parameters<typeof newStep>[0], number | null, (number | null)?]
) => ({ ...newStep(kind, kind), minS, tempC });
const sheet = {
  steps: [
    step('mix', 600),
    step('proof', 3600),
    step('preheat', 1500, 230),
    step('score', null),
    step('bake', 2400, 230),
    step('cool', 7200),
  ],
};
const after = (...actions: [number, BakeAction][]) => bakeState(0, actions.map(([min, action], at) => ({ seq: at + 1, atMs: min * MIN, action }))); // prettier-ignore
const mixed: [number, BakeAction] = [10, { type: 'stepDone', stepId: 'mix' }];
const proofing: [number, BakeAction] = [12, { type: 'timerStarted', stepId: 'proof', durationS: 3600 }];
const half = (_: OvenWanted) => 1800;

test('the oven is called for while the dough still rises: so long before it is wanted as it takes to be hot', () => {
  // ten minutes of mixing, an hour, five to score: at 75; half an hour to heat
  expect(ovenDue(sheet, after(), half, 0)).toEqual({ stepId: 'bake', preheatId: 'preheat', ovenId: null, setC: 230, plate: null, wantedMs: 75 * MIN, atMs: 45 * MIN });
  expect(ovenDue(sheet, after(mixed, proofing), half, 30 * MIN)).toMatchObject({ wantedMs: 77 * MIN, atMs: 47 * MIN });
  // not risen at its time: what is called later follows
  const notYet: [number, BakeAction] = [74, { type: 'notYet', stepId: 'proof', againS: 600 }];
  expect(ovenDue(sheet, after(mixed, proofing, notYet), half, 74 * MIN)).toMatchObject({ wantedMs: 89 * MIN });
}); // prettier-ignore

test('asked for its time with its stone; where no oven is known, as the method says', () => {
  const asked: OvenWanted[] = [];
  const stone = {
    ...sheet,
    steps: sheet.steps.map((each) =>
      each.kind === 'bake' ? { ...each, heat: { on: 'stone' as const, ovenId: 'deck' } } : each,
    ),
  };
  ovenDue(stone, after(), (wanted) => {
    asked.push(wanted);
    return 2700;
  }, 0); // prettier-ignore
  expect(asked).toEqual([{ ovenId: 'deck', setC: 230, plate: 'stone' }]);
  expect(ovenDue(sheet, after(), () => null, 0)?.atMs).toBe(50 * MIN);
});

test('lit for what the method heats it up to, which may be hotter than it bakes at', () => {
  const hotter = { steps: sheet.steps.map((each) => (each.kind === 'preheat' ? { ...each, tempC: 245 } : each)) };
  expect(ovenDue(hotter, after(), half, 0)?.setC).toBe(245);
  expect(ovenDue({ steps: sheet.steps.filter(({ kind }) => kind !== 'preheat') }, after(), half, 0)).toMatchObject({ setC: 230, preheatId: null });
}); // prettier-ignore

test('no more once it is lit, heats, or has had a load; nor where nothing is baked, or how hot is not said', () => {
  const none = (of = sheet, ...actions: [number, BakeAction][]) => ovenDue(of, after(...actions), half, 20 * MIN);
  expect(none(sheet, mixed, [15, { type: 'lit', ovenId: null, setC: 230 }])).toBeNull();
  expect(none(sheet, mixed, [15, { type: 'timerStarted', stepId: 'preheat', durationS: 1500 }])).toBeNull();
  expect(none(sheet, mixed, [15, { type: 'stepDone', stepId: 'preheat' }])).toBeNull();
  expect(none(sheet, [15, { type: 'timerStarted', stepId: 'bake', durationS: 1500 }])).toBeNull();
  const trial: [number, BakeAction][] = [[5, { type: 'trialBegun', stepId: 'bake', pieces: 1, durationS: 300 }], [10, { type: 'looked', stepId: 'bake', coreC: null, colour: 'dark' }]];
  expect(none(sheet, ...trial)).toBeNull();
  expect(none({ steps: [...sheet.steps, { ...step('bake', 600, 230), id: 'second' }] }, [15, { type: 'stepDone', stepId: 'bake' }])).toBeNull();
  expect(none({ steps: sheet.steps.filter(({ kind }) => kind !== 'bake') })).toBeNull();
  expect(none({ steps: sheet.steps.map((each) => ({ ...each, tempC: null })) })).toBeNull();
  expect(none(sheet, [15, { type: 'abandoned', reason: '' }])).toBeNull();
}); // prettier-ignore
