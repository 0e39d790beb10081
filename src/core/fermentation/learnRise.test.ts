import fc from 'fast-check';
import { learnRise, riseCurve, type Leavening, type RiseObservation, type RiseQuestion } from '.';
import { volumesAt } from './riseSimulation';
import { testLeavening } from './testLeavening';

const loaf: Leavening = testLeavening;
const question = (tempC = 24): RiseQuestion => ({
  leavening: loaf,
  doughC: 26,
  stays: [{ place: 'room', tempC, durationS: 4 * 3600, standing: 'bowl', pieceG: 80, pressedOut: 0 }],
});
/** A day on which the jar was looked at so many minutes after mixing, with a dough that is really like this. */
const day = (
  minutes: readonly number[],
  vigour: number,
  holding: number,
  tempC = 24,
  off = 0,
): RiseObservation => {
  const times = minutes.map((min) => min * 60);
  const volumes = volumesAt(question(tempC), times, vigour, holding);
  return {
    question: question(tempC),
    points: times.map((atS, index) => ({ atS, sinceS: 0, grown: volumes[index]! * (1 + off) })),
  };
};
const learnt = (...days: RiseObservation[]) => {
  const made = learnRise(days);
  if (!made) throw new Error('nothing learnt');
  return made;
};

test('many true marks find the leaven and the dough that made them', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.65, max: 1.5, noNaN: true }),
      fc.double({ min: 0.75, max: 1.35, noNaN: true }),
      (vigour, holding) => {
        const marks = [30, 50, 70, 100, 140, 200, 230];
        const found = learnt(
          ...[20, 22, 24, 26, 28, 21, 23, 25].map((tempC) => day(marks, vigour, holding, tempC)),
        );
        expect(Math.abs(Math.log(found.learnt.vigour.value / vigour))).toBeLessThan(0.06);
        expect(Math.abs(Math.log(found.learnt.holding.value / holding))).toBeLessThan(0.06);
        expect(found.miss).toBeLessThan(0.03);
      },
    ),
    { numRuns: 12 },
  );
});

test('one mark moves it a little, more make it surer, never surer than days are alike', () => {
  const one = learnt(day([60], 0.7, 1));
  const three = learnt(day([50, 90, 180], 0.7, 1), day([60, 120], 0.7, 1, 22), day([40, 200], 0.7, 1, 26));
  expect(one.learnt.vigour.value).toBeLessThan(0.97);
  expect(one.learnt.vigour.value).toBeGreaterThan(0.7);
  expect(three.learnt.vigour.value).toBeLessThan(one.learnt.vigour.value);
  expect(three.learnt.vigour.cv).toBeLessThan(one.learnt.vigour.cv);
  expect(one.learnt.vigour.cv).toBeLessThanOrEqual(loaf.yeastCv);
  const hundred = learnt(...Array.from({ length: 30 }, () => day([40, 80, 160, 220], 1, 1)));
  expect(hundred.learnt.vigour.cv).toBeGreaterThan(0.079);
  expect(hundred.learnt.holding.cv).toBeGreaterThan(0.059);
  expect(hundred).toMatchObject({ marks: 120, days: 30 });
  // ten marks of one day share its room: they count less than ten days of one mark
  const sameDay = learnt(day([30, 45, 60, 75, 90, 105, 120, 150, 180, 210], 0.7, 1));
  const tenDays = learnt(...[30, 45, 60, 75, 90, 105, 120, 150, 180, 210].map((min) => day([min], 0.7, 1)));
  expect(sameDay.learnt.vigour.cv).toBeGreaterThan(tenDays.learnt.vigour.cv);
});

