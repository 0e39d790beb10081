import { describe } from '../describe';

const TABLES =
  'Composition: typical values of national food composition tables (McCance & Widdowson 7th ed., USDA FoodData Central).';

// a table: one entry after the other, as one reads down a shelf
// prettier-ignore
export const cheeses = describe('eggAndDairy', TABLES, [
  { id: 'low-moisture-mozzarella', name: 'Mozzarella, low-moisture, grated', also: ['pizza cheese', 'grated mozzarella'],
    roles: ['inclusion', 'fat'], parts: [46.5, 23.5, 24, 0, 1.5, 0, 3.7, 0.8], salt: 1.4, density: [0.4, 0.5],
    share: [5, 30, 80], allergens: ['milk'] },
  { id: 'fresh-mozzarella', name: 'Mozzarella, fresh, in brine', also: ['mozzarella ball', 'mozzarella'],
    roles: ['inclusion', 'fat'], parts: [59.5, 18, 19.5, 0, 0.9, 0, 1.6, 0.5], salt: 0.5, density: [0.95, 1.03],
    share: [5, 30, 80], allergens: ['milk'], note: 'Drain it an hour before: what runs off would boil on the dough.' },
  { id: 'brined-cheese', name: 'Brined sheep’s cheese', also: ['feta', 'white brined cheese'], roles: ['inclusion', 'fat'],
    parts: [55, 14.5, 21.5, 0, 3.5, 0, 5, 0.5], salt: 2.8, density: [0.6, 0.75], share: [5, 25, 60], allergens: ['milk'] },
  { id: 'grating-cheese', name: 'Hard grating cheese', also: ['parmesan', 'pecorino', 'grana'], roles: ['inclusion', 'fat'],
    parts: [30, 36, 28, 0, 0.5, 0, 5, 0.5], salt: 1.7, density: [0.4, 0.5], share: [2, 10, 60], allergens: ['milk'] },
  { id: 'cream-cheese', name: 'Cream cheese, full fat', also: ['soft cheese'], roles: ['inclusion', 'fat'],
    parts: [54, 6, 34, 0, 4, 0, 1.3, 0.7], salt: 0.8, density: 1, share: [5, 20, 60], allergens: ['milk'] },
  { id: 'ricotta', name: 'Ricotta', roles: ['inclusion', 'fat'], parts: [72.5, 10.5, 12.5, 0, 3, 0, 1.1, 0.4], salt: 0.2,
    density: 1.03, share: [5, 25, 80], allergens: ['milk'] },
]);

// a table: one entry after the other, as one reads down a shelf
// prettier-ignore
export const onAndWith = describe('inclusion', TABLES, [
  { id: 'crushed-tomatoes', name: 'Tomatoes, crushed, tinned', also: ['chopped tomatoes', 'tinned tomatoes', 'pizza tomatoes'],
    roles: ['inclusion', 'flavour'], parts: [90.5, 1.5, 0.2, 0.3, 4.4, 1.6, 1.1, 0.4], salt: 0.3, density: 1.03,
    share: [5, 30, 100] },
  { id: 'passata', name: 'Passata', also: ['sieved tomatoes', 'tomato purée, thin'], roles: ['inclusion', 'flavour'],
    parts: [90, 1.5, 0.2, 0.3, 5, 1.4, 1.2, 0.4], salt: 0.3, density: 1.04, share: [5, 30, 100] },
  { id: 'tomato-paste', name: 'Tomato paste', also: ['tomato concentrate', 'double concentrate'],
    roles: ['inclusion', 'flavour'], parts: [73.5, 4.3, 0.5, 1, 12.2, 4.1, 3.4, 1], salt: 0.2, density: 1.1, share: [1, 5, 20] },
  { id: 'salami', name: 'Salami, sliced', also: ['cured sausage', 'pepperoni'], roles: ['inclusion', 'fat'],
    parts: [36, 21.5, 37, 0.2, 0.8, 0, 4.2, 0.3], salt: 3.8, density: [0.55, 0.7], share: [3, 15, 40],
    gluten: 'crossContactCommon', note: 'Some are made with milk powder or wheat: the label says.' },
  { id: 'cured-ham', name: 'Ham, cured or cooked', also: ['cooked ham', 'prosciutto'], roles: ['inclusion'],
    parts: [73, 18.5, 4, 0.3, 0.9, 0, 3, 0.3], salt: 2.2, density: [0.55, 0.7], share: [3, 15, 40],
    gluten: 'crossContactCommon', note: 'Some are filled with milk or wheat: the label says.' },
  { id: 'mixed-seeds', name: 'Mixed seeds', also: ['seed mix', 'salad seeds'], roles: ['inclusion'],
    parts: [6, 22, 46, 4, 2, 15.5, 4, 0.5], density: [0.58, 0.66], share: [2, 12, 30], allergens: ['sesame'],
    gluten: 'crossContactCommon', note: 'Sunflower, pumpkin and mostly sesame: the bag says which.' },
  { id: 'fresh-herbs', name: 'Fresh herbs, chopped', also: ['fresh basil', 'fresh parsley', 'fresh rosemary', 'chives'],
    roles: ['flavour'], parts: [87, 3, 0.7, 1, 1.5, 5, 1.8], density: [0.1, 0.2], share: [0.5, 2, 6] },
  { id: 'jam', name: 'Jam', also: ['fruit preserve', 'marmalade'], roles: ['sweet', 'inclusion'],
    parts: [30, 0.5, 0.1, 0.3, 65, 1.2, 0.3, 2.6], density: 1.33, share: [2, 15, 40] },
  { id: 'pearl-sugar', name: 'Pearl sugar', also: ['nibbed sugar', 'finishing sugar', 'demerara for the top'],
    roles: ['sweet'], parts: [0.1, 0, 0, 0, 99.8, 0, 0.1], density: [0.65, 0.75], share: [1, 5, 15] },
  { id: 'date-syrup', name: 'Date syrup', roles: ['sweet', 'flavour'], parts: [25, 1, 0.1, 0, 70, 1, 1.6, 1.3],
    density: 1.36, share: [0, 5, 15], note: 'In a kettle for rings it stands in for malt, which is barley.' },
  { id: 'lye', name: 'Lye, food grade', also: ['sodium hydroxide', 'caustic soda, food grade'], roles: ['flavour'],
    parts: [1, 0, 0, 0, 0, 0, 99], density: [1.1, 1.3], share: [0, 0, 0.001],
    note: 'For a dipping bath of 3-4 % alone. It burns skin and eyes: goggles and gloves, lye into cold water, no aluminium.' },
]);
