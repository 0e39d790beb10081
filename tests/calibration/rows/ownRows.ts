/**
 * Rows of our own, from general baking knowledge and not from any bake of the demo kitchen; written before the first fit. They
 * count in the fit and are told apart from the given ones.
 */
import { askBake, askFeel, askRise, MIN, type BakeAsk, type RiseAsk } from '../ask';
import { but, DOUGHS, ORDINARY, type Recipe, type Times } from '../doughs';
import { BROWN, FEEL, type Answer, type Row } from '../practice';
import { hearth, roll, stick as hotStick, tinLoaf } from './heatRows';

const row = (
  id: string, group: Row['group'], sure: Row['sure'], style: string, dough: string, answers: readonly Answer[],
): Row => ({ id, group, sure, style, dough, answers }); // prettier-ignore
const answer = (name: string, kind: Answer['kind'], low: number, high: number, of: Answer['of']): Answer => ({
  name, kind, low, high, of,
}); // prettier-ignore
const still = (recipe: Recipe, doughC: number, placeC: number, hours: number, more: Partial<RiseAsk> = {}): RiseAsk => ({
  recipe, doughC, stays: [{ tempC: placeC, hours }], ...more,
}); // prettier-ignore
const grown = (ask: RiseAsk, atMin: number, low: number, high: number) =>
  answer(`at ${atMin} min`, 'volume', low, high, (draw) => askRise(ask, draw).volumeAt(atMin * MIN));
const until = (ask: RiseAsk, to: number, lowMin: number, highMin: number) =>
  answer(`time to ${to}`, 'time', lowMin * MIN, highMin * MIN, (draw) => askRise(ask, draw).timeTo(to));
const could = (ask: RiseAsk, low: number, high: number) =>
  answer('could reach', 'volume', low, high, (draw) => askRise(ask, draw).canHold);
type Word = keyof typeof FEEL;
const feel = (recipe: Recipe, when: 'mixed' | 'rested', from: Word, to: Word = from) =>
  answer(when, 'feel', FEEL[from][0], FEEL[to][1], (draw) => askFeel(recipe, when, draw));
const core96 = (ask: BakeAsk, lowMin: number, highMin: number) =>
  answer('core 96 °C', 'time', lowMin * MIN, highMin * MIN, (draw) => askBake(ask, draw).coreReaches(96));

const { hpmc, psyllium, wholeGrain, xanthan, eggXanthan, pizza, rings } = DOUGHS;
const rollDough: Recipe = {
  'white-rice-flour': 30, 'millet-flour': 30, 'tapioca-starch': 40, ...ORDINARY, 'psyllium-husk': 4,
  'sunflower-oil': 3, water: 92, 'instant-yeast': 1.8,
}; // prettier-ignore
const linseed = but(xanthan, { xanthan: null, 'ground-linseed': 6, water: 88 });
const chia = but(xanthan, { xanthan: null, chia: 5, water: 95 });
const sourBuckwheat: Recipe = {
  'buckwheat-flour': 70, 'buckwheat-starter': 60, salt: 1.8, 'psyllium-husk': 2, water: 70,
}; // prettier-ignore
const mixedFor = (recipe: Recipe, mixMin: number, draw: number | null): number =>
  askFeel(recipe, 'mixed', draw, { mixMin } satisfies Times) ?? 0;
const mixing = (name: string, recipe: Recipe) =>
  answer(name, 'share', 0, 0.07, (draw) =>
    Math.abs(mixedFor(recipe, 0.75, draw) - mixedFor(recipe, 5, draw)),
  );

