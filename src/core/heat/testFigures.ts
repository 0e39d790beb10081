import { FIGURES } from '../calibrated';
import { figuresDrawn } from '../calibrated/draws';
import type { Result } from '../result';
import { TEST_DOUGHS, testBook } from '../consistency/testDoughs';
import { simulateBake, type BakeQuestion } from './bake';
import { crumbMatterOf } from './crumbMatter';
import { fitOffset, fitTrace, offsetAt } from './fitOven';
import { bakeForecast, drawnHeat, finish } from './forecast';
import { oilTaken } from './oilTaken';
import { heatUpS, ORDINARY_OVENS } from './oven';
import { PLATES } from './parameters';
import { preheat, preheatForecast } from './preheat';
import { newPhase } from './programme';
import { sinksBy } from './sinks';
import { rolls, tinLoaf } from './testBakes';

const sure = <T>(made: Result<T>): T => {
  if (!made.ok) throw new Error(`${made.problem.code} at ${made.problem.path}`);
  return made.value;
};
const small = { lengthCm: null, widthCm: null };

/** Short bakes, small pieces: every way to heat a dough, every side that can be met by something. */
const BAKES: Readonly<Record<string, BakeQuestion>> = {
  tin: tinLoaf({
    piece: { shape: 'tin', massG: 300, lightness: 1.8, springs: 1.2, ...small },
    phases: [
      newPhase('oven', 1200, 200, { inTin: true, moist: 'steam' }),
      newPhase('oven', 900, 180, { inTin: true }),
      newPhase('coast', 200, 0),
      newPhase('rack', 6000, 0),
    ],
  }),
  lidded: tinLoaf({
    piece: { shape: 'hearth', massG: 260, lightness: 1.6, springs: 1.15, ...small },
    tin: null,
    altitudeM: 1200,
    phases: [
      newPhase('oven', 700, 235, { moist: 'lid', on: 'castIron' }),
      newPhase('oven', 500, 220, { on: 'castIron', door: false }),
      newPhase('rack', 1500, 0),
    ],
  }),
  topped: tinLoaf({
    piece: { shape: 'disc', massG: 220, lightness: 1.4, lengthCm: 26, widthCm: null },
    tin: null,
    eatenWarm: true,
    topping: { massG: 120, waterShare: 0.6 },
    oven: ORDINARY_OVENS.flame,
    phases: [newPhase('oven', 110, 400, { on: 'stone', topped: true }), newPhase('rack', 500, 0)],
  }),
  parBaked: tinLoaf({
    piece: { shape: 'disc', massG: 220, lightness: 1.4, lengthCm: 26, widthCm: null },
    tin: null,
    plateThickM: { steel: 0.008 },
    phases: [newPhase('oven', 200, 250, { on: 'steel' }), newPhase('rack', 300, 0), newPhase('oven', 150, 250, { on: 'steel', turned: true })],
  }),
  griddled: tinLoaf({
    piece: { shape: 'flatbread', massG: 80, lightness: 1.3, lengthCm: 16, widthCm: null },
    tin: null,
    eatenWarm: true,
    oven: ORDINARY_OVENS.griddle,
    phases: [newPhase('griddle', 90, 230, { on: 'griddle' }), newPhase('griddle', 70, 230, { on: 'griddle', turned: true }), newPhase('rack', 300, 0)],
  }),
  ring: rolls({
    piece: { shape: 'ring', massG: 100, lightness: 1.5, ...small },
    oven: ORDINARY_OVENS.fan,
    matter: { ...rolls().matter, washBrowns: 2, brownsReadily: 1.6 },
    phases: [newPhase('boil', 60, 100), newPhase('oven', 700, 220, { on: 'tray' }), newPhase('rack', 900, 0)],
  }),
  fried: rolls({
    piece: { shape: 'round', massG: 70, lightness: 1.9, springs: 1.3, heightCm: 2.4, ...small },
    oven: ORDINARY_OVENS.fryer,
    eatenWarm: true,
    count: 4,
    phases: [newPhase('fry', 150, 170), newPhase('fry', 150, 170, { turned: true }), newPhase('rack', 500, 0)],
  }),
  stick: tinLoaf({
    piece: { shape: 'baguette', massG: 150, lightness: 1.6, springs: 1.2, lengthCm: 22, widthCm: null },
    tin: null,
    oven: ORDINARY_OVENS.deck,
    count: 3,
    phases: [newPhase('oven', 400, 240, { moist: 'steam', on: 'stone' }), newPhase('oven', 300, 225, { on: 'stone', door: false }), newPhase('rack', 900, 0)],
  }),
  touching: rolls({
    piece: { shape: 'touchingRolls', massG: 60, lightness: 1.7, ...small },
    oven: ORDINARY_OVENS.humid,
    phases: [newPhase('oven', 1200, 190, { on: 'tray' }), newPhase('rack', 5400, 0)],
  }),
  balls: rolls({
    piece: { shape: 'ball', massG: 30, lightness: 1.8, ...small },
    oven: ORDINARY_OVENS.grill,
    count: 12,
    phases: [newPhase('oven', 600, 210), newPhase('rack', 4000, 0)],
  }),
}; // prettier-ignore

