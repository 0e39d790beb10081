import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { newestEntries, readKitchenFile } from '../formats';
import { colourOf, finish } from '../heat';
import { libraryBook } from '../ingredients';
import { kitchenBook } from '../ingredients/kitchenBook';
import { heatOven, ORDINARY_KIT, readProbeTrace, runKitchenOf } from '../kit';
import { kitSchema } from '../kit/kitSchema';
import { formulaAnswers } from '../notices';
import {
  bakedAsOf,
  forecastRun,
  ORDINARY_KITCHEN,
  runOf,
  supposing,
  ticksS,
  timeAxis,
  type RunForecast,
  type WhatIf,
} from '.';
import { crustRgb, drawSlice, type SliceFigures } from '../slice';
import { stepHeat } from '../process/stepHeat';

const demo = readKitchenFile(JSON.parse(readFileSync('src/demo/larkspurLock.json', 'utf8')), libraryBook);
if (!demo.ok) throw new Error('the demo kitchen cannot be read');
const merged = kitchenBook(newestEntries(demo.value));
const book = merged.ok ? merged.value : libraryBook;
const formulas = demo.value.formulas.map(({ revisions }) => revisions[revisions.length - 1]!.formula);
const named = (name: string) => formulas.find((formula) => formula.name.startsWith(name))!;

function forecast(formula: (typeof formulas)[number], kitchen = ORDINARY_KITCHEN): RunForecast {
  const { totals, consistency } = formulaAnswers(formula, book);
  const run = runOf(formula, book, totals, consistency, kitchen);
  if (!run.ok || !consistency) throw new Error(`${formula.name}: no run`);
  const made = finish(forecastRun(run.value, consistency));
  if (!made.ok) throw new Error(`${formula.name}: ${made.problem.path}`);
  return made.value;
}

/**
 * What a practised baker would call right for these, in an ordinary kitchen: minutes from the end of mixing until it is ready for
 * the oven, by its own method, minutes from loading to a set crumb, share of the weight lost when it may be cut, colours of the top or rim.
 */
const BELIEVED: Record<
  string,
  {
    readonly readyMin: readonly [number, number];
    readonly setMin: readonly [number, number];
    readonly lost: readonly [number, number];
    readonly top: string;
  }
> = {
  tinLoaf: { readyMin: [45, 100], setMin: [45, 70], lost: [0.08, 0.14], top: 'golden deepGolden brown' },
  hearthLoaf: { readyMin: [600, 1080], setMin: [45, 70], lost: [0.09, 0.18], top: 'deepGolden brown' },
  baguette: { readyMin: [240, 420], setMin: [9, 20], lost: [0.13, 0.22], top: 'golden deepGolden brown' },
  rolls: { readyMin: [40, 80], setMin: [15, 28], lost: [0.06, 0.14], top: 'golden deepGolden' },
  pizza: { readyMin: [80, 130], setMin: [0.7, 5], lost: [0.1, 0.26], top: 'golden deepGolden brown' },
  flatbread: { readyMin: [40, 130], setMin: [1, 25], lost: [0.06, 0.2], top: 'pale straw golden deepGolden' },
  boiledRing: { readyMin: [35, 80], setMin: [10, 25], lost: [0.08, 0.2], top: 'golden deepGolden brown' },
  // of its own water: half of it is out of the oil, which comes to it instead
  friedDough: { readyMin: [30, 70], setMin: [3, 7], lost: [0.025, 0.15], top: 'golden deepGolden brown' },
  crackers: { readyMin: [100, 260], setMin: [4, 20], lost: [0.35, 0.58], top: 'straw golden deepGolden' },
};

