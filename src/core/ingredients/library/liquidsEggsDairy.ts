import { describe } from '../describe';

const TABLES =
  'Composition: typical values of national food composition tables (McCance & Widdowson 7th ed., USDA FoodData Central).';

// a table: one entry after the other, as one reads down a shelf
// prettier-ignore
export const liquids = describe('liquid', TABLES, [
  { id: 'water', name: 'Water', roles: ['liquid'], parts: [100, 0, 0, 0, 0, 0, 0], density: 1 },
  { id: 'sparkling-water', name: 'Sparkling water', also: ['soda water', 'seltzer'], roles: ['liquid', 'leaven'],
    parts: [99.5, 0, 0, 0, 0, 0, 0, 0.5], density: 1,
    note: 'Other: dissolved carbon dioxide, lost within minutes of mixing.' },
  { id: 'oat-drink-certified', name: 'Oat drink, certified gluten-free', also: ['oat milk'], roles: ['liquid'],
    parts: [90.5, 0.9, 1.4, 1, 4.6, 0.9, 0.5], salt: 0.1, density: 1.02, gluten: 'onlyIfCertified' },
  { id: 'rice-drink', name: 'Rice drink', also: ['rice milk'], roles: ['liquid'],
    parts: [89, 0.2, 1, 3.5, 5.7, 0.2, 0.3], salt: 0.1, density: 1.03 },
  { id: 'almond-drink', name: 'Almond drink', also: ['almond milk'], roles: ['liquid'],
    parts: [96, 0.6, 1.4, 0.2, 0.9, 0.4, 0.4], salt: 0.12, density: 1.02, allergens: ['treeNuts'] },
  { id: 'soya-drink', name: 'Soya drink', also: ['soy milk', 'soya milk'], roles: ['liquid'],
    parts: [92, 3.4, 1.9, 0.1, 1.1, 0.7, 0.7], salt: 0.1, density: 1.02, allergens: ['soya'] },
  { id: 'coconut-milk', name: 'Coconut milk, tinned', also: ['coconut cream, thin'], roles: ['liquid'],
    parts: [76, 1.8, 18.5, 0.3, 2.4, 0.3, 0.7], salt: 0.05, density: 0.98 },
  { id: 'apple-juice', name: 'Apple juice', roles: ['liquid', 'sweet'], parts: [88.2, 0.1, 0.1, 0, 10.4, 0.2, 0.3, 0.6],
    density: 1.05 },
  { id: 'gluten-free-beer', name: 'Beer, gluten-free', also: ['gluten free ale'], roles: ['liquid', 'flavour'],
    parts: [92.5, 0.3, 0, 1.8, 1, 0.2, 0.2, 4], density: 1.01, gluten: 'onlyIfCertified',
    note: 'Other: alcohol. Beers with the gluten taken out by enzymes are no safe choice for every coeliac.' },
  { id: 'aquafaba', name: 'Aquafaba', also: ['chickpea water', 'chickpea cooking liquid'], roles: ['liquid', 'egg'],
    parts: [94.3, 1.3, 0.1, 0.6, 1.4, 1.3, 1], salt: 0.3, density: 1.02,
    note: 'Stands in for egg white; holds no egg.' },
]);

