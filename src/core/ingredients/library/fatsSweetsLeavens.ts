import { describe } from '../describe';

const TABLES =
  'Composition: typical values of national food composition tables (McCance & Widdowson 7th ed., USDA FoodData Central).';

// a table: one entry after the other, as one reads down a shelf
// prettier-ignore
export const fats = describe('fat', TABLES, [
  { id: 'olive-oil', name: 'Olive oil', roles: ['fat'], parts: [0.1, 0, 99.9, 0, 0, 0, 0], density: 0.914,
    share: [2, 6, 15], smokeC: 190 },
  { id: 'sunflower-oil', name: 'Sunflower oil, refined', roles: ['fat'], parts: [0.1, 0, 99.9, 0, 0, 0, 0],
    density: 0.92, share: [2, 6, 15], smokeC: 225 },
  { id: 'butter', name: 'Butter, unsalted', roles: ['fat'], parts: [16, 0.6, 82, 0, 0.6, 0, 0.2, 0.6], salt: 0.03,
    density: 0.911, share: [2, 8, 20], allergens: ['milk'], smokeC: 150 },
  { id: 'rapeseed-oil', name: 'Rapeseed oil', also: ['canola oil', 'vegetable oil'], roles: ['fat'],
    parts: [0.1, 0, 99.9, 0, 0, 0, 0], density: 0.915, share: [2, 6, 15], smokeC: 205 },
  { id: 'avocado-oil', name: 'Avocado oil, refined', roles: ['fat'], parts: [0.1, 0, 99.9, 0, 0, 0, 0], density: 0.914,
    share: [2, 6, 15], smokeC: 250 },
  { id: 'coconut-oil', name: 'Coconut oil', also: ['coconut fat'], roles: ['fat'], parts: [0.1, 0, 99.9, 0, 0, 0, 0],
    density: 0.92, share: [2, 6, 15], smokeC: 175 },
  { id: 'ghee', name: 'Ghee', also: ['clarified butter', 'butter oil'], roles: ['fat'],
    parts: [0.3, 0.2, 99.4, 0, 0, 0, 0.1], density: 0.91, share: [2, 8, 20], allergens: ['milk'], smokeC: 230 },
  { id: 'lard', name: 'Lard', roles: ['fat'], parts: [0.5, 0.1, 99.3, 0, 0, 0, 0.1], density: 0.92, share: [2, 6, 15],
    smokeC: 188 },
  { id: 'plant-block', name: 'Plant baking block', also: ['margarine', 'vegan butter', 'dairy-free spread'],
    roles: ['fat'], parts: [19, 0.2, 79, 0, 0.4, 0, 1.4], salt: 1, density: 0.93, share: [2, 8, 20], smokeC: 150,
    note: 'Read the label for milk and soya.' },
]);

// a table: one entry after the other, as one reads down a shelf
// prettier-ignore
export const sweets = describe('sweet', TABLES, [
  { id: 'sugar', name: 'Sugar', also: ['white sugar', 'caster sugar', 'granulated sugar'], roles: ['sweet'],
    parts: [0.1, 0, 0, 0, 99.9, 0, 0], density: [0.85, 0.9], share: [0, 4, 20] },
  { id: 'honey', name: 'Honey', roles: ['sweet'], parts: [17.5, 0.4, 0, 0, 81.2, 0, 0.3, 0.6], density: 1.42,
    share: [0, 5, 15] },
  { id: 'black-treacle', name: 'Black treacle', also: ['molasses'], roles: ['sweet', 'flavour'],
    parts: [23, 1.2, 0, 0, 69, 0, 6, 0.8], salt: 0.3, density: 1.42, share: [0, 3, 8], allergens: ['sulphites'] },
  { id: 'brown-sugar', name: 'Brown sugar', also: ['light brown sugar', 'dark brown sugar', 'muscovado'],
    roles: ['sweet'], parts: [1.8, 0.1, 0, 0, 97, 0, 1.1], density: [0.72, 0.92], share: [0, 4, 20] },
  { id: 'dextrose', name: 'Dextrose', also: ['glucose powder', 'grape sugar'], roles: ['sweet'],
    parts: [8.5, 0, 0, 0, 91.5, 0, 0], density: [0.6, 0.72], share: [0, 3, 15] },
  { id: 'maple-syrup', name: 'Maple syrup', roles: ['sweet', 'flavour'], parts: [32.5, 0, 0.1, 0, 66.5, 0, 0.6, 0.3],
    density: 1.32, share: [0, 5, 15] },
  { id: 'agave-syrup', name: 'Agave syrup', also: ['agave nectar'], roles: ['sweet'],
    parts: [23, 0.1, 0.2, 0, 75.8, 0.3, 0.3, 0.3], density: 1.36, share: [0, 5, 15] },
  { id: 'rice-syrup', name: 'Rice syrup', also: ['brown rice syrup', 'rice malt syrup'], roles: ['sweet'],
    parts: [21, 0.4, 0, 24, 54, 0, 0.4], density: 1.39, share: [0, 5, 15], gluten: 'crossContactCommon',
    note: 'Some are made with barley enzymes.' },
  { id: 'glucose-syrup', name: 'Glucose syrup', also: ['corn syrup, light'], roles: ['sweet'],
    parts: [20, 0, 0, 34, 46, 0, 0.1], density: 1.42, share: [0, 4, 12] },
]);

// a table: one entry after the other, as one reads down a shelf
// prettier-ignore
export const leavens = describe('leaven', TABLES, [
  { id: 'instant-yeast', name: 'Instant yeast', also: ['fast-action yeast', 'easy-bake yeast', 'rapid-rise yeast'],
    roles: ['leaven'], parts: [5.5, 47, 5.5, 2, 9.5, 25, 5.5], density: [0.6, 0.7], share: [0.5, 1.5, 3] },
  { id: 'active-dry-yeast', name: 'Active dry yeast', also: ['dried yeast'], roles: ['leaven'],
    parts: [7, 45, 6, 2, 9.5, 25, 5.5], density: [0.75, 0.85], share: [0.6, 2, 4] },
  { id: 'fresh-yeast', name: 'Fresh yeast', also: ['baker’s yeast, compressed', 'cake yeast'], roles: ['leaven'],
    parts: [70, 14, 1.8, 1, 3.2, 8, 2], density: [1, 1.1], share: [1.5, 4, 8] },
  { id: 'baking-powder', name: 'Baking powder', roles: ['leaven'], parts: [6, 0, 0, 27, 0, 0, 57, 10],
    density: [0.85, 0.95], share: [1, 3, 6], gluten: 'crossContactCommon',
    note: 'Some are filled with wheat starch: read the tin. Other: carbon dioxide bound in the soda.' },
  { id: 'baking-soda', name: 'Baking soda', also: ['bicarbonate of soda', 'sodium bicarbonate', 'bicarb'],
    roles: ['leaven'], parts: [0.2, 0, 0, 0, 0, 0, 63.1, 36.7], density: [0.95, 1.15], share: [0.2, 0.8, 1.5],
    note: 'Other: what leaves as carbon dioxide and water on full decomposition. It needs an acid to work cold.' },
  { id: 'cream-of-tartar', name: 'Cream of tartar', also: ['potassium bitartrate'], roles: ['acid', 'leaven'],
    parts: [0.5, 0, 0, 0, 0, 0, 24, 75.5], density: [0.8, 0.95], share: [0.3, 1.2, 2.5] },
]);