test.each(formulas.map((formula) => [formula.name, formula] as const))(
  '%s: its day is one a baker would believe',
  (_, formula) => {
    const { totals, consistency } = formulaAnswers(formula, book);
    const run = runOf(formula, book, totals, consistency);
    if (!run.ok) throw new Error(run.problem.path);
    // one clock: steps follow one another without gaps, what runs beside ends when the first goes in
    const line = run.value.steps.filter((step) => step.stretch !== 'beside');
    line.forEach((step, index) =>
      expect(step.startS).toBeCloseTo(line[index - 1]?.endS ?? line[0]!.startS, 6),
    );
    for (const step of run.value.steps.filter(({ kind }) => kind === 'preheat'))
      expect(step.endS).toBeCloseTo(run.value.bake!.fromS, 6);

    const answer = forecast(formula);
    expect(answer.bakeProblem).toBeNull();
    const { set } = answer.bake!;
    // risen the same day, with a sponge of the night before
    const believed = {
      ...BELIEVED[formula.style]!,
      ...(formula.name.startsWith('Towpath') && { readyMin: [75, 170] as const }),
    };
    const inside = (value: number, [from, to]: readonly [number, number]) => {
      expect(value).toBeGreaterThan(from);
      expect(value).toBeLessThan(to);
    };
    const ready = answer.rise.wantedAtS;
    inside(ready.value! / 60, believed.readyMin);
    // neither a sham minute nor a shrug; a cracker's batter rests for its taste and may never get that far
    const rests = formula.style === 'crackers' || formula.style === 'flatbread';
    // a night in the cold is ready in the fridge or hours after it
    const widest = formula.style === 'hearthLoaf' ? 2.8 : 2.2;
    if (!rests || ready.high !== null) {
      expect(ready.high! / ready.low!).toBeGreaterThan(1.04);
      expect(ready.high! / ready.low!).toBeLessThan(widest);
    }
    inside(set.value! / 60, believed.setMin);
    inside(answer.bake!.lostCooled.value, believed.lost);
    // what cools dries on; a dry cracker takes up a trace of the room's damp
    expect(answer.bake!.lostCooled.value).toBeGreaterThan(answer.bake!.lost.value - 1e-3);
    expect(believed.top.split(' ')).toContain(colourOf(answer.bake!.brownTop.value));
    expect(set.high! / set.low!).toBeGreaterThan(1.05);
    expect(set.high! / set.low!).toBeLessThan(2.2);
    expect(answer.rise.top.value).toBeGreaterThan(1.05);
    expect(answer.bakedVolume).toBeGreaterThan(1.1);
    expect(answer.bakedVolume).toBeLessThan(2.6);
  },
);

test('the other way round: what is supposed moves what it should, and leaves the sheet alone', () => {
  const loaf = named('Millet');
  const before = JSON.stringify(loaf);
  const plain = forecast(loaf);
  const under = (what: WhatIf) => {
    const other = supposing(what, loaf, ORDINARY_KITCHEN, libraryBook);
    return forecast(other.formula, other.kitchen);
  };
  const ready = (answer: RunForecast) => answer.rise.wantedAtS.value!;
  // a loaf keeps the warmth it was mixed with for most of its proof: minutes, not hours
  expect(ready(under({ type: 'room', tempC: 19 }))).toBeGreaterThan(ready(plain) + 150);
  expect(ready(under({ type: 'yeast', factor: 0.5 }))).toBeGreaterThan(ready(plain) + 600);
  expect(under({ type: 'pieces', factor: 2 }).bake!.set.value).toBeLessThan(0.85 * plain.bake!.set.value!);
  expect(under({ type: 'altitude', altitudeM: 1800 }).bake!.coreAtEndC.value).toBeLessThan(
    plain.bake!.coreAtEndC.value - 3,
  );
  expect(under({ type: 'offset', byC: 15 }).bake!.set.value).toBeLessThan(plain.bake!.set.value!);
  expect(under({ type: 'tin', tin: 'shiny' }).bake!.brownBase.value).toBeLessThan(
    plain.bake!.brownBase.value,
  );
  expect(JSON.stringify(loaf)).toBe(before);
});

test('thicker, and on something else', () => {
  const disc = named('Quinoa');
  const thin = forecast(disc);
  const thick = supposing({ type: 'thicker', factor: 1.5 }, disc, ORDINARY_KITCHEN, libraryBook);
  const thicker = forecast(thick.formula, thick.kitchen);
  expect(thicker.slice!.heightMm).toBeCloseTo(1.5 * thin.slice!.heightMm, 3);
  expect(thicker.bake!.set.value).toBeGreaterThan(1.2 * thin.bake!.set.value!);
  const hearth = named('Buckwheat');
  const iron = forecast(hearth);
  const tray = supposing({ type: 'plate', on: 'tray' }, hearth, ORDINARY_KITCHEN, libraryBook);
  expect(forecast(tray.formula, tray.kitchen).bake!.brownBase.value).toBeLessThan(iron.bake!.brownBase.value);
  // a lid's work is done while the crumb is still far from set in the middle, and not at once
  const { holds, set } = iron.bake!;
  expect(holds.low! / 60).toBeGreaterThan(5);
  expect(holds.high!).toBeLessThan(0.5 * set.low!);
});