test('an early mark tells of the leaven, a late one of the dough; the order of days tells nothing', () => {
  const early = learnt(day([45], 0.7, 0.7));
  const late = learnt(day([230], 0.7, 0.7));
  const by = ({ learnt: { vigour, holding } }: typeof early) =>
    Math.abs(Math.log(vigour.value)) / Math.abs(Math.log(holding.value));
  expect(by(early)).toBeGreaterThan(2 * by(late));
  const [a, b, c] = [day([60], 0.8, 1.1), day([90, 150], 0.9, 1, 22), day([200], 1.1, 1, 27)];
  const forth = learnt(a, b, c).learnt;
  const back = learnt(c, b, a).learnt;
  expect(back.vigour.value).toBeCloseTo(forth.vigour.value, 5);
  expect(back.holding.value).toBeCloseTo(forth.holding.value, 5);
});

test('what was learnt is used: the curve goes through the marks, its band is narrower', () => {
  const found = learnt(...[20, 22, 24, 26].map((tempC) => day([45, 90, 180], 0.7, 1.2, tempC)));
  const plain = riseCurve({ ...question(), wanted: 1.3 });
  const taught = riseCurve({ ...question(), wanted: 1.3, learnt: found.learnt });
  if (!plain.ok || !taught.ok) throw new Error('no curve');
  expect(taught.value.wantedAtS.value!).toBeGreaterThan(1.15 * plain.value.wantedAtS.value!);
  const width = ({ low, high, value }: typeof plain.value.top) => (high - low) / (value - 1);
  expect(width(taught.value.canHold)).toBeLessThan(width(plain.value.canHold));
});

test('nonsense teaches nothing, and a wrong mark only so much', () => {
  expect(learnRise([])).toBeNull();
  const point = (atS: number, grown: number, sinceS = 0) => ({
    question: question(),
    points: [{ atS, sinceS, grown }],
  });
  expect(learnRise([point(600, Number.NaN), point(600, -1), point(100, 1.2, 200)])).toBeNull();
  const wild = learnt(point(1200, 5));
  expect(wild.learnt.vigour.value).toBeLessThan(7);
  expect(wild.miss).toBeGreaterThan(1);
  const flat = learnRise([
    {
      question: { ...question(), leavening: { ...loaf, yeastG: 0 } },
      points: [{ atS: 3600, sinceS: 0, grown: 1 }],
    },
  ])!;
  expect(flat.learnt.vigour).toEqual({ value: 1, cv: 0.2 });
});

test('a jar of yeast shows itself in every dough it lifts, a dough under every jar; a new jar begins anew', () => {
  const marks = [30, 50, 70, 100, 140, 200, 230];
  const of = (leavenOf: string, doughOf: string, vigour: number, holding: number, tempC: number) => ({
    ...day(marks, vigour, holding, tempC),
    leavenOf,
    doughOf,
  });
  const days = [
    ...[21, 24, 27].flatMap((tempC) => [of('old', 'loaf', 0.6, 1.25, tempC), of('old', 'rolls', 0.6, 0.8, tempC)]),
    ...[22, 25].map((tempC) => of('fresh', 'loaf', 1.1, 1.25, tempC)),
  ]; // prettier-ignore
  const found = (leavenOf: string, doughOf: string) => learnRise(days, { leavenOf, doughOf })!;
  const near = (value: number, wanted: number) =>
    expect(Math.abs(Math.log(value / wanted))).toBeLessThan(0.08);
  near(found('old', 'rolls').learnt.vigour.value, 0.6);
  near(found('old', 'rolls').learnt.holding.value, 0.8);
  near(found('fresh', 'loaf').learnt.vigour.value, 1.1);
  near(found('fresh', 'loaf').learnt.holding.value, 1.25);
  // the jar of yesterday says nothing of one that nobody has marked yet; the dough it was of does
  const next = found('next', 'loaf');
  expect(next.learnt.vigour.value).toBeCloseTo(1, 6);
  expect(next.learnt.vigour.cv).toBeCloseTo(loaf.yeastCv, 6);
  near(next.learnt.holding.value, 1.25);
  expect([next.days, found('old', 'rolls').days, found('old', 'none').days]).toEqual([5, 6, 6]);
  expect(learnRise(days, { leavenOf: 'next', doughOf: 'none' })).toBeNull();
});