const small: BakeAsk = {
  ...tinLoaf, massG: 500, phases: [{ kind: 'oven', min: 55, setC: 190, inTin: true }],
}; // prettier-ignore
const focaccia: BakeAsk = {
  recipe: but(psyllium, { 'olive-oil': 6 }), shape: 'flatbread', massG: 900, grown: 1.6, spring: 1.2, thickMm: 22,
  oven: 'static', phases: [{ kind: 'oven', min: 25, setC: 220, on: 'tray' }],
}; // prettier-ignore
const crackers = (setC: number): BakeAsk => ({
  recipe: DOUGHS.crisp, shape: 'flatbread', massG: 300, grown: 1.05, spring: 1, thickMm: 2.5, oven: 'static',
  phases: [{ kind: 'oven', min: 160, setC, on: 'tray' }],
}); // prettier-ignore
const fried = (setC: number): BakeAsk => ({
  recipe: DOUGHS.frying, shape: 'ring', massG: 60, grown: 1.45, spring: 1.35, oven: 'fryer', count: 4, eatenWarm: true,
  thickMm: 15, phases: [{ kind: 'fry', min: 6, setC }],
}); // prettier-ignore
const loafAt = (setC: number, min: number): BakeAsk => ({
  ...tinLoaf, phases: [{ kind: 'oven', min, setC, inTin: true }],
}); // prettier-ignore
const stick: BakeAsk = {
  recipe: psyllium, shape: 'baguette', massG: 250, grown: 1.55, spring: 1.27, lengthCm: 32, oven: 'static',
  phases: [{ kind: 'oven', min: 24, setC: 230, on: 'tray' }],
}; // prettier-ignore
const steelDisc: BakeAsk = {
  recipe: pizza, shape: 'disc', massG: 240, grown: 1.15, spring: 1.15, lengthCm: 28, toppingG: 150, oven: 'static',
  eatenWarm: true, phases: [{ kind: 'oven', min: 6, setC: 275, on: 'steel', topped: true }],
}; // prettier-ignore