test('how a step heats is read from its words, unless the baker set it', () => {
  const hearth = named('Buckwheat');
  const bakes = hearth.steps.filter((step) => step.kind === 'bake');
  const plain = { moist: 'dry', on: 'tray', inTin: false, topped: false, paper: false } as const;
  const lidOn = stepHeat(bakes[0]!, plain);
  expect(lidOn).toEqual({ moist: 'lid', on: 'castIron', inTin: false, topped: false, paper: false });
  expect(stepHeat(bakes[1]!, lidOn).moist).toBe('dry');
  expect(stepHeat({ ...bakes[0]!, heat: { moist: 'steam', on: null } }, plain)).toMatchObject({
    moist: 'steam',
    on: null,
  });
  expect(bakedAsOf(named('Pumpkin'))).toMatchObject({ shape: 'touchingRolls' });
  expect(bakedAsOf(named('Sorghum'))).toMatchObject({ shape: 'baguette', lengthCm: 35 });
});

test('the axis: true inside its parts, both ways, and a night is folded', () => {
  const axis = timeAxis([0, 1800, 50_000, 53_600]);
  expect(axis.parts.map((part) => part.folded)).toEqual([false, true, false]);
  fc.assert(
    fc.property(fc.double({ min: 0, max: 53_600, noNaN: true }), (tS) => {
      expect(axis.atS(axis.x(tS))).toBeCloseTo(tS, 4);
      expect(axis.x(tS)).toBeGreaterThanOrEqual(0);
      expect(axis.x(tS)).toBeLessThanOrEqual(1 + 1e-12);
    }),
  );
  expect(ticksS(axis).every((tS) => tS <= 1800 || tS >= 50_000)).toBe(true);
});

const figures: SliceFigures = {
  shape: 'tin', widthMm: 98, heightMm: 93, crown: 0.12, poreMm: 1.6, evenness: 0.8, gas: 0.5, seen: 0.225, crustMm: 4, brownTop: 12, brownBase: 6, streak: 0,
}; // prettier-ignore

test('the slice: the same figures the same drawing, and each feature follows its quantity', () => {
  const drawn = drawSlice(figures);
  expect(drawSlice({ ...figures })).toEqual(drawn);
  expect(drawSlice({ ...figures, seen: 0.23 })).not.toEqual(drawn);
  const covered = (part: Partial<SliceFigures>) => {
    const { pores, widthMm, heightMm } = drawSlice({ ...figures, ...part });
    return pores.reduce((sum, { rx, ry }) => sum + Math.PI * rx * ry, 0) / widthMm / heightMm;
  };
  expect(covered({ seen: 0.25 })).toBeGreaterThan(covered({ seen: 0.09 }));
  const spread = (evenness: number) => {
    const sizes = drawSlice({ ...figures, evenness }).pores.map(({ rx, ry }) => Math.log(rx * ry));
    const mean = sizes.reduce((sum, size) => sum + size, 0) / sizes.length;
    return sizes.reduce((sum, size) => sum + (size - mean) ** 2, 0) / sizes.length;
  };
  expect(spread(0.2)).toBeGreaterThan(spread(0.9));
  for (const { x, y, rx, ry } of drawn.pores) {
    expect(x - Math.max(rx, ry)).toBeGreaterThan(0);
    expect(y + Math.max(rx, ry)).toBeLessThan(drawn.heightMm);
  }
  const streak = drawSlice({ ...figures, streak: 0.2 });
  expect(streak.pores.every(({ y }) => y <= streak.streakFromMm!)).toBe(true);
  // darker with the index
  const light = (index: number) =>
    crustRgb(index)
      .match(/\d+/g)!
      .map(Number)
      .reduce((sum, each) => sum + each, 0);
  expect(light(0)).toBeGreaterThan(light(3));
  expect(light(3)).toBeGreaterThan(light(20));
  fc.assert(
    fc.property(
      fc.record({
        shape: fc.constantFrom('tin', 'hearth', 'ring', 'disc', 'ball'),
        widthMm: fc.double({ min: 20, max: 700, noNaN: true }),
        heightMm: fc.double({ min: 2, max: 160, noNaN: true }),
        crown: fc.double({ min: -0.3, max: 0.5, noNaN: true }),
        poreMm: fc.double({ min: 0.4, max: 5, noNaN: true }),
        evenness: fc.double({ min: 0.1, max: 0.95, noNaN: true }),
        gas: fc.double({ min: 0, max: 0.8, noNaN: true }),
        seen: fc.double({ min: 0, max: 0.7, noNaN: true }),
        crustMm: fc.double({ min: 0, max: 20, noNaN: true }),
      }),
      (part) => {
        const any = drawSlice({ ...figures, ...part }, 60);
        for (const [x, y] of [...any.outline, ...any.crumb]) expect(Number.isFinite(x + y)).toBe(true);
        expect(any.pores.length).toBeLessThanOrEqual(60);
      },
    ),
    { numRuns: 60 },
  );
});