const series = [
  'coreC',
  'meanC',
  'topC',
  'baseC',
  'ovenC',
  'lost',
  'set',
  'brownTop',
  'brownBase',
  'spots',
  'atS',
] as const;
/** Some moments of a bake and all it says at once. */
function told(question: BakeQuestion, draw: number | null, grid: 'shipped' | 'coarse' = 'coarse') {
  const made = sure(simulateBake(question, drawnHeat(question, draw, draw === 7), grid, 24, 'end', figuresDrawn(draw)));
  const { heatMissing: _, waterMissing: __, ...rest } = made;
  return { ...rest, ...Object.fromEntries(series.map((name) => [name, made[name].filter((___, index) => index % 3 === 0)])) };
} // prettier-ignore

/** What this folder says of the test bakes, of which every figure is kept ({@link file://./figures.json}). */
export function heatFigures() {
  const made = sure(finish(bakeForecast(BAKES.fried!)));
  const rolled = sure(finish(bakeForecast(BAKES.balls!)));
  const trace = [300, 600, 900, 1100, 1300, 1500, 1700].map((atS, index) => ({ atS, coreC: [33, 52, 70, 81, 90, 95, 97][index]! }));
  const offset = sure(fitOffset([{ dialC: 200, trueC: 188 }, { dialC: 240, trueC: 221 }, { dialC: 160, trueC: 158 }]));
  const figures = { ...FIGURES, 'oven.emissivity': 0.7, 'air.static': 11 };
  return {
    bakes: Object.fromEntries(Object.entries(BAKES).map(([name, question]) => [name, told(question, null)])),
    drawn: [told(BAKES.ring!, 3), told(BAKES.topped!, 7), told(BAKES.griddled!, 1, 'shipped')],
    forecast: { ...made, simulation: null, oil: oilTaken(BAKES.fried!, made) },
    rolled: { ...rolled, simulation: null },
    matter: Object.values(TEST_DOUGHS).map((formula) => crumbMatterOf(formula, testBook)),
    offset: [offset, offsetAt(offset, 175), offsetAt(offset, 250)],
    trace: sure(fitTrace(rolls(), trace)),
    heatUp: Object.values(ORDINARY_OVENS).map((oven) => heatUpS(oven, 20, 150, 20)),
    preheat: Object.keys(PLATES).map((plate) => sure(preheat(ORDINARY_OVENS.fan, plate as keyof typeof PLATES, 230, 19, undefined, figures))),
    thick: sure(preheatForecast(ORDINARY_OVENS.static, 'stone', 250, 21, 0.02)),
    sinks: [60, 84, 88, 99].map((coreC) => sinksBy(coreC, 0.7)),
  };
} // prettier-ignore