export const OWN_ROWS: readonly Row[] = [
  row('O1', 'fermentation', 'A', 'white psyllium', 'rolls with a third millet, 1.8 % instant, 30 °C', [grown(still(rollDough, 28, 30, 2), 45, 1.4, 1.85)]),
  row('O2', 'fermentation', 'B', 'white psyllium', 'disc dough, 0.8 % instant, 22 °C', [grown(still(pizza, 22, 22, 5), 120, 1.25, 1.65)]),
  row('O3', 'fermentation', 'A', 'ratios', '32 against 24 °C', [
    answer('time', 'ratio', 0.45, 0.72, (draw) => {
      const warm = askRise(still(psyllium, 32, 32, 3), draw).timeTo(1.5);
      const cool = askRise(still(psyllium, 24, 24, 5, { anotherDay: true }), draw).timeTo(1.5);
      return warm === null || cool === null ? null : warm / cool;
    }),
  ]),
  row('O4', 'fermentation', 'B', 'HPMC', '3 % HPMC with egg white', [could(still(but(hpmc, { hpmc: 3, 'egg-white': 10, water: 95 }), 28, 32, 3), 2.3, 3.5)]),
  row('O5', 'fermentation', 'B', 'xanthan', '1.5 % guar for the xanthan', [grown(still(but(xanthan, { xanthan: null, guar: 1.5, water: 95 }), 28, 30, 3), 65, 1.3, 1.85)]),
  row('O6', 'fermentation', 'B', 'seeds', '6 % ground linseed, no other binder', [grown(still(linseed, 28, 28, 3), 70, 1.2, 1.6)]),
  row('O7', 'fermentation', 'B', 'seeds', '5 % chia, no other binder', [grown(still(chia, 28, 28, 3), 70, 1.25, 1.65)]),
  row('O8', 'fermentation', 'B', 'white psyllium', '8 % psyllium, 118 % water', [could(still(but(psyllium, { 'psyllium-husk': 8, water: 118 }), 28, 28, 3), 1.7, 2.5)]),
  row('O9', 'fermentation', 'B', 'white psyllium', 'too dry: 4.5 % psyllium, 75 % water', [grown(still(but(psyllium, { water: 75 }), 28, 28, 3), 60, 1.2, 1.65)]),
  row('O10', 'fermentation', 'B', 'white psyllium', 'too wet: 4.5 % psyllium, 120 % water', [grown(still(but(psyllium, { water: 120 }), 28, 28, 3), 60, 1.4, 2)]),
  row('O11', 'fermentation', 'B', 'wild', 'sour buckwheat, 30 % of the flour from the starter, 26 °C', [grown(still(sourBuckwheat, 25, 26, 9), 300, 1.15, 1.6)]),
  row('O12', 'fermentation', 'A', 'little yeast', 'an hour in the room for taste, 0.5 % instant, 22 °C', [grown(still(but(pizza, { 'instant-yeast': 0.5 }), 22, 22, 3), 60, 1.02, 1.22)]),
  row('O13', 'fermentation', 'B', 'ratios', 'very much yeast: 4 % instant at 30 °C', [until(still(but(psyllium, { 'instant-yeast': 4 }), 30, 30, 2), 1.5, 16, 30)]),
  row('O14', 'fermentation', 'B', 'egg and xanthan', 'sandwich batter with 1 % instant, 26 °C', [until(still(but(eggXanthan, { 'instant-yeast': 1 }), 26, 26, 4), 1.5, 50, 85)]),
  row('O15', 'fermentation', 'B', 'cold', '0.3 % instant, 12 h at 10 °C', [grown(still(but(psyllium, { 'instant-yeast': 0.3 }), 20, 10, 14), 720, 1.08, 1.45)]),
  row('O16', 'fermentation', 'B', 'whole-grain psyllium', 'half whole grain, 1 % instant, 24 °C', [
    until(still(but(wholeGrain, { 'instant-yeast': 1 }), 24, 24, 5), 1.4, 70, 130),
  ]),
  row('O20', 'consistency', 'A', 'no binder', 'griddle batter of rice, tapioca and milk', [
    feel({ 'white-rice-flour': 60, 'tapioca-starch': 40, salt: 1, 'whole-milk': 150 }, 'mixed', 'pourable'),
  ]),
  row('O21', 'consistency', 'B', 'no binder', 'brown rice alone, 85 %', [feel({ 'brown-rice-flour': 100, salt: 1.8, water: 85 }, 'mixed', 'soft', 'sticky')]),
  row('O22', 'consistency', 'B', 'no binder', 'oat flour alone, 80 %', [feel({ 'oat-flour-certified': 100, salt: 1.8, water: 80 }, 'rested', 'stiff', 'soft')]),
  row('O23', 'consistency', 'B', 'xanthan', 'a tenth of potato flour, 1 % xanthan, 95 %', [
    feel({ 'white-rice-flour': 50, 'tapioca-starch': 40, 'potato-flour': 10, salt: 1.8, xanthan: 1, water: 95 }, 'rested', 'soft', 'sticky'),
  ]),
  row('O24', 'consistency', 'A', 'white psyllium', 'disc dough, 3.5 % psyllium, 88 %', [feel(pizza, 'mixed', 'sticky', 'thickBatter'), feel(pizza, 'rested', 'soft', 'sticky')]),
  row('O25', 'consistency', 'A', 'white psyllium', 'rings, 5 % psyllium, 82 %', [feel(rings, 'rested', 'stiff', 'soft')]),
  row('O26', 'consistency', 'B', 'seeds', '6 % ground linseed, 88 %', [feel(linseed, 'mixed', 'sticky', 'thickBatter'), feel(linseed, 'rested', 'soft', 'sticky')]),
  row('O27', 'consistency', 'B', 'seeds', '5 % chia, 95 %', [feel(chia, 'rested', 'soft', 'sticky')]),
  row('O28', 'consistency', 'A', 'mixing', '45 s or 5 min of mixing hardly matter', [mixing('psyllium', psyllium), mixing('xanthan', xanthan), mixing('bare rice', DOUGHS.bare)]),
  row('O29', 'consistency', 'B', 'no binder', 'lime-cooked maize flour, 130 %', [feel({ 'masa-harina': 100, salt: 1, water: 130 }, 'rested', 'soft')]),
  row('O30', 'consistency', 'B', 'enriched', 'fried dough with egg, butter and sugar', [feel(DOUGHS.frying, 'rested', 'soft', 'thickBatter')]),
  row('O40', 'heat', 'A', 'tin loaves', 'tin loaf 500 g, 190 °C', [core96(small, 32, 46)]),
  row('O41', 'heat', 'A', 'rolls', 'roll 60 g, tray, 200 °C', [core96({ ...roll, massG: 60, phases: [{ kind: 'oven', min: 25, setC: 200, on: 'tray' }] }, 9, 14.5)]),
  row('O42', 'heat', 'B', 'rolls', 'large roll 130 g, tray, 195 °C', [core96({ ...roll, massG: 130, phases: [{ kind: 'oven', min: 40, setC: 195, on: 'tray' }] }, 16, 24)]),
  row('O43', 'heat', 'B', 'flats', 'dimpled tray bread 22 mm, 220 °C, 25 min', [
    answer('loses', 'share', 0.09, 0.16, (draw) => askBake(focaccia, draw).lost),
    answer('top', 'colour', BROWN.golden[0], BROWN.deepGolden[1], (draw) => askBake(focaccia, draw).brown.top),
  ]),
  row('O44', 'heat', 'A', 'cooling', 'tin loaf 700 g on a rack', [
    answer('below 32 °C', 'time', 85 * MIN, 140 * MIN, (draw) => askBake({ ...tinLoaf, massG: 700 }, draw).cutAfterS),
  ]),
  row('O45', 'heat', 'B', 'cooling', 'stick 250 g on a rack', [
    answer('below 32 °C', 'time', 25 * MIN, 55 * MIN, (draw) => askBake(stick, draw).cutAfterS),
  ]),
  row('O46', 'heat', 'B', 'crispbread', 'crackers at 150 against 165 °C', [
    answer('crisp', 'ratio', 1.1, 1.6, (draw) => {
      const slow = askBake(crackers(150), draw).driesTo(0.07);
      const fast = askBake(crackers(165), draw).driesTo(0.07);
      return slow === null || fast === null ? null : slow / fast;
    }),
  ]),
  row('O47', 'heat', 'B', 'fried', 'oil at 185 against 170 °C', [
    answer('golden', 'ratio', 0.45, 0.75, (draw) => {
      const hot = askBake(fried(185), draw).brownReaches('base', 1.5);
      const usual = askBake(fried(170), draw).brownReaches('base', 1.5);
      return hot === null || usual === null ? null : hot / usual;
    }),
  ]),
  row('O48', 'heat', 'B', 'tin loaves', 'tin loaf 900 g pulled at 35 min', [
    answer('core', 'tempC', 78, 94, (draw) => askBake(loafAt(190, 35), draw).coreAtEndC),
  ]),
  row('O49', 'heat', 'B', 'tin loaves', '160 against 190 °C', [
    answer('core 96 °C', 'ratio', 1.12, 1.4, (draw) => {
      const slow = askBake(loafAt(160, 110), draw).coreReaches(96);
      const usual = askBake(loafAt(190, 90), draw).coreReaches(96);
      return slow === null || usual === null ? null : slow / usual;
    }),
  ]),
  row('O50', 'heat', 'B', 'discs', 'disc with topping on steel at 275 °C, 6 min', [
    answer('base', 'colour', BROWN.deepGolden[0], BROWN.dark[0], (draw) => askBake(steelDisc, draw).brown.base),
    answer('loses', 'share', 0.08, 0.15, (draw) => askBake(steelDisc, draw).lost),
  ]),
  // added after the first fit, which had no colour of a hearth loaf or a stick to go by
  row('O51', 'heat', 'B', 'hearth', 'the colour of H6: half an hour uncovered', [
    answer('top', 'colour', BROWN.deepGolden[0], BROWN.brown[1], (draw) => askBake(hearth, draw).brown.top),
  ]),
  row('O52', 'heat', 'B', 'sticks', 'the colour of H7', [
    answer('top', 'colour', 3, 20, (draw) => askBake(hotStick, draw).brown.top),
  ]),
]; // prettier-ignore
