import { describe } from '../describe';

const TABLES =
  'Composition: typical values of national food composition tables (McCance & Widdowson 7th ed., USDA FoodData Central).';

export const liquids = describe('liquid', TABLES, [
  { id: 'water', name: 'Water', roles: ['liquid'], parts: [100, 0, 0, 0, 0, 0, 0], density: 1 },
  {
    id: 'sparkling-water',
    name: 'Sparkling water',
    also: ['soda water', 'seltzer'],
    roles: ['liquid', 'leaven'],
    parts: [99.5, 0, 0, 0, 0, 0, 0, 0.5],
    density: 1,
    note: 'Other: dissolved carbon dioxide, lost within minutes of mixing.',
  },
  {
    id: 'oat-drink-certified',
    name: 'Oat drink, certified gluten-free',
    also: ['oat milk'],
    roles: ['liquid'],
    parts: [90.5, 0.9, 1.4, 1, 4.6, 0.9, 0.5],
    salt: 0.1,
    density: 1.02,
    gluten: 'onlyIfCertified',
  },
]);

export const eggsAndDairy = describe('eggAndDairy', TABLES, [
  {
    id: 'egg-whole',
    name: 'Whole egg',
    also: ['hen egg'],
    roles: ['egg', 'binder'],
    parts: [76, 12.6, 9.6, 0, 0.4, 0, 1, 0.4],
    salt: 0.36,
    density: 1.03,
    allergens: ['egg'],
    note: 'Without shell. Counted as egg in the binder figure only by name, not by dose.',
  },
  {
    id: 'egg-white',
    name: 'Egg white',
    roles: ['egg', 'binder'],
    parts: [87.6, 10.8, 0.2, 0, 0.7, 0, 0.7],
    salt: 0.42,
    density: 1.03,
    allergens: ['egg'],
  },
  {
    id: 'whole-milk',
    name: 'Whole milk',
    roles: ['liquid'],
    parts: [87.6, 3.4, 3.7, 0, 4.6, 0, 0.7],
    salt: 0.11,
    density: 1.03,
    allergens: ['milk'],
  },
  {
    id: 'plain-yoghurt',
    name: 'Plain yoghurt',
    also: ['yogurt', 'natural yoghurt'],
    roles: ['liquid', 'acid'],
    parts: [87, 4.6, 3, 0, 3.8, 0, 0.8, 0.8],
    salt: 0.16,
    density: 1.04,
    allergens: ['milk'],
    note: 'Other: lactic acid.',
  },
]);

export const fats = describe('fat', TABLES, [
  {
    id: 'olive-oil',
    name: 'Olive oil',
    roles: ['fat'],
    parts: [0.1, 0, 99.9, 0, 0, 0, 0],
    density: 0.914,
    share: [2, 6, 15],
    smokeC: 190,
  },
  {
    id: 'sunflower-oil',
    name: 'Sunflower oil, refined',
    roles: ['fat'],
    parts: [0.1, 0, 99.9, 0, 0, 0, 0],
    density: 0.92,
    share: [2, 6, 15],
    smokeC: 225,
  },
  {
    id: 'butter',
    name: 'Butter, unsalted',
    roles: ['fat'],
    parts: [16, 0.6, 82, 0, 0.6, 0, 0.2, 0.6],
    salt: 0.03,
    density: 0.911,
    share: [2, 8, 20],
    allergens: ['milk'],
    smokeC: 150,
  },
]);

export const sweets = describe('sweet', TABLES, [
  {
    id: 'sugar',
    name: 'Sugar',
    also: ['white sugar', 'caster sugar', 'granulated sugar'],
    roles: ['sweet'],
    parts: [0.1, 0, 0, 0, 99.9, 0, 0],
    density: [0.85, 0.9],
    share: [0, 4, 20],
  },
  {
    id: 'honey',
    name: 'Honey',
    roles: ['sweet'],
    parts: [17.5, 0.4, 0, 0, 81.2, 0, 0.3, 0.6],
    density: 1.42,
    share: [0, 5, 15],
  },
  {
    id: 'black-treacle',
    name: 'Black treacle',
    also: ['molasses'],
    roles: ['sweet', 'flavour'],
    parts: [23, 1.2, 0, 0, 69, 0, 6, 0.8],
    salt: 0.3,
    density: 1.42,
    share: [0, 3, 8],
    allergens: ['sulphites'],
  },
]);

