import { askBake, askPreheat, askRise, askSinks, boilsAtC, HOUR, MIN, type BakeAsk } from '../ask';
import { DOUGHS } from '../doughs';
import { BROWN, type Answer, type Row } from '../practice';

const row = (id: string, sure: Row['sure'], style: string, dough: string, answers: readonly Answer[]): Row => ({
  id, sure, style, dough, answers, group: 'heat',
}); // prettier-ignore
const answer = (name: string, kind: Answer['kind'], low: number, high: number, of: Answer['of']): Answer => ({
  name, kind, low, high, of,
}); // prettier-ignore

/** When the middle is at 96 °C, from loading. */
const core96 = (ask: BakeAsk, lowMin: number, highMin: number, name = 'core 96 °C') =>
  answer(name, 'time', lowMin * MIN, highMin * MIN, (draw) => askBake(ask, draw).coreReaches(96));
/** Of its weight, as it is weighed when it is cut or eaten. */
const loses = (ask: BakeAsk, low: number, high: number) =>
  answer('loses', 'share', low, high, (draw) => askBake(ask, draw).lost);
const colour = (
  name: string,
  ask: BakeAsk,
  where: 'top' | 'base' | 'spots',
  [low, high]: readonly [number, number],
) => answer(name, 'colour', low, high, (draw) => askBake(ask, draw).brown[where]);
const cut = (ask: BakeAsk, lowMin: number, highMin: number) =>
  answer('below 32 °C', 'time', lowMin * MIN, highMin * MIN, (draw) => askBake(ask, draw).cutAfterS);
const over = (name: string, low: number, high: number, a: Answer['of'], b: Answer['of'], kind: Answer['kind'] = 'ratio') =>
  answer(name, kind, low, high, (draw) => {
    const [x, y] = [a(draw), b(draw)];
    return x === null || y === null ? null : kind === 'ratio' ? x / y : x - y;
  }); // prettier-ignore
const reaches =
  (ask: BakeAsk, coreC = 96): Answer['of'] =>
  (draw) =>
    askBake(ask, draw).coreReaches(coreC);

const later = (ask: BakeAsk): BakeAsk => ({ ...ask, anotherDay: true });

const golden = BROWN.golden;
const goldenBrown = [3, 12] as const;
const { psyllium, pizza, flat, rings, frying, cheese, crisp } = DOUGHS;

