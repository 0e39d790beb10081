import { describe } from '../describe';

const GUM =
  'Composition: typical supplier data and food tables; swelling in a dough is well below the free-swelling index (pharmacopoeia) because salt and starch compete for water.';

// a table: one entry after the other, as one reads down a shelf
// prettier-ignore
export const binders = describe('binder', GUM, [
  { id: 'psyllium-husk', name: 'Psyllium husk', also: ['ispaghula husk', 'flea seed husk'], roles: ['binder'],
    parts: [8, 2, 0.6, 1, 0.2, 85.5, 2.7], density: [0.3, 0.38], drinks: [11, 1.3, 9], share: [3, 7, 10],
    allergens: ['psylliumDust'], note: 'About 80 % of its water in the first 10-15 min.' },
  { id: 'psyllium-powder', name: 'Psyllium powder', also: ['ground psyllium husk'], roles: ['binder'],
    parts: [8, 2, 0.6, 1, 0.2, 85.5, 2.7], density: [0.6, 0.72], drinks: [11, 1.3, 5], share: [3, 7, 10],
    allergens: ['psylliumDust'], note: 'Weight for weight as the husk; by the spoon about twice as much.' },
  { id: 'xanthan', name: 'Xanthan gum', roles: ['binder'], parts: [12, 4, 0, 0, 0, 77, 7], density: [0.6, 0.75],
    drinks: [15, 1.6, 4], share: [0.4, 1.5, 3] },
  { id: 'guar', name: 'Guar gum', roles: ['binder'], parts: [11, 4.5, 0.6, 0, 1, 82, 0.9], density: [0.55, 0.7],
    drinks: [12.5, 1.4, 8], share: [0.5, 2, 3] },
  { id: 'hpmc', name: 'HPMC', also: ['hydroxypropyl methylcellulose', 'modified cellulose', 'E464'], roles: ['binder'],
    parts: [5, 0, 0, 0, 0, 93.5, 1.5], density: [0.3, 0.45], drinks: [9, 1.2, 10], share: [1, 3, 5] },
  { id: 'ground-linseed', name: 'Ground linseed', also: ['ground flaxseed', 'flax meal', 'milled linseed'],
    roles: ['binder', 'inclusion'], parts: [6.5, 18.5, 42, 1, 1.5, 27, 3.5], density: [0.45, 0.55],
    drinks: [3.2, 0.4, 15], share: [2, 8, 15], note: 'Counted as a binder: it is weighed for its gel, not for body.' },
  { id: 'chia', name: 'Chia seed', roles: ['binder', 'inclusion'], parts: [6, 17, 31.5, 3, 0.7, 37, 4.8],
    density: [0.66, 0.74], drinks: [7.5, 0.8, 15], share: [1, 5, 10] },
  { id: 'locust-bean-gum', name: 'Locust bean gum', also: ['carob gum', 'E410'], roles: ['binder'],
    parts: [12, 6, 0.6, 0, 1, 79.5, 0.9], density: [0.55, 0.7], drinks: [9, 1.5, 15], share: [0.3, 1, 2],
    note: 'Swells fully only when heated.' },
  { id: 'cmc', name: 'Cellulose gum', also: ['CMC', 'carboxymethyl cellulose', 'E466'], roles: ['binder'],
    parts: [8, 0, 0, 0, 0, 75, 17], density: [0.55, 0.75], drinks: [12, 1.8, 8], share: [0.3, 1, 2.5] },
  { id: 'methylcellulose', name: 'Methylcellulose', also: ['E461'], roles: ['binder'],
    parts: [5, 0, 0, 0, 0, 93.5, 1.5], density: [0.3, 0.45], drinks: [8, 1.5, 12], share: [0.5, 2, 4],
    note: 'Sets on heating and melts on cooling.' },
  { id: 'konjac', name: 'Konjac gum', also: ['glucomannan', 'konjac flour', 'E425'], roles: ['binder'],
    parts: [9, 2, 0.3, 3, 0.2, 81.5, 4], density: [0.55, 0.75], drinks: [16, 3, 20], share: [0.2, 0.8, 2] },
  { id: 'gelatine', name: 'Gelatine powder', also: ['gelatin'], roles: ['binder'],
    parts: [11.5, 86, 0.1, 0, 0, 0, 1.6, 0.8], density: [0.62, 0.72], drinks: [5.5, 0.8, 6], share: [0.5, 1.5, 3],
    note: 'Of animals; bloom it, then dissolve it warm.' },
  { id: 'agar', name: 'Agar powder', also: ['agar-agar', 'E406'], roles: ['binder'], parts: [10, 1, 0.3, 0, 0, 85, 3.7],
    density: [0.5, 0.65], drinks: [6, 1.5, 20], share: [0.3, 1, 2], note: 'Dissolves only near the boil.' },
  { id: 'pectin', name: 'Pectin', also: ['apple pectin', 'E440'], roles: ['binder'],
    parts: [8, 0.5, 0.3, 0, 14, 74, 3.2], density: [0.5, 0.68], drinks: [6, 1.2, 12], share: [0.3, 1, 2.5] },
  { id: 'inulin', name: 'Inulin', also: ['chicory fibre', 'chicory root fibre'], roles: ['binder'],
    parts: [4, 0, 0, 0, 8, 87.5, 0.5], density: [0.5, 0.65], drinks: [0.5, 0.15, 6], share: [1, 4, 8],
    note: 'A soluble fibre: softens more than it binds.' },
  { id: 'apple-fibre', name: 'Apple fibre', also: ['apple fiber', 'apple pomace powder'], roles: ['binder'],
    parts: [6, 5.5, 2.5, 0, 22, 62, 2], density: [0.38, 0.5], drinks: [4, 0.8, 15], share: [0.5, 2, 5] },
  { id: 'bamboo-fibre', name: 'Bamboo fibre', also: ['bamboo fiber', 'cellulose fibre'], roles: ['binder'],
    parts: [6, 0.3, 0.1, 0, 0, 93, 0.6], density: [0.2, 0.32], drinks: [5, 1, 10], share: [0.5, 2, 4] },
]);

