/**
 * Ten doughs that are in no row, with what a practised baker expects of each; written before the first fit and never fitted to.
 * docs/models.md judges the models by them.
 */
import { askBake, askFeel, askRise, MIN, type BakeAsk, type RiseAsk } from '../ask';
import { ORDINARY, type Recipe } from '../doughs';
import { BROWN, FEEL, type Answer, type Row } from '../practice';

type Word = keyof typeof FEEL;
const answer = (name: string, kind: Answer['kind'], low: number, high: number, of: Answer['of']): Answer => ({
  name, kind, low, high, of,
}); // prettier-ignore
const feel = (recipe: Recipe, when: 'mixed' | 'rested', from: Word, to: Word = from) =>
  answer(when, 'feel', FEEL[from][0], FEEL[to][1], (draw) => askFeel(recipe, when, draw));
const grown = (ask: RiseAsk, atMin: number, low: number, high: number) =>
  answer(`grown at ${atMin} min`, 'volume', low, high, (draw) => askRise(ask, draw).volumeAt(atMin * MIN));
const baked = (ask: RiseAsk, atMin: number, low: number, high: number) =>
  answer('baked', 'perG', low, high, (draw) => askRise(ask, draw).bakedMlPerG(atMin * MIN));
const core96 = (ask: BakeAsk, lowMin: number, highMin: number) =>
  answer('core 96 °C', 'time', lowMin * MIN, highMin * MIN, (draw) => askBake(ask, draw).coreReaches(96));
const loses = (ask: BakeAsk, low: number, high: number) =>
  answer('loses', 'share', low, high, (draw) => askBake(ask, draw).lost);
const still = (recipe: Recipe, doughC: number, placeC: number, hours: number): RiseAsk => ({
  recipe, doughC, stays: [{ tempC: placeC, hours }],
}); // prettier-ignore
const row = (id: string, dough: string, answers: readonly Answer[]): Row => ({
  id, dough, answers, group: 'fermentation', sure: 'B', style: 'ten',
}); // prettier-ignore

const t1: Recipe = {
  'sorghum-flour': 35, 'millet-flour': 25, 'tapioca-starch': 40, ...ORDINARY, 'psyllium-husk': 3.5, xanthan: 0.5,
  'egg-whole': 10, water: 88, 'instant-yeast': 1.2,
}; // prettier-ignore
const t2: Recipe = {
  'teff-flour': 60, 'tapioca-starch': 40, salt: 1.5, 'psyllium-husk': 2, water: 100, 'instant-yeast': 0.6,
}; // prettier-ignore
const t3: Recipe = {
  'rice-starch': 30, 'white-rice-flour': 40, 'maize-starch': 24, 'pea-protein': 6, ...ORDINARY, hpmc: 2.2, 'sunflower-oil': 4,
  water: 105, 'instant-yeast': 1.6,
}; // prettier-ignore
const t4: Recipe = {
  'buckwheat-flour': 80, 'potato-starch': 20, salt: 2, 'psyllium-husk': 6, water: 118, 'instant-yeast': 0.4,
}; // prettier-ignore
const t5: Recipe = {
  'chickpea-flour': 25, 'white-rice-flour': 45, 'tapioca-starch': 30, ...ORDINARY, xanthan: 0.6, 'psyllium-husk': 2, water: 82,
  'olive-oil': 4, 'instant-yeast': 1,
}; // prettier-ignore
const t6: Recipe = {
  'oat-flour-certified': 70, 'potato-starch': 30, ...ORDINARY, 'psyllium-husk': 4, water: 105, 'instant-yeast': 1.5,
}; // prettier-ignore
const t7: Recipe = {
  'sweet-rice-flour': 30, 'tapioca-starch': 40, 'white-rice-flour': 30, salt: 1.2, sugar: 12, 'egg-whole': 30, butter: 20,
  'psyllium-husk': 3, xanthan: 0.5, 'whole-milk': 55, 'instant-yeast': 2,
}; // prettier-ignore
const t8: Recipe = {
  'wheat-starch-gluten-free': 60, 'white-rice-flour': 40, ...ORDINARY, guar: 2, 'sunflower-oil': 3, water: 88,
  'instant-yeast': 1.5,
}; // prettier-ignore
const t9: Recipe = {
  'red-rice-flour': 50, 'arrowroot': 30, 'rice-starter': 40, salt: 1.8, sugar: 1, 'psyllium-husk': 4, water: 82,
}; // prettier-ignore
const t10: Recipe = {
  'quinoa-flour': 30, 'amaranth-flour': 20, 'tapioca-starch': 50, ...ORDINARY, 'ground-linseed': 4, 'psyllium-husk': 3, water: 98,
  'instant-yeast': 1.2,
}; // prettier-ignore