const disc: BakeAsk = {
  recipe: pizza, shape: 'disc', massG: 260, grown: 1.15, spring: 1.15, lengthCm: 29,
  toppingG: 175, oven: 'static', eatenWarm: true,
  phases: [{ kind: 'oven', min: 7.5, setC: 280, on: 'stone', topped: true }],
}; // prettier-ignore
const flame: BakeAsk = {
  ...disc, oven: 'flame', phases: [{ kind: 'oven', min: 98 / 60, setC: 455, on: 'stone', topped: true }],
}; // prettier-ignore
const bareDisc: BakeAsk = {
  ...disc, toppingG: 0, phases: [{ kind: 'oven', min: 6.5, setC: 220, on: 'stone' }],
}; // prettier-ignore
const griddled: BakeAsk = {
  recipe: flat, shape: 'flatbread', massG: 80, grown: 1, spring: 1.1, lengthCm: 17.2, oven: 'griddle', eatenWarm: true,
  phases: [{ kind: 'griddle', min: 85 / 60, setC: 230 }, { kind: 'griddle', min: 85 / 60, setC: 230, turned: true }],
}; // prettier-ignore
export const tinLoaf: BakeAsk = {
  recipe: psyllium, shape: 'tin', massG: 900, grown: 1.7, spring: 1.27, tin: 'dark', oven: 'static',
  phases: [{ kind: 'oven', min: 10, setC: 200, inTin: true }, { kind: 'oven', min: 57.5, setC: 180, inTin: true }],
}; // prettier-ignore
export const hearth: BakeAsk = {
  recipe: psyllium, shape: 'hearth', massG: 1000, grown: 1.6, spring: 1.27, oven: 'static',
  phases: [
    { kind: 'oven', min: 30, setC: 235, on: 'castIron', moist: 'lid' },
    { kind: 'oven', min: 32.5, setC: 220, on: 'castIron' },
  ],
}; // prettier-ignore
const openHearth: BakeAsk = {
  ...hearth, phases: [{ kind: 'oven', min: 30, setC: 235, on: 'stone' }, { kind: 'oven', min: 32.5, setC: 220, on: 'stone' }],
}; // prettier-ignore
export const stick: BakeAsk = {
  recipe: psyllium, shape: 'baguette', massG: 300, grown: 1.55, spring: 1.27, lengthCm: 31, oven: 'static', count: 2,
  phases: [{ kind: 'oven', min: 12, setC: 235, on: 'stone', moist: 'steam' }, { kind: 'oven', min: 14, setC: 235, on: 'stone' }],
}; // prettier-ignore
export const roll: BakeAsk = {
  recipe: psyllium, shape: 'roll', massG: 85, grown: 1.55, spring: 1.25, oven: 'static', count: 9,
  phases: [{ kind: 'oven', min: 21.5, setC: 205, on: 'tray' }],
}; // prettier-ignore
const ring: BakeAsk = {
  recipe: rings, shape: 'ring', massG: 110, grown: 1.3, spring: 1.2, oven: 'static', count: 8,
  phases: [{ kind: 'boil', min: 1.5, setC: 100 }, { kind: 'oven', min: 24, setC: 220, on: 'tray' }],
}; // prettier-ignore
const friedRing: BakeAsk = {
  recipe: frying, shape: 'ring', massG: 60, grown: 1.45, spring: 1.35, oven: 'fryer', count: 4, eatenWarm: true, thickMm: 15,
  phases: [{ kind: 'fry', min: 1.85, setC: 170 }, { kind: 'fry', min: 1.85, setC: 170, turned: true }],
}; // prettier-ignore
const friedRound: BakeAsk = {
  recipe: frying, shape: 'round', massG: 85, grown: 1.5, spring: 1.4, oven: 'fryer', count: 4, eatenWarm: true, thickMm: 25,
  phases: [{ kind: 'fry', min: 3, setC: 170 }, { kind: 'fry', min: 3, setC: 170, turned: true }],
}; // prettier-ignore
const cheeseBun: BakeAsk = {
  recipe: cheese, shape: 'roll', massG: 45, grown: 1, spring: 1.6, oven: 'static', count: 12, eatenWarm: true,
  phases: [{ kind: 'oven', min: 19.5, setC: 200, on: 'tray' }],
}; // prettier-ignore
const crispbread: BakeAsk = {
  recipe: crisp, shape: 'flatbread', massG: 300, grown: 1.05, spring: 1, oven: 'static', thickMm: 2.5,
  phases: [{ kind: 'oven', min: 45, setC: 165, on: 'tray' }],
}; // prettier-ignore
const bigLoaf: BakeAsk = {
  ...tinLoaf, massG: 1100, phases: [{ kind: 'oven', min: 10, setC: 200, inTin: true }, { kind: 'oven', min: 62, setC: 180, inTin: true }],
}; // prettier-ignore
const fixedTin: BakeAsk = { ...tinLoaf, lengthCm: 24, widthCm: 11 };
const lighter: BakeAsk = { ...fixedTin, massG: 600, grown: 1.7 * 1.5 };
const larger: BakeAsk = { ...tinLoaf, grown: 1.7 * 1.3 };
const still200: BakeAsk = {
  ...tinLoaf, phases: [{ kind: 'oven', min: 80, setC: 190, inTin: true }],
}; // prettier-ignore
const round = (massG: number): BakeAsk => ({
  ...hearth, massG, count: 1, phases: [{ kind: 'oven', min: massG > 1500 ? 140 : 90, setC: 200, on: 'tray' }],
}); // prettier-ignore
const doneDisc =
  (ask: BakeAsk): Answer['of'] =>
  (draw) => {
    const bake = askBake(
      { ...ask, phases: ask.phases.map((phase) => ({ ...phase, min: 2.2 * phase.min })) },
      draw,
    );
    const brown = bake.brownReaches('base', 12);
    return brown === null || bake.setAtS === null ? null : Math.max(brown, bake.setAtS);
  };
const r3 = (altitudeM: number) => ({
  recipe: psyllium,
  doughC: 28,
  stays: [{ tempC: 28, hours: 3 }],
  altitudeM,
});
const faster =
  (altitudeM: number): Answer['of'] =>
  (draw) => {
    const there = askRise({ ...r3(altitudeM), anotherDay: true }, draw).timeTo(1.5);
    const here = askRise(r3(0), draw).timeTo(1.5);
    return there === null || here === null ? null : there / here;
  };
const highLoaf = (altitudeM: number): BakeAsk => ({ ...tinLoaf, altitudeM });
const levels =
  (altitudeM: number): Answer['of'] =>
  (draw) =>
    askBake(tinLoaf, draw).coreAtEndC - askBake(later(highLoaf(altitudeM)), draw).coreAtEndC;