export const leavens = describe('leaven', TABLES, [
  {
    id: 'instant-yeast',
    name: 'Instant yeast',
    also: ['fast-action yeast', 'easy-bake yeast', 'rapid-rise yeast'],
    roles: ['leaven'],
    parts: [5.5, 47, 5.5, 2, 9.5, 25, 5.5],
    density: [0.6, 0.7],
    share: [0.5, 1.5, 3],
  },
  {
    id: 'active-dry-yeast',
    name: 'Active dry yeast',
    also: ['dried yeast'],
    roles: ['leaven'],
    parts: [7, 45, 6, 2, 9.5, 25, 5.5],
    density: [0.75, 0.85],
    share: [0.6, 2, 4],
  },
  {
    id: 'fresh-yeast',
    name: 'Fresh yeast',
    also: ['baker’s yeast, compressed', 'cake yeast'],
    roles: ['leaven'],
    parts: [70, 14, 1.8, 1, 3.2, 8, 2],
    density: [1, 1.1],
    share: [1.5, 4, 8],
  },
  {
    id: 'baking-powder',
    name: 'Baking powder',
    roles: ['leaven'],
    parts: [6, 0, 0, 27, 0, 0, 57, 10],
    density: [0.85, 0.95],
    share: [1, 3, 6],
    gluten: 'crossContactCommon',
    note: 'Some are filled with wheat starch: read the tin. Other: carbon dioxide bound in the soda.',
  },
]);

export const seasonings = describe('seasoning', TABLES, [
  {
    id: 'salt',
    name: 'Salt',
    also: ['fine salt', 'sea salt'],
    roles: ['salt'],
    parts: [0.2, 0, 0, 0, 0, 0, 99.8],
    salt: 99.5,
    density: [1.15, 1.3],
    share: [1.5, 2.2, 3],
  },
  {
    id: 'cider-vinegar',
    name: 'Cider vinegar',
    also: ['apple cider vinegar'],
    roles: ['acid'],
    parts: [94, 0, 0, 0, 0.6, 0, 0.3, 5.1],
    density: 1.01,
    share: [0, 2, 4],
    note: 'Other: acetic acid. Malt vinegar is made of barley: not this.',
  },
  {
    id: 'ground-cardamom',
    name: 'Ground cardamom',
    roles: ['flavour'],
    parts: [8.3, 10.8, 6.7, 25, 9, 34.4, 5.8],
    density: [0.4, 0.48],
    drinks: [0.8, 0.15, 20],
    share: [0.2, 0.8, 1.5],
    gluten: 'crossContactCommon',
  },
  {
    id: 'caraway',
    name: 'Caraway seed',
    roles: ['flavour'],
    parts: [9.9, 19.8, 14.6, 7, 4.9, 38, 5.8],
    density: [0.45, 0.5],
    drinks: [0.3, 0.1, 30],
    share: [0.3, 1, 2],
    gluten: 'crossContactCommon',
  },
  {
    id: 'dried-onion',
    name: 'Dried onion',
    also: ['onion flakes'],
    roles: ['flavour'],
    parts: [4, 9, 0.5, 20, 53.5, 9.8, 3.2],
    density: [0.3, 0.36],
    drinks: [2.5, 0.4, 15],
    share: [0.5, 2, 4],
  },
]);

const CULTURE =
  'Kitchen practice: equal weights of flour and water, ripe; what little the culture has eaten is not counted.';

export const cultures = describe('culture', CULTURE, [
  {
    id: 'sorghum-starter',
    name: 'Wild starter, sorghum, 1 : 1',
    also: ['sourdough starter', 'leaven'],
    roles: ['starter', 'leaven'],
    parts: [55.15, 4.2, 1.65, 34.25, 0.95, 3.15, 0.65],
    density: 1.0,
    share: [10, 40, 80],
    gluten: 'crossContactCommon',
    madeOf: [
      { ingredientId: 'sorghum-flour', share: 0.5 },
      { ingredientId: 'water', share: 0.5 },
    ],
  },
  {
    id: 'rice-starter',
    name: 'Wild starter, brown rice, 1 : 1',
    also: ['sourdough starter', 'leaven'],
    roles: ['starter', 'leaven'],
    parts: [55.9, 3.7, 1.4, 35.6, 0.4, 2.25, 0.75],
    density: 1.0,
    share: [10, 40, 80],
    madeOf: [
      { ingredientId: 'brown-rice-flour', share: 0.5 },
      { ingredientId: 'water', share: 0.5 },
    ],
  },
]);
