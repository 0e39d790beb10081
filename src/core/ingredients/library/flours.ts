import { describe } from '../describe';

const GRAIN =
  'Composition: typical values of national food composition tables (USDA FoodData Central, McCance & Widdowson 7th ed.); absorption: dough trials summarised in cereal science texts, before learning.';

// a table: one entry after the other, as one reads down a shelf
// prettier-ignore
export const grainFlours = describe('grainFlour', GRAIN, [
  { id: 'white-rice-flour', name: 'White rice flour', also: ['rice flour', 'ground rice, fine'], roles: ['flour'],
    parts: [12, 6.2, 1.2, 78, 0.2, 1.8, 0.6], density: [0.58, 0.72], drinks: [0.75, 0.06, 8], gelC: [66, 74],
    share: [10, 50, 80] },
  { id: 'brown-rice-flour', name: 'Brown rice flour', also: ['wholegrain rice flour'], roles: ['flour'],
    parts: [11.8, 7.4, 2.8, 71.2, 0.8, 4.5, 1.5], density: [0.56, 0.7], drinks: [0.85, 0.07, 15], gelC: [65, 74],
    share: [10, 50, 80] },
  { id: 'millet-flour', name: 'Millet flour', also: ['bajra flour', 'proso flour'], roles: ['flour'],
    parts: [10, 10.8, 4.1, 68.5, 1.6, 3.5, 1.5], density: [0.5, 0.63], drinks: [0.85, 0.08, 14], gelC: [64, 72],
    share: [10, 40, 60], gluten: 'crossContactCommon' },
  { id: 'sorghum-flour', name: 'Sorghum flour', also: ['jowar flour', 'milo flour'], roles: ['flour'],
    parts: [10.3, 8.4, 3.3, 68.5, 1.9, 6.3, 1.3], density: [0.52, 0.66], drinks: [0.88, 0.08, 15], gelC: [68, 76],
    share: [10, 45, 60], gluten: 'crossContactCommon' },
  { id: 'teff-flour', name: 'Teff flour', also: ['tef flour'], roles: ['flour'],
    parts: [9.5, 12, 3.4, 62.5, 1.8, 8.3, 2.5], density: [0.58, 0.74], drinks: [1.0, 0.09, 18], gelC: [66, 73],
    share: [5, 30, 50] },
  { id: 'oat-flour-certified', name: 'Oat flour, certified gluten-free', also: ['certified oat flour'],
    roles: ['flour'], parts: [9.5, 13.5, 7.5, 57.5, 1, 9.2, 1.8], density: [0.42, 0.55], drinks: [1.05, 0.1, 16],
    gelC: [54, 62], share: [5, 30, 50], gluten: 'onlyIfCertified' },
  { id: 'sweet-rice-flour', name: 'Glutinous rice flour',
    also: ['sweet rice flour', 'sticky rice flour', 'mochi flour'], roles: ['flour'],
    parts: [12, 6.3, 0.8, 79, 0.2, 1.1, 0.6], density: [0.55, 0.68], drinks: [0.8, 0.08, 8], gelC: [60, 68],
    share: [5, 20, 40],
    note: 'All amylopectin: sticky and stretchy, stays soft. It holds no gluten in spite of its name.' },
  { id: 'red-rice-flour', name: 'Red rice flour', also: ['wholegrain red rice flour'], roles: ['flour'],
    parts: [11.5, 7.6, 2.7, 70.7, 0.8, 5.2, 1.5], density: [0.55, 0.69], drinks: [0.88, 0.08, 16], gelC: [66, 75],
    share: [5, 30, 60] },
  { id: 'maize-flour', name: 'Maize flour, fine', also: ['corn flour, yellow', 'fine cornmeal', 'maize meal'],
    roles: ['flour'], parts: [11, 7, 3.5, 69, 1.5, 7, 1.3], density: [0.52, 0.66], drinks: [0.8, 0.08, 14],
    gelC: [65, 74], share: [5, 25, 50], allergens: ['maize'], gluten: 'crossContactCommon',
    note: 'The whole or degermed grain, yellow: not maize starch.' },
  { id: 'polenta', name: 'Polenta', also: ['cornmeal, coarse', 'maize grits', 'corn grits'], roles: ['flour'],
    parts: [11.5, 7.3, 1.4, 72.5, 0.8, 5.7, 0.7], density: [0.66, 0.75], drinks: [0.7, 0.1, 30], gelC: [66, 75],
    share: [5, 20, 40], allergens: ['maize'], gluten: 'crossContactCommon' },
  { id: 'masa-harina', name: 'Masa harina', also: ['nixtamalised maize flour', 'lime-treated corn flour'],
    roles: ['flour'], parts: [9.5, 8.5, 3.7, 68, 1.5, 7.3, 1.6], density: [0.48, 0.6], drinks: [1.3, 0.15, 10],
    gelC: [60, 70], share: [5, 25, 60], allergens: ['maize'], gluten: 'crossContactCommon',
    note: 'Partly gelatinised by its lime cooking, so it absorbs more than maize flour.' },
  { id: 'rolled-oats-certified', name: 'Rolled oats, certified gluten-free',
    also: ['porridge oats', 'oatmeal', 'certified oats'], roles: ['flour', 'inclusion'],
    parts: [10, 13, 7, 57, 1, 10.2, 1.8], density: [0.36, 0.43], drinks: [1.0, 0.15, 30], gelC: [54, 62],
    share: [3, 15, 30], gluten: 'onlyIfCertified' },
  { id: 'oat-bran-certified', name: 'Oat bran, certified gluten-free', roles: ['flour'],
    parts: [9, 17, 7.5, 46, 1.5, 16.2, 2.8], density: [0.36, 0.45], drinks: [1.6, 0.25, 25], gelC: [54, 62],
    share: [2, 8, 15], gluten: 'onlyIfCertified' },
  { id: 'rice-bran', name: 'Rice bran, stabilised', roles: ['flour'], parts: [6.5, 13.5, 20.5, 27, 1, 21.5, 10],
    density: [0.3, 0.42], drinks: [1.5, 0.25, 25], gelC: [66, 74], share: [1, 5, 10] },
]);

