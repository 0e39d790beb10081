import { describe } from '../describe';

const BLEND =
  'A bought blend nobody has looked into: white rice, potato and tapioca in usual shares, as labels list them. Enter yours from its label to know it better.';

// a table: one entry after the other, as one reads down a shelf
// prettier-ignore
export const boughtBlends = describe('grainFlour', BLEND, [
  { id: 'bought-blend-plain', name: 'Gluten-free flour blend, no gum', also: ['gluten-free flour mix, no gum', 'plain flour blend'],
    roles: ['flour'], parts: [13.25, 3.48, 0.71, 80.74, 0.13, 1.23, 0.47], density: [0.55, 0.72], thirstCv: 0.12,
    gluten: 'crossContactCommon',
    madeOf: [{ ingredientId: 'white-rice-flour', share: 0.55 }, { ingredientId: 'potato-starch', share: 0.25 },
      { ingredientId: 'tapioca-starch', share: 0.2 }] },
  { id: 'bought-blend-gum', name: 'Gluten-free flour blend, with xanthan', also: ['gluten-free flour mix, with gum'],
    roles: ['flour'], parts: [13.25, 3.48, 0.7, 79.92, 0.13, 1.99, 0.54], density: [0.55, 0.72], thirstCv: 0.15,
    gluten: 'crossContactCommon', note: 'Xanthan about 1 %, on labels between 0.3 and 1.5 %.',
    madeOf: [{ ingredientId: 'white-rice-flour', share: 0.545 }, { ingredientId: 'potato-starch', share: 0.25 },
      { ingredientId: 'tapioca-starch', share: 0.195 }, { ingredientId: 'xanthan', share: 0.01 }] },
]);
