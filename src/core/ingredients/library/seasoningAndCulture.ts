import { describe } from '../describe';

const TABLES =
  'Composition: typical values of national food composition tables (McCance & Widdowson 7th ed., USDA FoodData Central).';

// a table: one entry after the other, as one reads down a shelf
// prettier-ignore
export const seasonings = describe('seasoning', TABLES, [
  { id: 'salt', name: 'Salt', also: ['fine salt', 'sea salt'], roles: ['salt'], parts: [0.2, 0, 0, 0, 0, 0, 99.8],
    salt: 99.5, density: [1.15, 1.3], share: [1.5, 2.5, 3] },
  { id: 'cider-vinegar', name: 'Cider vinegar', also: ['apple cider vinegar'], roles: ['acid'],
    parts: [94, 0, 0, 0, 0.6, 0, 0.3, 5.1], density: 1.01, share: [0, 2, 4],
    note: 'Other: acetic acid. Malt vinegar is made of barley: not this.' },
  { id: 'ground-cardamom', name: 'Ground cardamom', roles: ['flavour'], parts: [8.3, 10.8, 6.7, 25, 9, 34.4, 5.8],
    density: [0.4, 0.48], drinks: [0.8, 0.15, 20], share: [0.2, 0.8, 1.5], gluten: 'crossContactCommon' },
  { id: 'caraway', name: 'Caraway seed', roles: ['flavour'], parts: [9.9, 19.8, 14.6, 7, 4.9, 38, 5.8],
    density: [0.45, 0.5], drinks: [0.3, 0.1, 30], share: [0.3, 1, 2], gluten: 'crossContactCommon' },
  { id: 'dried-onion', name: 'Dried onion', also: ['onion flakes'], roles: ['flavour'],
    parts: [4, 9, 0.5, 20, 53.5, 9.8, 3.2], density: [0.3, 0.36], drinks: [2.5, 0.4, 15], share: [0.5, 2, 4] },
  { id: 'white-vinegar', name: 'White vinegar', also: ['spirit vinegar', 'rice vinegar', 'wine vinegar'],
    roles: ['acid'], parts: [94.6, 0, 0, 0, 0.1, 0, 0, 5.3], density: 1.01, share: [0, 2, 4],
    note: 'Other: acetic acid. Malt vinegar is made of barley: not this.' },
  { id: 'lemon-juice', name: 'Lemon juice', roles: ['acid'], parts: [91.4, 0.4, 0.2, 0, 1.6, 0.3, 0.3, 5.8],
    density: 1.03, share: [0, 2, 5] },
  { id: 'citric-acid', name: 'Citric acid', roles: ['acid'], parts: [0.5, 0, 0, 0, 0, 0, 0, 99.5], density: [0.85, 1],
    share: [0.05, 0.3, 0.8] },
  { id: 'ascorbic-acid', name: 'Ascorbic acid', also: ['vitamin C powder', 'E300'], roles: ['acid'],
    parts: [0.1, 0, 0, 0, 0, 0, 0, 99.9], density: [0.75, 0.9], share: [0.005, 0.02, 0.1] },
  { id: 'cocoa', name: 'Cocoa powder', roles: ['flavour'], parts: [4.5, 20.5, 18, 14, 1.5, 34, 6.5],
    density: [0.38, 0.5], drinks: [1.2, 0.2, 12], share: [1, 5, 12] },
  { id: 'cinnamon', name: 'Cinnamon, ground', roles: ['flavour'], parts: [10.5, 4, 1.2, 24, 2.2, 53.5, 3.6],
    density: [0.48, 0.56], drinks: [1.2, 0.25, 20], share: [0.3, 1, 2], gluten: 'crossContactCommon' },
  { id: 'bread-spice', name: 'Fennel seed', also: ['bread spice', 'anise seed'], roles: ['flavour'],
    parts: [8.8, 15.8, 14.9, 8, 5, 39.3, 8.2], density: [0.4, 0.48], drinks: [0.3, 0.1, 30], share: [0.3, 1, 2],
    gluten: 'crossContactCommon' },
  { id: 'garlic-powder', name: 'Garlic powder', roles: ['flavour'], parts: [6.5, 16.5, 0.7, 40, 22.7, 10, 3.5],
    density: [0.6, 0.7], drinks: [1.5, 0.3, 15], share: [0.2, 0.8, 2], gluten: 'crossContactCommon' },
  { id: 'mustard-powder', name: 'Mustard powder', also: ['ground mustard'], roles: ['flavour'],
    parts: [5.5, 26.5, 36.5, 5, 6.8, 14.2, 4.5], density: [0.42, 0.52], drinks: [0.8, 0.2, 15], share: [0.2, 0.6, 1.5],
    allergens: ['mustard'], gluten: 'crossContactCommon', note: 'Some tins are stretched with wheat flour.' },
  { id: 'dried-herbs', name: 'Dried herbs', also: ['rosemary', 'oregano', 'thyme', 'basil', 'italian herbs'],
    roles: ['flavour'], parts: [9, 8, 8, 10, 6, 50, 8.5], density: [0.16, 0.28], drinks: [1.2, 0.4, 20],
    share: [0.2, 0.8, 2], gluten: 'crossContactCommon' },
  { id: 'vanilla-extract', name: 'Vanilla extract', roles: ['flavour'], parts: [52.5, 0.1, 0.1, 0, 12.6, 0, 0.3, 34.4],
    density: 0.88, share: [0, 1, 3], note: 'Other: alcohol.' },
]);