// a table: one entry after the other, as one reads down a shelf
// prettier-ignore
export const eggsAndDairy = describe('eggAndDairy', TABLES, [
  { id: 'egg-whole', name: 'Whole egg', also: ['hen egg'], roles: ['egg', 'binder'],
    parts: [76, 12.6, 9.6, 0, 0.4, 0, 1, 0.4], salt: 0.36, density: 1.03, allergens: ['egg'],
    note: 'Without shell. Counted as egg in the binder figure only by name, not by dose.' },
  { id: 'egg-white', name: 'Egg white', roles: ['egg', 'binder'], parts: [87.6, 10.8, 0.2, 0, 0.7, 0, 0.7], salt: 0.42,
    density: 1.03, allergens: ['egg'] },
  { id: 'whole-milk', name: 'Whole milk', roles: ['liquid'], parts: [87.6, 3.4, 3.7, 0, 4.6, 0, 0.7], salt: 0.11,
    density: 1.03, allergens: ['milk'] },
  { id: 'plain-yoghurt', name: 'Plain yoghurt', also: ['yogurt', 'natural yoghurt'], roles: ['liquid', 'acid'],
    parts: [87, 4.6, 3, 0, 3.8, 0, 0.8, 0.8], salt: 0.16, density: 1.04, allergens: ['milk'],
    note: 'Other: lactic acid.' },
  { id: 'egg-yolk', name: 'Egg yolk', roles: ['egg', 'binder'], parts: [51, 16, 28.5, 0, 0.6, 0, 1.8, 2.1], salt: 0.13,
    density: 1.03, allergens: ['egg'] },
  { id: 'egg-white-powder', name: 'Egg white powder', also: ['dried egg white', 'dried albumen'],
    roles: ['egg', 'binder'], parts: [8, 80, 0.4, 0, 5.5, 0, 6.1], salt: 3.2, density: [0.4, 0.5],
    drinks: [1.5, 0.4, 10], share: [0.5, 2, 5], allergens: ['egg'] },
  { id: 'quail-egg', name: 'Quail egg', also: ['duck egg', 'goose egg', 'other birds’ eggs'], roles: ['egg', 'binder'],
    parts: [74, 13, 11.2, 0, 0.4, 0, 1.1, 0.3], salt: 0.36, density: 1.03, allergens: ['egg'],
    note: 'Every bird’s egg is egg to somebody with egg allergy.' },
  { id: 'buttermilk', name: 'Buttermilk', roles: ['liquid', 'acid'], parts: [89.9, 3.4, 0.9, 0, 4, 0, 0.8, 0.9],
    salt: 0.26, density: 1.03, allergens: ['milk'] },
  { id: 'kefir', name: 'Kefir', roles: ['liquid', 'acid'], parts: [88, 3.5, 3.3, 0, 3.6, 0, 0.7, 0.9], salt: 0.11,
    density: 1.03, allergens: ['milk'] },
  { id: 'skimmed-milk', name: 'Skimmed milk', also: ['skim milk', 'fat-free milk'], roles: ['liquid'],
    parts: [90.8, 3.5, 0.2, 0, 4.8, 0, 0.7], salt: 0.11, density: 1.035, allergens: ['milk'] },
  { id: 'milk-powder', name: 'Skimmed milk powder', also: ['dried milk', 'nonfat dry milk'],
    roles: ['sweet', 'flavour'], parts: [3.5, 36, 0.8, 0, 51.8, 0, 7.9], salt: 1.3, density: [0.42, 0.55],
    drinks: [0.6, 0.15, 8], share: [1, 5, 10], allergens: ['milk'] },
  { id: 'whipping-cream', name: 'Cream, 35 % fat', also: ['heavy cream', 'double cream', 'whipping cream'],
    roles: ['liquid', 'fat'], parts: [58.8, 2.2, 35.2, 0, 3.2, 0, 0.6], salt: 0.08, density: 1.0, allergens: ['milk'] },
  { id: 'quark', name: 'Quark', also: ['fresh cheese', 'curd cheese', 'fromage frais'], roles: ['liquid', 'acid'],
    parts: [80.5, 12.3, 0.5, 0, 4, 0, 1, 1.7], salt: 0.1, density: 1.05, allergens: ['milk'] },
  { id: 'hard-cheese', name: 'Hard cheese, grated', also: ['cheddar-type cheese', 'mature cheese'],
    roles: ['inclusion', 'fat'], parts: [36.5, 25.5, 33, 0, 0.5, 0, 3.9, 0.6], salt: 1.8, density: [0.38, 0.48],
    share: [5, 40, 120], allergens: ['milk'] },
]);
