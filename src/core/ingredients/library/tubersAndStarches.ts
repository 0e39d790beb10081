import { describe } from '../describe';

const GRAIN =
  'Composition: typical values of national food composition tables (USDA FoodData Central, McCance & Widdowson 7th ed.); absorption: dough trials summarised in cereal science texts, before learning.';

// a table: one entry after the other, as one reads down a shelf
// prettier-ignore
export const tubersAndNuts = describe('tuberOrNut', GRAIN, [
  { id: 'cassava-flour', name: 'Cassava flour', also: ['yuca flour', 'manioc flour'], roles: ['flour'],
    parts: [9, 1.6, 0.5, 79.5, 2, 5.6, 1.8], density: [0.48, 0.6], drinks: [1.5, 0.25, 12], gelC: [60, 68],
    share: [10, 40, 100], note: 'The whole root, dried: not tapioca starch. Part-cooked brands hold far more water.' },
  { id: 'ground-almonds', name: 'Ground almonds', also: ['almond flour', 'almond meal'], roles: ['seedMeal'],
    parts: [4.5, 21.3, 51, 1, 4.4, 14.8, 3], density: [0.4, 0.48], drinks: [0.4, 0.06, 20], share: [5, 20, 40],
    allergens: ['treeNuts'] },
  { id: 'potato-flour', name: 'Potato flour', also: ['whole potato flour', 'dried potato powder', 'instant potato'],
    roles: ['flour'], parts: [7, 7.5, 0.5, 72, 3.5, 6.3, 3.4], density: [0.65, 0.8], drinks: [3, 0.5, 12],
    gelC: [58, 65], share: [1, 4, 10],
    note: 'The whole cooked potato, dried: absorbs about six times as much as potato starch.' },
  { id: 'sweet-potato-flour', name: 'Sweet potato flour', roles: ['flour'], parts: [8, 4, 0.9, 61, 13, 10, 3.1],
    density: [0.5, 0.62], drinks: [1.4, 0.25, 15], gelC: [62, 72], share: [2, 10, 20] },
  { id: 'tiger-nut-flour', name: 'Tiger nut flour', also: ['chufa flour'], roles: ['flour'],
    parts: [6, 5, 24, 29, 16, 18, 2], density: [0.45, 0.58], drinks: [0.8, 0.12, 20], gelC: [64, 72],
    share: [3, 15, 30], note: 'A tuber, not a nut.' },
  { id: 'coconut-flour', name: 'Coconut flour', roles: ['flour'], parts: [5, 18.5, 14, 4, 14, 38.5, 6],
    density: [0.4, 0.5], drinks: [3.5, 0.4, 15], share: [1, 5, 10] },
  { id: 'chestnut-flour', name: 'Chestnut flour', roles: ['flour'], parts: [10, 6, 3.8, 46, 22, 9.8, 2.4],
    density: [0.5, 0.62], drinks: [0.9, 0.12, 15], gelC: [60, 68], share: [5, 20, 40] },
  { id: 'banana-flour', name: 'Green banana flour', also: ['plantain flour'], roles: ['flour'],
    parts: [8, 3.5, 0.7, 74, 3, 8, 2.8], density: [0.5, 0.64], drinks: [1.1, 0.18, 14], gelC: [68, 75],
    share: [2, 12, 30] },
  { id: 'ground-hazelnuts', name: 'Ground hazelnuts', also: ['hazelnut meal', 'hazelnut flour'], roles: ['seedMeal'],
    parts: [5.2, 15, 60.5, 0.6, 4.3, 11.2, 2.4], density: [0.38, 0.46], drinks: [0.35, 0.06, 20], share: [3, 15, 30],
    allergens: ['treeNuts'] },
  { id: 'sunflower-meal', name: 'Sunflower seed flour', also: ['sunflower meal, part defatted'], roles: ['seedMeal'],
    parts: [7, 46, 11, 6, 7, 16, 7], density: [0.4, 0.52], drinks: [1.2, 0.2, 18], share: [2, 8, 15] },
  { id: 'pumpkin-meal', name: 'Pumpkin seed flour', also: ['pumpkin seed meal, part defatted'], roles: ['seedMeal'],
    parts: [7, 56, 12, 4, 4, 9, 8], density: [0.4, 0.52], drinks: [1.1, 0.2, 18], share: [2, 8, 15] },
  { id: 'hemp-meal', name: 'Hemp seed flour', also: ['hemp flour'], roles: ['seedMeal'],
    parts: [8, 32, 10, 2, 3, 38, 7], density: [0.4, 0.52], drinks: [1.3, 0.2, 20], share: [2, 8, 15] },
]);

