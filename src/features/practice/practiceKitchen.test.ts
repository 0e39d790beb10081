import type { PracticeFault } from '@/core/practice/faults';
import { INSTRUMENT_WORD } from '@/wording/instruments';
import { PracticeClock } from './practiceClock';
import { PracticeKitchen, type Around } from './practiceKitchen';

function practising(...faults: PracticeFault[]) {
  let realMs = 0;
  const clock = new PracticeClock(1000, () => realMs);
  const kitchen = new PracticeKitchen(clock, { seed: 4, faults }, INSTRUMENT_WORD, () => realMs);
  const go = (seconds: number) => {
    for (let tick = 0; tick < seconds * 5; tick += 1) {
      realMs += 200;
      kitchen.tick(0.2);
    }
  };
  return { clock, kitchen, go, later: (ms: number) => (realMs += ms) };
}

test('the clock goes as fast as one likes, ahead at one go, and stands where it rang, whatever a tick ran past', () => {
  const { clock, later } = practising();
  const shown: number[] = [];
  clock.subscribe(() => shown.push(clock.read()));
  later(1000);
  clock.setSpeed(600);
  later(2000);
  expect(clock.now()).toBe(2000 + 1_200_000);
  // what is shown moves with its ticks alone
  expect(clock.read()).toBe(2000);
  clock.stopAt(1_000_000);
  expect([clock.now(), clock.speed()]).toEqual([1_000_000, 1]);
  later(500);
  expect(clock.now()).toBe(1_000_500);
  clock.jump(60_000);
  clock.jump(-60_000);
  expect(clock.read()).toBe(1_060_500);
  // not on to what is still to come
  clock.stopAt(9_000_000);
  expect(clock.now()).toBe(1_060_500);
  expect(shown).toEqual([2000, 1_000_000, 1_060_500, 1_060_500, 1_060_500]);
});

test('what is poured is on the scale, at the hand’s own pace; a wrong hand goes wrong once', () => {
  const weigh = (...faults: PracticeFault[]) => {
    const { clock, kitchen, go } = practising(...faults);
    clock.setSpeed(600);
    go(3);
    const bowlG = kitchen.board.scale('scale')!.valueG;
    const pour = (seconds: number) => {
      kitchen.pour({ lineId: 'flour', toGoG: 200 });
      go(seconds);
      kitchen.stop();
      go(3);
      return kitchen.board.scale('scale')!.valueG - bowlG;
    };
    return [pour(2), pour(1)] as const;
  };
  const [half, more] = weigh();
  expect(Math.abs(half - 100)).toBeLessThan(1);
  expect(Math.abs(more - 150)).toBeLessThan(1);
  const [wrong, then] = weigh('wrongWeight');
  expect(Math.abs(wrong - 150)).toBeLessThan(1);
  expect(Math.abs(then - 200)).toBeLessThan(1);
});

test('probes show what they are in by the kitchen’s clock, and nothing in their drawer', () => {
  const { clock, kitchen, go } = practising();
  const drawer: Around = {
    doughProbe: null,
    coreProbe: null,
    oilProbe: null,
    ovenProbe: null,
    roomProbe: 21,
  };
  go(1);
  expect(kitchen.board.probes()).toEqual([]);
  kitchen.stands(() => ({ ...drawer, ovenProbe: 220 }));
  go(2);
  const early = kitchen.board.probes().find(({ of }) => of === 'oven')!.tempC;
  expect(early).toBeLessThan(60);
  clock.setSpeed(60);
  go(5);
  expect(Math.abs(kitchen.board.probes().find(({ of }) => of === 'oven')!.tempC - 220)).toBeLessThan(12);
  kitchen.stands(() => drawer);
  go(1);
  expect(kitchen.board.probes().map(({ of }) => of)).toEqual(['room']);
});