const SEED = 'Composition: typical values of national food composition tables (USDA FoodData Central).';

// a table: one entry after the other, as one reads down a shelf
// prettier-ignore
export const seeds = describe('seed', SEED, [
  { id: 'pumpkin-seed', name: 'Pumpkin seeds', also: ['pepitas'], roles: ['inclusion'],
    parts: [5.2, 30, 49, 1.4, 1.4, 8.2, 4.8], density: [0.54, 0.58], drinks: [0.15, 0.05, 30], share: [3, 15, 30] },
  { id: 'sunflower-seed', name: 'Sunflower seeds', roles: ['inclusion'], parts: [4.7, 20.8, 51.5, 8.5, 2.6, 8.9, 3],
    density: [0.55, 0.6], drinks: [0.2, 0.05, 30], share: [3, 15, 30] },
  { id: 'poppy-seed', name: 'Poppy seed', roles: ['inclusion'], parts: [6, 18, 41.6, 5.6, 3, 19.5, 6.3],
    density: [0.6, 0.65], drinks: [0.4, 0.1, 30], share: [1, 5, 10] },
  { id: 'sesame-seed', name: 'Sesame seed', roles: ['inclusion'], parts: [4.7, 17.7, 49.7, 11, 0.3, 11.9, 4.5],
    density: [0.58, 0.63], drinks: [0.2, 0.06, 30], share: [1, 6, 15], allergens: ['sesame'] },
  { id: 'linseed-whole', name: 'Linseed, whole', also: ['flaxseed', 'flax seed', 'linseeds'], roles: ['inclusion'],
    parts: [6.8, 18.3, 42.2, 1, 1.5, 26.8, 3.4], density: [0.66, 0.72], drinks: [1.2, 0.3, 60], share: [2, 8, 15] },
  { id: 'hemp-seed', name: 'Hemp seed, hulled', also: ['hemp hearts'], roles: ['inclusion'],
    parts: [5, 31.5, 48.8, 3, 1.5, 4, 6], density: [0.5, 0.58], drinks: [0.2, 0.06, 30], share: [2, 8, 15] },
  { id: 'nigella', name: 'Nigella seed', also: ['black onion seed', 'kalonji'], roles: ['flavour'],
    parts: [6, 20, 34, 5, 5, 24.5, 4.5], density: [0.52, 0.6], drinks: [0.3, 0.1, 30], share: [0.3, 1, 3],
    gluten: 'crossContactCommon' },
  { id: 'walnuts', name: 'Walnuts', roles: ['inclusion'], parts: [4, 15.5, 65, 1, 3, 8.5, 2], density: [0.4, 0.5],
    drinks: [0.08, 0.04, 30], share: [3, 12, 30], allergens: ['treeNuts'] },
  { id: 'hazelnuts', name: 'Hazelnuts', roles: ['inclusion'], parts: [5.3, 15, 60.8, 0.6, 4.3, 10.7, 2.3],
    density: [0.5, 0.58], drinks: [0.06, 0.03, 30], share: [3, 12, 30], allergens: ['treeNuts'] },
  { id: 'peanut-butter', name: 'Peanut butter', roles: ['fat', 'flavour'], parts: [1.5, 24, 50, 6, 7.5, 7.5, 3.3],
    salt: 0.8, density: 1.08, share: [2, 8, 20], allergens: ['peanut'] },
]);