// a table: one entry after the other, as one reads down a shelf
// prettier-ignore
export const pseudoCereals = describe('pseudoCereal', GRAIN, [
  { id: 'buckwheat-flour', name: 'Buckwheat flour', also: ['sarrasin flour'], roles: ['flour'],
    parts: [11.2, 12.2, 3, 62, 2.3, 7.3, 2], density: [0.5, 0.64], drinks: [0.98, 0.09, 16], gelC: [62, 70],
    share: [10, 50, 100], gluten: 'crossContactCommon' },
  { id: 'quinoa-flour', name: 'Quinoa flour', roles: ['flour'], parts: [11, 13.6, 5.8, 55, 4.6, 7.6, 2.4],
    density: [0.45, 0.58], drinks: [1.0, 0.1, 16], gelC: [57, 64], share: [5, 25, 40] },
  { id: 'amaranth-flour', name: 'Amaranth flour', roles: ['flour'], parts: [11, 13.8, 6.6, 57, 1.7, 7.2, 2.7],
    density: [0.5, 0.64], drinks: [1.0, 0.1, 16], gelC: [65, 72], share: [5, 20, 35] },
  { id: 'light-buckwheat-flour', name: 'Light buckwheat flour',
    also: ['white buckwheat flour', 'hulled buckwheat flour'], roles: ['flour'],
    parts: [12.5, 8, 1.7, 71.5, 1.3, 3.6, 1.3], density: [0.5, 0.65], drinks: [0.88, 0.08, 12], gelC: [62, 70],
    share: [10, 50, 100], gluten: 'crossContactCommon' },
]);

// a table: one entry after the other, as one reads down a shelf
// prettier-ignore
export const pulses = describe('pulse', GRAIN, [
  { id: 'chickpea-flour', name: 'Chickpea flour', also: ['gram flour', 'besan', 'garbanzo flour'], roles: ['flour'],
    parts: [9.8, 21.8, 6.2, 44.5, 4.5, 10.4, 2.8], density: [0.4, 0.52], drinks: [1.1, 0.1, 12], gelC: [65, 73],
    share: [5, 25, 60], gluten: 'crossContactCommon' },
  { id: 'lupin-flour', name: 'Lupin flour', also: ['lupine flour', 'sweet lupin flour'], roles: ['flour'],
    parts: [8, 39.5, 9, 3.5, 4.5, 32, 3.5], density: [0.42, 0.54], drinks: [1.3, 0.15, 15], share: [2, 10, 15],
    allergens: ['lupin'], note: 'Can set off a reaction in peanut allergy.' },
  { id: 'soya-flour', name: 'Soya flour, full fat', also: ['soy flour'], roles: ['flour'],
    parts: [6.5, 37.5, 20.5, 5, 8.5, 16.5, 5.2], density: [0.4, 0.52], drinks: [1.2, 0.15, 14], share: [1, 6, 12],
    allergens: ['soya'] },
  { id: 'lentil-flour', name: 'Red lentil flour', also: ['masoor flour'], roles: ['flour'],
    parts: [9, 24.5, 1.8, 49, 2.2, 10.8, 2.7], density: [0.5, 0.64], drinks: [1.05, 0.1, 12], gelC: [63, 71],
    share: [5, 20, 50], gluten: 'crossContactCommon' },
  { id: 'faba-flour', name: 'Faba bean flour', also: ['broad bean flour', 'fava flour'], roles: ['flour'],
    parts: [10, 27, 1.8, 42, 4, 12, 3.2], density: [0.48, 0.6], drinks: [1.1, 0.12, 12], gelC: [63, 71],
    share: [2, 12, 25], note: 'Not for people with G6PD deficiency (favism).' },
  { id: 'pea-protein', name: 'Pea protein', also: ['pea protein isolate'], roles: ['flour'],
    parts: [6.5, 80, 6.5, 0.8, 0.4, 1.5, 4.5], density: [0.35, 0.5], drinks: [1.9, 0.3, 15], share: [1, 4, 10] },
]);