const losesMore =
  (altitudeM: number): Answer['of'] =>
  (draw) =>
    askBake(later(highLoaf(altitudeM)), draw).lost - askBake(tinLoaf, draw).lost;

export const HEAT_ROWS: readonly Row[] = [
  row('H1', 'B', 'discs', 'disc 260 g, 29 cm, 175 g of topping, stone 280 °C', [
    answer('done', 'time', 6 * MIN, 9 * MIN, doneDisc(disc)),
    colour('base', disc, 'base', BROWN.brown),
    colour('rim', disc, 'top', golden),
    loses(disc, 0.1, 0.16),
  ]),
  row('H2', 'B', 'discs', 'the same at 455 °C, floor and flame', [
    answer('done', 'time', 75, 120, doneDisc(flame)),
    colour('base, spots', flame, 'spots', [12, 90]),
    colour('rim', flame, 'top', [5, 32]),
    loses(flame, 0.06, 0.1),
  ]),
  row('H3', 'A', 'discs', 'bare par-bake, 220 °C, 6.5 min', [
    answer('set', 'time', 30, 6.5 * MIN, (draw) => askBake(bareDisc, draw).setAtS),
    colour('above', bareDisc, 'top', BROWN.pale),
    colour('beneath', bareDisc, 'base', BROWN.straw),
    loses(bareDisc, 0.06, 0.12),
  ]),
  row('H4', 'A', 'flats', 'griddled flat 80 g, plate 230 °C, 85 s a side', [
    colour('spots', griddled, 'spots', BROWN.brown),
    loses(griddled, 0.08, 0.14),
  ]),
  row('H5', 'A', 'tin loaves', 'tin loaf 900 g, 200 then 180 °C', [
    core96(tinLoaf, 45, 60),
    loses(tinLoaf, 0.1, 0.13),
    colour('top', tinLoaf, 'top', goldenBrown),
  ]),
  row('H6', 'A', 'hearth', 'hearth round 1 kg, lidded pot', [
    core96(hearth, 42, 56),
    loses(hearth, 0.12, 0.17),
  ]),
  row('H7', 'A', 'sticks', 'stick 300 g, stone and steam, 235 °C', [
    core96(stick, 13, 17),
    loses(stick, 0.15, 0.2),
  ]),
  row('H8', 'A', 'rolls', 'roll 85 g, tray, 205 °C', [
    core96(roll, 12, 17),
    colour('top', roll, 'top', golden),
    loses(roll, 0.09, 0.13),
  ]),
  row('H9', 'A', 'rings', 'boiled ring 110 g, 220 °C, 24 min', [
    colour('top', ring, 'top', [1.5, 32]),
    loses(ring, 0.08, 0.13),
  ]),
  row('H10', 'A', 'fried', 'fried ring 60 g, 15 mm, 170 °C, 1.85 min a side', [
    colour('skin', friedRing, 'top', [1.5, 12]),
    answer('core at the end', 'tempC', 90, 98, (draw) => askBake(friedRing, draw).coreAtEndC),
  ]),
  row('H11', 'B', 'fried', 'fried round 85 g, 25 mm, 170 °C, 3 min a side', [
    colour('skin', friedRound, 'top', goldenBrown),
    answer('core at the end', 'tempC', 80, 95, (draw) => askBake(friedRound, draw).coreAtEndC),
    answer('rises on the rack by', 'degreesC', 2, 6, (draw) => {
      const bake = askBake(friedRound, draw);
      return bake.coreTopC - bake.coreAtEndC;
    }),
  ]),
  row('H12', 'B', 'cheese buns', 'cheese bun 45 g, tray 200 °C, 19.5 min', [
    colour('beneath', cheeseBun, 'base', golden),
    colour('above', cheeseBun, 'top', [0.5, 3]),
    loses(cheeseBun, 0.09, 0.14),
  ]),
  row('H13', 'A', 'crispbread', 'crispbread 2.5 mm, 165 °C', [
    answer('crisp', 'time', 35 * MIN, 55 * MIN, (draw) =>
      askBake({ ...crispbread, phases: [{ ...crispbread.phases[0]!, min: 100 }] }, draw).driesTo(0.07),
    ),
    colour('top', crispbread, 'top', golden),
  ]),
  row('H14', 'A', 'cooling', 'tin loaf 1,100 g on a rack', [cut(bigLoaf, 120, 180)]),
  row('H15', 'A', 'cooling', 'rolls 85 g on a rack', [
    cut(roll, 40, 65),
    answer('no longer gummy', 'time', 60 * MIN, 120 * MIN, (draw) => askBake(roll, draw).firmAfterS),
  ]),
  row('H16', 'A', 'cooling', 'flats, discs, cheese buns, fried pieces: eaten warm', [
    answer('disc', 'time', 3 * MIN, 15 * MIN, (draw) => askBake(disc, draw).eatAfterS),
    answer('flat', 'time', 3 * MIN, 15 * MIN, (draw) => askBake(griddled, draw).eatAfterS),
    answer('cheese bun', 'time', 3 * MIN, 15 * MIN, (draw) => askBake(cheeseBun, draw).eatAfterS),
    answer('fried', 'time', 3 * MIN, 15 * MIN, (draw) => askBake(friedRound, draw).eatAfterS),
  ]),
  row('H17', 'A', 'preheating', 'stone 17 mm, steel 8 mm, pot, 250 °C', [
    answer('stone', 'time', 40 * MIN, 60 * MIN, (draw) => askPreheat('stone', 250, 0.0175, draw)),
    answer('steel', 'time', 30 * MIN, 45 * MIN, (draw) => askPreheat('steel', 250, 0.008, draw)),
    answer('pot', 'time', 25 * MIN, 40 * MIN, (draw) => askPreheat('castIron', 250, null, draw)),
  ]),
  row('H18', 'B', 'tin loaves', 'same tin, a third less dough; same weight, larger', [
    over('a third less', 0.75, 0.9, reaches(later(lighter)), reaches(fixedTin)),
    over('same weight, larger', 0.98, 1.25, reaches(later(larger)), reaches(tinLoaf)),
  ]),
  row('H19', 'B', 'tin loaves', 'dark against shiny tin; fan against still', [
    over('dark, core', 0.86, 0.94, reaches(still200), reaches(later({ ...still200, tin: 'shiny' }))),
    over('fan, core', 0.85, 0.92, reaches(later({ ...still200, oven: 'fan' })), reaches(still200)),
    over('fan, colour', 0.7, 0.85,
      (draw) => askBake(later({ ...still200, oven: 'fan' }), draw).brownReaches('top', 2),
      (draw) => askBake(still200, draw).brownReaches('top', 2)),
    over('fan, 17 °C lower', 0.94, 1.06,
      reaches({ ...still200, oven: 'fan', phases: [{ ...still200.phases[0]!, setC: 173 }] }),
      reaches(still200)),
  ]), // prettier-ignore
  row('H20', 'A', 'hearth', 'one shape, weight doubled', [
    over('core 96 °C', 1.45, 1.6, reaches(later(round(2000))), reaches(round(1000))),
    over('cooling', 1.4, 1.6, (draw) => askBake(round(2000), draw).cutAfterS, (draw) => askBake(round(1000), draw).cutAfterS),
    answer('2 kg below 32 °C', 'time', 3.5 * HOUR, 5 * HOUR, (draw) => askBake(round(2000), draw).cutAfterS),
  ]), // prettier-ignore
  row('H21', 'B', 'hearth', 'H6 with neither lid nor steam', [
    over('volume', 0.85, 0.95, (draw) => askBake(later(openHearth), draw).volume, (draw) => askBake(hearth, draw).volume),
    answer('colours from', 'time', 12 * MIN, 18 * MIN, (draw) => askBake(openHearth, draw).brownReaches('top', 0.5)),
    loses(openHearth, 0.14, 0.2),
    over('core 96 °C', 0.9, 1.1, reaches(later(openHearth)), reaches(hearth)),
  ]), // prettier-ignore
  row('H22', 'B', 'altitude', '1,500 and 2,500 m', [
    answer('boils, 1,500 m', 'tempC', 94.7, 95.3, (draw) => boilsAtC(1500, draw)),
    answer('boils, 2,500 m', 'tempC', 91.4, 92, (draw) => boilsAtC(2500, draw)),
    answer('rise, 1,500 m', 'ratio', 0.83, 0.92, faster(1500)),
    answer('rise, 2,500 m', 'ratio', 0.73, 0.87, faster(2500)),
    answer('core lower, 1,500 m', 'degreesC', 4, 6, levels(1500)),
    answer('core lower, 2,500 m', 'degreesC', 7, 9, levels(2500)),
    answer('loses more, 1,500 m', 'share', 0.005, 0.02, losesMore(1500)),
    answer('loses more, 2,500 m', 'share', 0.005, 0.02, losesMore(2500)),
  ]),
  row('H23', 'B', 'HPMC', 'HPMC loaf pulled before its starch has set', [
    answer('sinks at core 80 °C', 'share', 0.05, 0.4, (draw) => askSinks(80, draw)),
    answer('stands at core 96 °C', 'share', 0, 0.04, (draw) => askSinks(96, draw)),
  ]),
];
