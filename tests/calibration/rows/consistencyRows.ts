import { askFeel } from '../ask';
import { but, DOUGHS, type Recipe } from '../doughs';
import { FEEL, type Answer, type Row } from '../practice';

type Word = keyof typeof FEEL;
const feel = (
  name: string,
  recipe: Recipe,
  when: 'mixed' | 'rested',
  from: Word,
  to: Word = from,
): Answer => ({
  name,
  kind: 'feel',
  low: FEEL[from][0],
  high: FEEL[to][1],
  of: (draw) => askFeel(recipe, when, draw),
});
/** Half a band either side of an edge. */
const about = (
  name: string,
  recipe: Recipe,
  when: 'mixed' | 'rested',
  low: number,
  high: number,
): Answer => ({
  name,
  kind: 'feel',
  low,
  high,
  of: (draw) => askFeel(recipe, when, draw),
});

const rice = (water: number): Recipe => ({ 'white-rice-flour': 100, salt: 1.8, water });
const tapioca = (water: number): Recipe => ({
  'white-rice-flour': 50, 'tapioca-starch': 50, salt: 1.8, sugar: 2.5, xanthan: 2, water,
}); // prettier-ignore
const psyllium = (water: number): Recipe => ({
  'white-rice-flour': 50, 'maize-starch': 25, 'tapioca-starch': 25, salt: 1.8, sugar: 2.5, 'psyllium-husk': 5, water,
}); // prettier-ignore
const wholeGrain = (water: number): Recipe => but(DOUGHS.wholeGrain, { 'psyllium-husk': 5, water });
const flat = (water: number): Recipe => but(DOUGHS.flat, { water });
const hpmc = (water: number): Recipe => but(DOUGHS.hpmc, { hpmc: 2.5, water });
const bought = (water: number): Recipe => ({
  'maize-starch': 62, 'white-rice-flour': 26, 'potato-starch': 12, salt: 1.8, sugar: 2.5, 'psyllium-husk': 2.5,
  'bamboo-fibre': 2,
  hpmc: 0.5, water,
}); // prettier-ignore
const bun = (milk: number): Recipe => ({
  'white-rice-flour': 50, 'tapioca-starch': 30, 'potato-starch': 20, salt: 1.5, sugar: 8, 'egg-whole': 20, butter: 10,
  xanthan: 1.5, 'whole-milk': milk,
}); // prettier-ignore
const mud: Recipe = { 'buckwheat-flour': 100, salt: 1.8, water: 80 };

const row = (id: string, sure: Row['sure'], style: string, dough: string, answers: readonly Answer[]): Row => ({
  id, sure, style, dough, answers, group: 'consistency',
}); // prettier-ignore

export const CONSISTENCY_ROWS: readonly Row[] = [
  row('C1', 'A', 'no binder', 'white rice, no binder, 60 / 80 / 100 / 130 %', [
    feel('60 mixed', rice(60), 'mixed', 'stiff'),
    feel('80 mixed', rice(80), 'mixed', 'soft'),
    feel('100 mixed', rice(100), 'mixed', 'thickBatter'),
    feel('130 mixed', rice(130), 'mixed', 'pourable'),
    // the same or one side stiffer
    about('80 rested', rice(80), 'rested', 0.76, 0.95),
    about('100 rested', rice(100), 'rested', 0.95, 1.3),
  ]),
  row('C2', 'A', 'xanthan', 'rice and tapioca, 2 % xanthan, 65 / 80 / 95 / 115 %', [
    feel('65 mixed', tapioca(65), 'mixed', 'stiff'),
    feel('80 mixed', tapioca(80), 'mixed', 'soft', 'sticky'),
    feel('95 mixed', tapioca(95), 'mixed', 'sticky', 'thickBatter'),
    feel('115 mixed', tapioca(115), 'mixed', 'thickBatter'),
    about('80 rested', tapioca(80), 'rested', 0.76, 1.08),
    about('115 rested', tapioca(115), 'rested', 1.02, 1.3),
  ]),
  row('C3', 'A', 'white psyllium', 'rice and starch, 5 % psyllium, 75 / 90 / 105 / 120 %', [
    feel('75 mixed', psyllium(75), 'mixed', 'soft'),
    feel('90 mixed', psyllium(90), 'mixed', 'sticky'),
    feel('105 mixed', psyllium(105), 'mixed', 'thickBatter'),
    feel('120 mixed', psyllium(120), 'mixed', 'pourable'),
    feel('75 rested', psyllium(75), 'rested', 'stiff'),
    feel('90 rested', psyllium(90), 'rested', 'soft'),
    feel('105 rested', psyllium(105), 'rested', 'sticky'),
    feel('120 rested', psyllium(120), 'rested', 'thickBatter'),
  ]),
  row('C4', 'A', 'whole-grain psyllium', 'whole grain two thirds, 5 % psyllium, 95 / 110 / 125 %', [
    about('95 mixed', wholeGrain(95), 'mixed', 0.82, 1.08),
    about('110 mixed', wholeGrain(110), 'mixed', 0.95, 1.3),
    about('125 mixed', wholeGrain(125), 'mixed', 1.08, 1.7),
    feel('95 rested', wholeGrain(95), 'rested', 'stiff', 'soft'),
    feel('110 rested', wholeGrain(110), 'rested', 'soft', 'sticky'),
    feel('125 rested', wholeGrain(125), 'rested', 'sticky', 'thickBatter'),
  ]),
  row('C5', 'B', 'flat', 'griddle flat, rice and chickpea, 3 % psyllium, 90 %', [
    feel('mixed', flat(90), 'mixed', 'sticky'),
    feel('rested', flat(90), 'rested', 'soft'),
  ]),
  row('C6', 'B', 'HPMC', 'rice and starch, 2.5 % HPMC, 90 / 110 %', [
    feel('90 mixed', hpmc(90), 'mixed', 'sticky'),
    feel('110 mixed', hpmc(110), 'mixed', 'thickBatter'),
    about('90 rested', hpmc(90), 'rested', 0.95, 1.08),
    about('110 rested', hpmc(110), 'rested', 1.08, 1.3),
  ]),
  row('C7', 'B', 'xanthan', 'rice and starch, 1 % xanthan, 55 %', [
    feel('mixed', DOUGHS.stiffXanthan, 'mixed', 'stiff'),
    feel('rested', DOUGHS.stiffXanthan, 'rested', 'stiff'),
  ]),
  row('C8', 'B', 'bought', 'bought blend with fibre, 76.5 %', [
    feel('mixed', bought(76.5), 'mixed', 'sticky'),
    feel('rested', bought(76.5), 'rested', 'soft', 'sticky'),
  ]),
  row('C9', 'B', 'enriched', 'bun dough with egg and milk, milk 77.5 / 50 %', [
    feel('77.5 mixed', bun(77.5), 'mixed', 'sticky'),
    feel('77.5 rested', bun(77.5), 'rested', 'soft', 'sticky'),
    feel('50 rested', bun(50), 'rested', 'stiff', 'soft'),
  ]),
  row('C10', 'A', 'cheese', 'cheese and starch buns', [
    feel('mixed', DOUGHS.cheese, 'mixed', 'soft'),
    feel('rested', DOUGHS.cheese, 'rested', 'soft'),
  ]),
  row('C11', 'B', 'no binder', 'buckwheat alone, 80 %', [
    feel('mixed', mud, 'mixed', 'sticky'),
    about('rested', mud, 'rested', 0.885, 1.015),
  ]),
];