const loaf = (recipe: Recipe, massG: number, grownTo: number): BakeAsk => ({
  recipe, shape: 'tin', massG, grown: grownTo, spring: 1.22, tin: 'dark', oven: 'static',
  phases: [{ kind: 'oven', min: 70, setC: 190, inTin: true }],
}); // prettier-ignore

export const TEN_DOUGHS: readonly Row[] = [
  row('T1', 'sorghum and millet tin loaf with an egg, two binders', [
    feel(t1, 'rested', 'soft', 'sticky'),
    grown(still(t1, 27, 28, 3), 75, 1.4, 1.85),
    baked(still(t1, 27, 28, 3), 75, 1.7, 2.4),
    core96(loaf(t1, 850, 1.6), 44, 60),
  ]),
  row('T2', 'teff pan flats, little yeast, no sugar', [
    feel(t2, 'rested', 'soft', 'thickBatter'),
    grown(still(t2, 22, 22, 5), 180, 1.15, 1.5),
  ]),
  row('T3', 'HPMC sandwich loaf with pea protein', [
    feel(t3, 'mixed', 'sticky', 'thickBatter'),
    grown(still(t3, 28, 33, 3), 55, 1.8, 2.4),
    baked(still(t3, 28, 33, 3), 55, 2.4, 3.6),
    core96(loaf(t3, 700, 2.1), 36, 52),
  ]),
  row('T4', 'four fifths buckwheat, a night in the fridge', [
    feel(t4, 'rested', 'stiff', 'sticky'),
    answer('after 14 h at 5 °C', 'volume', 1.04, 1.3, (draw) =>
      askRise(
        { recipe: t4, doughC: 24, pieceG: 500, standing: 'pieces', stays: [{ tempC: 5, hours: 20 }] },
        draw,
      ).volumeAt(14 * 60 * MIN),
    ),
  ]),
  row('T5', 'pocket flats of chickpea and rice', [
    feel(t5, 'rested', 'soft', 'sticky'),
    grown(still(t5, 26, 26, 4), 70, 1.25, 1.65),
  ]),
  row('T6', 'oat rolls', [
    feel(t6, 'rested', 'soft', 'sticky'),
    grown(still(t6, 28, 29, 3), 50, 1.3, 1.7),
    answer('roll 90 g: core 96 °C', 'time', 12 * MIN, 18 * MIN, (draw) =>
      askBake(
        {
          recipe: t6, shape: 'roll', massG: 90, grown: 1.5, spring: 1.2, oven: 'static', count: 8,
          phases: [{ kind: 'oven', min: 25, setC: 205, on: 'tray' }],
        },
        draw,
      ).coreReaches(96),
    ), // prettier-ignore
  ]),
  row('T7', 'buttery buns with three tenths of egg', [
    feel(t7, 'rested', 'soft', 'thickBatter'),
    grown(still(t7, 27, 28, 4), 90, 1.35, 1.85),
  ]),
  row('T8', 'starch-led loaf with guar', [
    feel(t8, 'mixed', 'sticky', 'thickBatter'),
    grown(still(t8, 28, 30, 3), 60, 1.3, 1.85),
    baked(still(t8, 28, 30, 3), 60, 1.6, 2.4),
  ]),
  row('T9', 'red rice batons on a rice starter', [
    feel(t9, 'rested', 'soft', 'thickBatter'),
    grown(still(t9, 24, 24, 12), 480, 1.2, 1.65),
  ]),
  row('T10', 'quinoa and amaranth rolls with linseed', [
    feel(t10, 'rested', 'soft', 'sticky'),
    grown(still(t10, 27, 28, 3), 65, 1.35, 1.75),
    answer('roll 85 g: top', 'colour', BROWN.golden[0], BROWN.brown[0], (draw) =>
      askBake(
        {
          recipe: t10, shape: 'roll', massG: 85, grown: 1.5, spring: 1.2, oven: 'static', count: 9,
          phases: [{ kind: 'oven', min: 22, setC: 210, on: 'tray' }],
        },
        draw,
      ).brown.top,
    ), // prettier-ignore
    loses(
      {
        recipe: t10, shape: 'roll', massG: 85, grown: 1.5, spring: 1.2, oven: 'static', count: 9,
        phases: [{ kind: 'oven', min: 22, setC: 210, on: 'tray' }],
      },
      0.09,
      0.14,
    ), // prettier-ignore
  ]),
];
