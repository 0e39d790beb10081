import { askFrozen, askRise, askStarter, HOUR, MIN, type RiseAsk } from '../ask';
import { but, DOUGHS, type Recipe } from '../doughs';
import type { Answer, Row } from '../practice';

const answer = (name: string, kind: Answer['kind'], low: number, high: number, of: Answer['of']): Answer => ({
  name,
  kind,
  low,
  high,
  of,
});
const row = (id: string, sure: Row['sure'], style: string, dough: string, answers: readonly Answer[]): Row => ({
  id, sure, style, dough, answers, group: 'fermentation',
}); // prettier-ignore

/** In a warm place or a room, in one stretch. */
const still = (recipe: Recipe, doughC: number, placeC: number, hours: number, more: Partial<RiseAsk> = {}): RiseAsk => ({
  recipe, doughC, stays: [{ tempC: placeC, hours }], ...more,
}); // prettier-ignore

/** Growth at a time, and the baked volume of a piece that goes in then. */
const grown = (ask: RiseAsk, atMin: number, low: number, high: number) =>
  answer('grown', 'volume', low, high, (draw) => askRise(ask, draw).volumeAt(atMin * MIN));
const baked = (ask: RiseAsk, atMin: number, low: number, high: number) =>
  answer('baked', 'perG', low, high, (draw) => askRise(ask, draw).bakedMlPerG(atMin * MIN));
const could = (ask: RiseAsk, low: number, high: number) =>
  answer('could reach', 'volume', low, high, (draw) => askRise(ask, draw).canHold);
const top = (ask: RiseAsk, low: number, high: number) =>
  answer('top', 'volume', low, high, (draw) => askRise(ask, draw).top);
/** Oven spring of a dough proofed to 77 % of the most it could reach. */
const spring = (name: string, recipe: Recipe, low: number, high: number) =>
  answer(name, 'ratio', low, high, (draw) => askRise(still(recipe, 28, 28, 4), draw).springAtShare(0.77));
/** How much longer one takes than the other to rise so far. */
const slower = (name: string, than: RiseAsk, ask: RiseAsk, to: number, low: number, high: number) =>
  answer(name, 'ratio', low, high, (draw) => {
    const before = askRise(than, draw).timeTo(to);
    const after = askRise({ ...ask, anotherDay: true }, draw).timeTo(to);
    return before === null || after === null ? null : after / before;
  });

const { hpmc, xanthan, psyllium, wholeGrain, eggXanthan, bare, stiffXanthan, frying, wild } = DOUGHS;
const r1 = still(hpmc, 28, 35, 2, { standing: 'tin' });
const r2 = still(xanthan, 28, 35, 2, { standing: 'tin' });
const r3 = still(psyllium, 28, 28, 3);
const r4 = still(wholeGrain, 26, 26, 4);
const r5 = still(eggXanthan, 30, 30, 3, { standing: 'tin' });
const r6 = still(bare, 27, 27, 4);
const r7 = still(stiffXanthan, 26, 26, 3);
const r8 = still(wild, 24, 24, 14);
const little = but(psyllium, { 'instant-yeast': 0.25 });
const r9 = still(little, 21, 21, 14);
const balls = but(DOUGHS.pizza, { 'instant-yeast': 0.65 });
const r10: RiseAsk = {
  recipe: balls, doughC: 24, pieceG: 250, standing: 'pieces', stays: [{ tempC: 5, hours: 40 }],
}; // prettier-ignore
const r11: RiseAsk = {
  recipe: balls, doughC: 24, pieceG: 250, standing: 'pieces', stays: [{ tempC: 5, hours: 8 }, { tempC: 22, hours: 4 }],
}; // prettier-ignore
const r13 = still(frying, 28, 28, 4);

/**
 * A dough that rose to `firstTo`, was shaped anew, and rises again: of its first growth so much, in 62 % of the first time (the middle
 * of what practice gives). `rounds` 2: shaped twice.
 */