test('the kit: an oven’s own heating-up time and readings are what it is computed with', () => {
  const [oven] = ORDINARY_KIT.ovens;
  const slow = heatOven({ ...oven!, heatUpMin: 30 }, 21);
  const fast = heatOven({ ...oven!, heatUpMin: 10 }, 21);
  expect(slow.heatJPerK).toBeGreaterThan(1.5 * fast.heatJPerK);
  const read = heatOven(
    {
      ...oven!,
      readings: [
        { dialC: 200, trueC: 180 },
        { dialC: 220, trueC: 200 },
      ],
    },
    21,
  );
  expect(read.offsetC).toBeLessThan(-12);
  expect(read.offsetSdC).toBeLessThan(9);
  expect(runKitchenOf({ ...ORDINARY_KIT, altitudeM: 900 }, named('Millet'))).toMatchObject({
    altitudeM: 900,
    roomC: 21,
  });
  const problem = (part: object) =>
    kitSchema.safeParse({ ...ORDINARY_KIT, ...part }).error?.issues[0]?.path.join('.');
  expect(problem({})).toBeUndefined();
  expect(problem({ ovenId: 'none' })).toBe('ovenId');
  expect(problem({ fridgeC: 60 })).toBe('fridgeC');
  expect(problem({ ovens: [] })).toBe('ovens');
});

test('a probe’s log is read however it is written, or refused with its line', () => {
  const points = (text: string) => {
    const made = readProbeTrace(text);
    return made.ok
      ? made.value.map(({ atS, coreC }) => [atS, Math.round(coreC * 10) / 10])
      : [made.problem.code, made.problem.path];
  };
  expect(points('0,27\n600,40.5\n')).toEqual([
    [0, 27],
    [600, 40.5],
  ]);
  expect(points('\uFEFFmin;°C\r\n0;27,5\r\n10;34\r\n')).toEqual([
    [0, 27.5],
    [600, 34],
  ]);
  expect(points('time (min)\ttemp °F\n0\t80.6\n5\t212')).toEqual([
    [0, 27],
    [300, 100],
  ]);
  expect(points('0:00,27\n12:30,50\n1:02:30,96')).toEqual([
    [0, 27],
    [750, 50],
    [3750, 96],
  ]);
  // °F however it is written, in the heading or behind the figure
  for (const heading of [
    'time;Temp (°F)',
    'Time;Probe F',
    'time;temp_f',
    'time;º F',
    'time;deg F',
    'time;Fahrenheit',
  ])
    expect([heading, points(`${heading}\n0;80.6\n300;212`)]).toEqual([
      heading,
      [
        [0, 27],
        [300, 100],
      ],
    ]);
  expect(points('time;temp\n0;80.6 °F\n300;212F')).toEqual([
    [0, 27],
    [300, 100],
  ]);
  // clock times: with seconds, without, with the date, with am and pm, over midnight
  expect(points('14:05:00,27\n14:15:30,60\n')).toEqual([
    [0, 27],
    [630, 60],
  ]);
  expect(points('time,core\n14:05,27\n14:06,30\n14:07,33')).toEqual([
    [0, 27],
    [60, 30],
    [120, 33],
  ]);
  expect(points('2026-11-26 23:50:00,27\n2026-11-27T00:20:00Z,60')).toEqual([
    [0, 27],
    [1800, 60],
  ]);
  expect(points('11:50 am,27\n12:20 pm,60')).toEqual([
    [0, 27],
    [1800, 60],
  ]);
  expect(points('0,27\nten,40')).toEqual(['notANumber', 'line 2']);
  expect(points('0,27\n600,=A1')).toEqual(['notANumber', 'line 2']);
  expect(points('nothing')).toEqual(['noReading', 'trace']);
  expect(points('1,2\n'.repeat(60_000))).toEqual(['tooMany', 'trace']);
});
