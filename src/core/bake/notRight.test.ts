import { newPhase, simulateBake, type BakeQuestion } from '../heat';
import { rolls, tinLoaf } from '../heat/testBakes';
import { newStep } from '../method';
import { bakeState } from './bakeState';
import { inHeatSinceMs, remedyOf } from './notRight';

const step = { ...newStep('bake', 'b'), tempC: 215 };
const nothing = { coreC: null, coldS: null };

test('a dark top: covered, 20 °C less, as long as the middle needs; its core is what is gone by, at this height', () => {
  // 30 min in, 6 °C short: 4 % a degree and a tenth more
  expect(remedyOf('topDark', step, { ...nothing, coreC: 91 }, 1800, 0)).toEqual({ moreS: 480, leastS: 360, mostS: 660, tempC: 195, targetC: 97 });
  expect(remedyOf('topDark', step, { ...nothing, coreC: 91 }, 1800, 1600)).toMatchObject({ targetC: 92, moreS: 60 });
  // far from done: no further ahead than the last fifteen degrees
  expect(remedyOf('topDark', step, { ...nothing, coreC: 60 }, 1800, 0)).toEqual(remedyOf('topDark', step, { ...nothing, coreC: 82 }, 1800, 0));
  // done, or nobody read it: nothing is told
  expect(remedyOf('topDark', step, { ...nothing, coreC: 97 }, 1800, 0)).toBeNull();
  expect(remedyOf('topDark', step, nothing, 1800, 0)).toBeNull();
}); // prettier-ignore

test('a wet base, and an oven that was cold', () => {
  expect(remedyOf('baseWet', step, nothing, 1800, 0)).toEqual({ moreS: 420, leastS: 300, mostS: 600, tempC: 200, targetC: 97 });
  expect(remedyOf('ovenCold', step, { ...nothing, coldS: 900 }, 1800, 0)).toEqual({ moreS: 480, leastS: 60, mostS: 900, tempC: null, targetC: 97 });
  expect(remedyOf('ovenCold', step, nothing, 1800, 0)).toBeNull();
}); // prettier-ignore

function whenS(question: BakeQuestion, coreC: number): number {
  const run = simulateBake(question, undefined, 'coarse');
  if (!run.ok) throw new Error(run.problem.code);
  const { atS, coreC: cores } = run.value;
  return atS[cores.findIndex((each) => each >= coreC)]!;
}
const rack = newPhase('rack', 60, 0);
const KINDS = [
  ['tin loaf', tinLoaf, { inTin: true }],
  ['rolls', rolls, { on: 'tray' }],
] as const;

test.each(KINDS)(
  '%s: the heat model’s middle takes what is said here when the oven is set lower',
  (_, make, how) => {
    for (const coreC of [88, 91]) {
      const inS = whenS(make({ phases: [newPhase('oven', 9000, 215, how), rack] }), coreC);
      const covered = make({
        phases: [newPhase('oven', inS, 215, how), newPhase('oven', 9000, 195, how), rack],
      });
      const more = whenS(covered, 96.5) - inS;
      const told = remedyOf(
        'topDark',
        { ...step, cue: { kind: 'core', tempC: 96.5 } },
        { ...nothing, coreC },
        inS,
        0,
      )!;
      expect(more).toBeGreaterThan(told.leastS - 60);
      expect(more).toBeLessThan(told.mostS + 60);
    }
  },
);

test.each(KINDS)('%s: and when the oven had gone out for a while in its first half', (_, make, how) => {
  const plainS = whenS(make({ phases: [newPhase('oven', 9000, 215, how), rack] }), 96.5);
  for (const share of [0.25, 0.5])
    for (const coldS of [300, 600, 1200]) {
      const firstS = Math.round(plainS * share);
      const out = make({ phases: [newPhase('oven', firstS, 215, how), newPhase('oven', coldS, 60, how), newPhase('oven', 9000, 215, how), rack] });
      const more = whenS(out, 96.5) - plainS;
      const told = remedyOf('ovenCold', step, { ...nothing, coldS }, firstS, 0)!;
      expect(more).toBeGreaterThan(told.leastS - 60);
      expect(more).toBeLessThan(told.mostS + 60);
    }
}); // prettier-ignore

test('in the heat since it came into it, through a first bake and a turn, by its own load', () => {
  const steps = [newStep('proof', 'p'), newStep('bake', 'b1'), newStep('turn', 't'), newStep('bake', 'b2'), newStep('cool', 'c')];
  const clock = (stepId: string, min: number) => ({ seq: min, atMs: min * 60_000, action: { type: 'timerStarted' as const, stepId, durationS: 60 } });
  const state = bakeState(0, [clock('p', 1), clock('b1', 50), clock('b2', 70)]);
  expect(inHeatSinceMs({ steps }, state, 'b2')).toBe(50 * 60_000);
  expect(inHeatSinceMs({ steps }, state, 'b1')).toBe(50 * 60_000);
  expect(inHeatSinceMs({ steps }, bakeState(0, [clock('b2', 70)]), 'b2')).toBe(70 * 60_000);
  expect(inHeatSinceMs({ steps }, bakeState(0, []), 'b2')).toBeNull();
  // the load before it is another bread's time
  const activities = ['b1', 'b2'].map((id, index) => ({ id, stepId: 'b', wayId: null, load: { at: index + 1, of: 2 }, side: null, time: null, pieces: 3 }));
  expect(inHeatSinceMs({ steps, activities }, state, 'b2')).toBe(70 * 60_000);
}); // prettier-ignore