function again(recipe: Recipe, firstTo: number, rounds: number, share = 0.625): Answer['of'] {
  return (draw) => {
    const first = askRise(still(recipe, 28, 28, 4), draw).timeTo(firstTo);
    if (first === null) return null;
    const hours = first / HOUR;
    const stays = [{ tempC: 28, hours }];
    for (let round = 0; round < rounds; round += 1)
      stays.push({ tempC: 28, hours: share * hours, shaped: true } as (typeof stays)[number]);
    const run = askRise({ recipe, doughC: 28, stays }, draw);
    const startS = (hours + (rounds - 1) * share * hours) * HOUR;
    const before = run.volumeAt(startS + 1);
    return (run.volumeAt(startS + share * hours * HOUR) / before - 1) / (firstTo - 1);
  };
}

/** Sugar so that there are so many grams in all on a hundred of the dough's water, and salt as asked. */
const sweet = (gramsPer100: number) => but(psyllium, { sugar: gramsPer100 * 0.95 });
const salted = (percent: number) => but(psyllium, { salt: percent });
const unsugared = but(psyllium, { sugar: null });

export const RISE_ROWS: readonly Row[] = [
  row('R1', 'A', 'HPMC', 'rice and starch, 2 % HPMC, 100 %, 1.5 % instant, 35 °C, 62 min', [
    grown(r1, 62, 2.0, 2.6),
    baked(r1, 62, 2.6, 3.9),
  ]),
  row('R2', 'A', 'xanthan', 'the same, 1.25 % xanthan', [grown(r2, 62, 1.5, 2.1), baked(r2, 62, 1.7, 2.6)]),
  row('R3', 'A', 'white psyllium', 'white loaf, 4.5 % psyllium, 95 %, 28 °C, 60 min', [
    grown(r3, 60, 1.5, 1.9),
    could(r3, 1.8, 2.4),
    baked(r3, 60, 1.9, 2.7),
  ]),
  row('R4', 'A', 'whole-grain psyllium', 'two thirds whole grain, 4.5 % psyllium, 106 %, 26 °C, 80 min', [
    grown(r4, 80, 1.35, 1.7),
    could(r4, 1.6, 2.1),
    baked(r4, 80, 1.6, 2.2),
  ]),
  row('R5', 'A', 'egg and xanthan', 'soft sandwich batter with egg, 30 °C, 52 min', [
    grown(r5, 52, 1.7, 2.3),
    baked(r5, 52, 2.2, 3.2),
  ]),
  row('R6', 'B', 'no binder', 'rice flour and water', [
    top(r6, 1.1, 1.45),
    baked(r6, 60, 1.05, 1.55),
    // it falls back
    answer('4 h over top', 'ratio', 0.75, 0.97, (draw) => {
      const run = askRise(r6, draw);
      return run.volumeAt(4 * HOUR) / run.top;
    }),
  ]),
  row('R7', 'C', 'xanthan', 'stiff dough with 1 % xanthan at 55 %', [
    grown(r7, 90, 1.05, 1.25),
    answer('left by a press', 'share', 0, 0.35, (draw) => {
      const run = askRise(
        {
          ...r7,
          stays: [
            { tempC: 26, hours: 1.5 },
            { tempC: 26, hours: 1, shaped: true },
          ],
        },
        draw,
      );
      return (run.volumeAt(1.5 * HOUR + 1) - 1) / (run.volumeAt(1.5 * HOUR) - 1);
    }),
  ]),
  row('R8', 'B', 'wild', 'ripe wild starter, 22 % of the flour, 24 °C', [
    answer('at 5.5 h', 'volume', 1.15, 1.5, (draw) => askRise(r8, draw).volumeAt(5.5 * HOUR)),
    answer('at 10.5 h', 'volume', 1.35, 1.9, (draw) => askRise(r8, draw).volumeAt(10.5 * HOUR)),
  ]),
  row('R9', 'A', 'little yeast', '0.25 % instant, 21 °C', [
    answer('at 2 h', 'volume', 1.02, 1.1, (draw) => askRise(r9, draw).volumeAt(2 * HOUR)),
    answer('time to 1.5', 'time', 5 * HOUR, 9 * HOUR, (draw) => askRise(r9, draw).timeTo(1.5)),
  ]),
  row('R10', 'B', 'cold', '0.65 % instant, balls to 5 °C from 24 °C', [
    answer('at 12 h', 'volume', 1.05, 1.3, (draw) => askRise(r10, draw).volumeAt(12 * HOUR)),
    answer('at 36 h', 'volume', 1.12, 1.5, (draw) => askRise(r10, draw).volumeAt(36 * HOUR)),
  ]),
  row('R11', 'B', 'cold', 'the same 8 h at 5 °C, then 2.5 h at 22 °C', [
    answer('at 10.5 h', 'volume', 1.35, 1.9, (draw) => askRise(r11, draw).volumeAt(10.5 * HOUR)),
  ]),
  row('R12', 'B', 'second rises', 'shaped again after a first rise', [
    answer('psyllium', 'share', 0.6, 1, again(psyllium, 1.55, 1)),
    answer('HPMC', 'share', 0.4, 0.8, again(hpmc, 1.7, 1)),
    answer('xanthan', 'share', 0.4, 0.8, again(xanthan, 1.5, 1)),
    answer('psyllium, third', 'share', 0.4, 1, again(psyllium, 1.55, 2)),
  ]),
  row('R13', 'B', 'enriched', 'enriched dough for frying, 28 °C, 87 min', [grown(r13, 87, 1.4, 1.9)]),
  row('R14', 'A', 'ratios', 'yeast doubled', [
    slower('time', r3, still(but(psyllium, { 'instant-yeast': 2.8 }), 28, 28, 3), 1.5, 0.5, 0.65),
  ]),
  row('R15', 'A', 'ratios', '17 against 27 °C', [
    slower('time', still(psyllium, 27, 27, 4), still(psyllium, 17, 17, 10), 1.5, 2, 2.8),
  ]),
  row('R16', 'B', 'chemical', 'baking powder 2 %, little yeast, 30 min', [
    grown(
      still(but(xanthan, { 'baking-powder': 2, 'instant-yeast': 0.3 }), 22, 22, 2),
      30, 1.03, 1.15,
    ),
  ]), // prettier-ignore
  row('R17', 'B', 'ratios', 'a third of the yeast alive', [
    slower('time', r3, still(but(psyllium, { 'instant-yeast': 1.4 / 3 }), 28, 28, 9), 1.5, 2, 3),
    answer('the same end or a little less', 'ratio', 0.8, 1.02, (draw) => {
      const few =
        askRise(still(but(psyllium, { 'instant-yeast': 1.4 / 3 }), 28, 28, 9, { anotherDay: true }), draw)
          .top - 1;
      return few / (askRise(still(psyllium, 28, 28, 9), draw).top - 1);
    }),
  ]),
  row('R18', 'C', 'white psyllium', 'skinned over in a dry place', [
    answer('top against covered', 'ratio', 0.6, 0.95, (draw) => {
      const dry = askRise({ ...r3, air: 'dry', anotherDay: true }, draw).top - 1;
      return dry / (askRise(r3, draw).top - 1);
    }),
  ]),
  row('R19', 'B', 'spring', 'oven spring, proofed to 77 % of what it could', [
    spring('HPMC', hpmc, 1.2, 1.4),
    spring('white psyllium', psyllium, 1.15, 1.4),
    spring('whole-grain psyllium', wholeGrain, 1.1, 1.3),
    spring('egg and xanthan', eggXanthan, 1.15, 1.35),
    spring('xanthan', xanthan, 1.05, 1.25),
    spring('none', bare, 0.95, 1.1),
    answer('psyllium, over-proofed', 'ratio', 0.85, 1.05, (draw) =>
      askRise(still(psyllium, 28, 30, 6), draw).springAt(5 * HOUR),
    ),
    answer('HPMC, over-proofed', 'ratio', 0.85, 1.05, (draw) =>
      askRise(still(hpmc, 28, 35, 6), draw).springAt(5 * HOUR),
    ),
  ]),
  row('R20', 'B', 'sugar and salt', 'sugar 10 / 20 / 30 g on 100 g of water against 3 g', [
    slower('10 g', still(sweet(3), 28, 28, 4), still(sweet(10), 28, 28, 6), 1.5, 1, 1.2),
    slower('20 g', still(sweet(3), 28, 28, 4), still(sweet(20), 28, 28, 9), 1.5, 1.3, 1.8),
    slower('30 g', still(sweet(3), 28, 28, 4), still(sweet(30), 28, 28, 14), 1.5, 2, 3.3),
  ]),
  row('R21', 'B', 'sugar and salt', 'salt 0 / 3 / 4 % against 1.8 %', [
    slower('none', r3, still(salted(0), 28, 28, 4), 1.5, 0.85, 0.95),
    slower('3 %', r3, still(salted(3), 28, 28, 5), 1.5, 1.05, 1.2),
    slower('4 %', r3, still(salted(4), 28, 28, 6), 1.5, 1.12, 1.35),
  ]),
  row('R22', 'B', 'no sugar', 'R3 and R4 without added sugar', [
    answer('R3 at 25 min against sugared', 'ratio', 0.5, 1.02, (draw) => {
      const plain = askRise(still(unsugared, 28, 28, 4), draw).volumeAt(25 * MIN) - 1;
      return plain / (askRise(r3, draw).volumeAt(25 * MIN) - 1);
    }),
    answer('R3 stalls at', 'volume', 1.1, 1.5, (draw) => askRise(still(unsugared, 28, 28, 4), draw).top),
    answer(
      'R4 still reaches',
      'volume',
      1.35,
      1.7,
      (draw) => askRise(still(but(wholeGrain, { sugar: null }), 26, 26, 6), draw).top,
    ),
  ]),
  row('R23', 'B', 'kinds of yeast', 'fresh 3 : instant 1 : active dry 1.25', [
    slower('fresh', { ...r3, bloomed: true }, still(but(psyllium, { 'instant-yeast': null, 'fresh-yeast': 4.2 }), 28, 28, 3), 1.5, 0.85, 1.15),
    slower('active dry, bloomed', { ...r3, bloomed: true }, still(but(psyllium, { 'instant-yeast': null, 'active-dry-yeast': 1.75 }), 28, 28, 3, { bloomed: true }), 1.5, 0.85, 1.15),
    answer('active dry, unbloomed: later by', 'time', 10 * MIN, 25 * MIN, (draw) => {
      const dry = askRise(still(but(psyllium, { 'instant-yeast': null, 'active-dry-yeast': 1.75 }), 28, 28, 4), draw).timeTo(1.5);
      const wet = askRise(still(but(psyllium, { 'instant-yeast': null, 'active-dry-yeast': 1.75 }), 28, 28, 4, { bloomed: true }), draw).timeTo(1.5);
      return dry === null || wet === null ? null : dry - wet;
    }),
    slower('instant wetted cold', still(psyllium, 12, 26, 8, { bloomed: true }), still(psyllium, 12, 26, 8), 1.5, 1.2, 2),
  ]), // prettier-ignore
  row('R24', 'B', 'starters', 'whole-grain starter at 25 °C, and at 20', [
    answer('1:1:1 peaks', 'time', 3.5 * HOUR, 6 * HOUR, (draw) => askStarter(1, 25, draw).topAtS),
    answer('1:5:5 peaks', 'time', 7 * HOUR, 11 * HOUR, (draw) => askStarter(5, 25, draw).topAtS),
    answer('1:1:1 reaches', 'volume', 1.3, 1.9, (draw) => askStarter(1, 25, draw).top),
    answer('1:5:5 reaches', 'volume', 1.3, 1.9, (draw) => askStarter(5, 25, draw).top),
    answer(
      '20 °C',
      'ratio',
      1.5,
      1.9,
      (draw) => askStarter(2, 20, draw, true).topAtS / askStarter(2, 25, draw).topAtS,
    ),
  ]),
  row('R25', 'C', 'frozen', 'frozen before rising, 2 / 8 weeks', [
    answer('2 weeks, time', 'ratio', 1.2, 1.6, (draw) => askFrozen(psyllium, 2, draw).time),
    answer('8 weeks, time', 'ratio', 1.5, 2.5, (draw) => askFrozen(psyllium, 8, draw).time),
    answer('2 weeks, growth', 'ratio', 0.8, 0.95, (draw) => askFrozen(psyllium, 2, draw).growth),
    answer('8 weeks, growth', 'ratio', 0.65, 0.9, (draw) => askFrozen(psyllium, 8, draw).growth),
  ]),
];