const STARCH =
  'Composition: typical values for native starches (food composition tables); water held cold and gelatinisation: starch chemistry texts (BeMiller & Whistler, Starch, 3rd ed.).';

// a table: one entry after the other, as one reads down a shelf
// prettier-ignore
export const starches = describe('starch', STARCH, [
  { id: 'tapioca-starch', name: 'Tapioca starch', also: ['tapioca flour', 'cassava starch', 'manioc starch'],
    roles: ['starch'], parts: [12, 0.2, 0.1, 86.7, 0.1, 0.7, 0.2], density: [0.5, 0.64], drinks: [0.45, 0.05, 5],
    gelC: [62, 68], share: [10, 40, 60] },
  { id: 'potato-starch', name: 'Potato starch', also: ['farina', 'fecule'], roles: ['starch'],
    parts: [17, 0.1, 0.1, 82, 0, 0.4, 0.4], density: [0.65, 0.8], drinks: [0.46, 0.05, 5], gelC: [58, 65],
    share: [10, 35, 50], note: 'Starch alone: not potato flour, which is the whole dried potato.' },
  { id: 'maize-starch', name: 'Maize starch', also: ['cornflour', 'cornstarch', 'corn starch'], roles: ['starch'],
    parts: [12, 0.3, 0.1, 86.7, 0, 0.7, 0.2], density: [0.5, 0.62], drinks: [0.44, 0.05, 5], gelC: [64, 71],
    share: [10, 35, 50], allergens: ['maize'] },
  { id: 'arrowroot', name: 'Arrowroot starch', also: ['arrowroot powder'], roles: ['starch'],
    parts: [11.5, 0.3, 0.1, 84.5, 0, 3.3, 0.3], density: [0.5, 0.62], drinks: [0.45, 0.05, 5], gelC: [65, 72],
    share: [5, 25, 40] },
  { id: 'sour-tapioca-starch', name: 'Sour tapioca starch', also: ['fermented cassava starch', 'sour cassava starch'],
    roles: ['starch'], parts: [13, 0.2, 0.1, 85.2, 0.1, 0.8, 0.2, 0.4], density: [0.5, 0.64], drinks: [0.45, 0.05, 5],
    gelC: [60, 67], share: [10, 60, 100], note: 'Fermented and sun-dried: it swells in the oven without any leaven.' },
  { id: 'rice-starch', name: 'Rice starch', roles: ['starch'], parts: [12, 0.7, 0.1, 86.4, 0, 0.5, 0.3],
    density: [0.42, 0.55], drinks: [0.5, 0.06, 5], gelC: [65, 73], share: [5, 20, 40] },
  { id: 'pregelatinised-starch', name: 'Pregelatinised maize starch',
    also: ['cold-swelling starch', 'instant starch', 'precooked starch'], roles: ['starch', 'binder'],
    parts: [7, 0.4, 0.1, 91, 0.5, 0.7, 0.3], density: [0.4, 0.52], drinks: [4, 0.7, 6], share: [1, 4, 8],
    allergens: ['maize'] },
  { id: 'wheat-starch-gluten-free', name: 'Wheat starch, processed gluten-free',
    also: ['codex wheat starch', 'gluten-free wheat starch'], roles: ['starch'],
    parts: [12, 0.3, 0.2, 86.5, 0, 0.7, 0.3], density: [0.52, 0.65], drinks: [0.46, 0.05, 5], gelC: [56, 63],
    share: [10, 50, 80], allergens: ['wheat'], gluten: 'processedWheatStarch',
    note: 'Washed until it meets the legal limit for gluten; it stays a wheat product.' },
]);