// a table: one entry after the other, as one reads down a shelf
// prettier-ignore
export const inclusions = describe('inclusion', TABLES, [
  { id: 'raisins', name: 'Raisins', also: ['sultanas', 'currants'], roles: ['inclusion', 'sweet'],
    parts: [15.5, 3, 0.5, 3, 69.5, 4.5, 1.9, 2.1], density: [0.6, 0.7], drinks: [0.3, 0.1, 60], share: [3, 20, 50],
    note: 'Other: fruit acids. Only the sugars at their surface reach the dough.' },
  { id: 'dried-cranberries', name: 'Dried cranberries', roles: ['inclusion', 'sweet'],
    parts: [15.5, 0.2, 1.1, 5, 72, 5.2, 0.2, 0.8], density: [0.5, 0.6], drinks: [0.3, 0.1, 60], share: [3, 15, 40] },
  { id: 'olives', name: 'Olives, pitted', roles: ['inclusion', 'flavour'], parts: [75, 1, 15.5, 0.5, 0.5, 3.3, 4],
    salt: 3.7, density: [0.55, 0.65], share: [3, 15, 30] },
  { id: 'dried-tomatoes', name: 'Dried tomatoes', also: ['sun-dried tomatoes'], roles: ['inclusion', 'flavour'],
    parts: [14.5, 14, 3, 4, 37.5, 12.5, 12.6, 2], salt: 5, density: [0.25, 0.35], drinks: [1.2, 0.4, 60],
    share: [1, 6, 15], allergens: ['sulphites'] },
  { id: 'chocolate', name: 'Dark chocolate pieces', also: ['chocolate chips', 'chocolate drops'],
    roles: ['inclusion', 'sweet'], parts: [1, 6, 33, 7, 44, 7.5, 1.5], density: [0.62, 0.72], share: [3, 15, 30],
    allergens: ['soya', 'milk'], gluten: 'crossContactCommon',
    note: 'Soya lecithin is usual, traces of milk are common.' },
  { id: 'mashed-potato', name: 'Potato, boiled and mashed', also: ['mashed potato', 'cooked potato'],
    roles: ['inclusion'], parts: [78.5, 1.8, 0.1, 15.8, 0.9, 1.8, 0.9], density: [0.9, 1.05], drinks: [0.15, 0.08, 10],
    share: [5, 25, 60], note: 'Its starch is gelatinised already and holds most of its own water.' },
  { id: 'banana', name: 'Banana, mashed', roles: ['inclusion', 'sweet'], parts: [75, 1.1, 0.3, 5, 15, 2.6, 0.8, 0.2],
    density: [0.95, 1.05], share: [5, 30, 80] },
  { id: 'apple-puree', name: 'Apple purée', also: ['applesauce', 'apple sauce', 'unsweetened apple puree'],
    roles: ['inclusion', 'sweet'], parts: [87, 0.2, 0.1, 0.1, 10.3, 1.4, 0.3, 0.6], density: [1, 1.05],
    share: [3, 15, 40] },
  { id: 'pumpkin-puree', name: 'Pumpkin purée', also: ['pumpkin puree', 'squash purée'], roles: ['inclusion'],
    parts: [90.5, 1.1, 0.3, 2, 2.8, 2.5, 0.8], density: [1, 1.05], share: [5, 30, 80] },
  { id: 'grated-courgette', name: 'Courgette, grated', also: ['zucchini'], roles: ['inclusion'],
    parts: [94.6, 1.3, 0.3, 0.2, 2, 1, 0.6], density: [0.5, 0.65], share: [5, 20, 50] },
  { id: 'grated-carrot', name: 'Carrot, grated', roles: ['inclusion'], parts: [88.3, 0.9, 0.2, 1.4, 4.9, 2.8, 1],
    density: [0.42, 0.52], share: [5, 20, 50] },
]);

const CULTURE =
  'Kitchen practice: equal weights of flour and water, ripe; what little the culture has eaten is not counted.';

// a table: one entry after the other, as one reads down a shelf
// prettier-ignore
export const cultures = describe('culture', CULTURE, [
  { id: 'sorghum-starter', name: 'Wild starter, sorghum, 1 : 1', also: ['sourdough starter', 'leaven'],
    roles: ['starter', 'leaven'], parts: [55.15, 4.2, 1.65, 34.25, 0.95, 3.15, 0.65], density: 1.0, share: [10, 40, 80],
    gluten: 'crossContactCommon',
    madeOf: [{ ingredientId: 'sorghum-flour', share: 0.5 }, { ingredientId: 'water', share: 0.5 }] },
  { id: 'rice-starter', name: 'Wild starter, brown rice, 1 : 1', also: ['sourdough starter', 'leaven'],
    roles: ['starter', 'leaven'], parts: [55.9, 3.7, 1.4, 35.6, 0.4, 2.25, 0.75], density: 1.0, share: [10, 40, 80],
    madeOf: [{ ingredientId: 'brown-rice-flour', share: 0.5 }, { ingredientId: 'water', share: 0.5 }] },
  { id: 'buckwheat-starter', name: 'Wild starter, buckwheat, 1 : 1', also: ['sourdough starter', 'leaven'],
    roles: ['starter', 'leaven'], parts: [55.6, 6.1, 1.5, 31, 1.15, 3.65, 1], density: 1.0, share: [10, 40, 80],
    gluten: 'crossContactCommon',
    madeOf: [{ ingredientId: 'buckwheat-flour', share: 0.5 }, { ingredientId: 'water', share: 0.5 }] },
]);
