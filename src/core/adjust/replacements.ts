/**
 * What stands in for an ingredient, g per g, in the order tried; the first that is not avoided itself is taken. `water` in a
 * stand-in is what the removed thing brought; the sheet's water is then solved once more so that the dough feels the same.
 * The dose of a binder goes by the middle of what is usual for each.
 */
export interface StandIn {
  readonly ingredientId: string;
  readonly gPerG: number;
}
const one = (ingredientId: string, gPerG = 1): readonly StandIn[] => [{ ingredientId, gPerG }];

export const REPLACEMENTS: Readonly<Record<string, readonly (readonly StandIn[])[]>> = {
  // three quarters water, a tenth fat, an eighth protein that sets in the oven: its bind comes from psyllium or xanthan
  'egg-whole': [
    [
      { ingredientId: 'water', gPerG: 0.76 },
      { ingredientId: 'sunflower-oil', gPerG: 0.1 },
      { ingredientId: 'pea-protein', gPerG: 0.1 },
      { ingredientId: 'psyllium-powder', gPerG: 0.03 },
    ],
    [
      { ingredientId: 'water', gPerG: 0.76 },
      { ingredientId: 'sunflower-oil', gPerG: 0.1 },
      { ingredientId: 'pea-protein', gPerG: 0.1 },
      { ingredientId: 'xanthan', gPerG: 0.008 },
    ],
  ],
  'quail-egg': [
    [
      { ingredientId: 'water', gPerG: 0.74 },
      { ingredientId: 'sunflower-oil', gPerG: 0.11 },
      { ingredientId: 'pea-protein', gPerG: 0.1 },
      { ingredientId: 'psyllium-powder', gPerG: 0.03 },
    ],
  ],
  'egg-white': [
    one('aquafaba'),
    [
      { ingredientId: 'water', gPerG: 0.88 },
      { ingredientId: 'pea-protein', gPerG: 0.1 },
      { ingredientId: 'psyllium-powder', gPerG: 0.03 },
    ],
  ],
  'egg-yolk': [
    [
      { ingredientId: 'water', gPerG: 0.51 },
      { ingredientId: 'sunflower-oil', gPerG: 0.29 },
      { ingredientId: 'pea-protein', gPerG: 0.16 },
    ],
  ],
  'egg-white-powder': [one('pea-protein')],
  'whole-milk': [one('rice-drink'), one('soya-drink')],
  'skimmed-milk': [one('rice-drink'), one('soya-drink')],
  buttermilk: [
    [
      { ingredientId: 'rice-drink', gPerG: 0.95 },
      { ingredientId: 'lemon-juice', gPerG: 0.05 },
    ],
  ],
  kefir: [
    [
      { ingredientId: 'rice-drink', gPerG: 0.95 },
      { ingredientId: 'lemon-juice', gPerG: 0.05 },
    ],
  ],
  'plain-yoghurt': [
    [
      { ingredientId: 'coconut-milk', gPerG: 0.95 },
      { ingredientId: 'lemon-juice', gPerG: 0.05 },
    ],
  ],
  quark: [
    [
      { ingredientId: 'coconut-milk', gPerG: 0.95 },
      { ingredientId: 'lemon-juice', gPerG: 0.05 },
    ],
  ],
  'whipping-cream': [one('coconut-milk')],
  'milk-powder': [one('rice-syrup', 0.55)],
  butter: [
    one('plant-block'),
    [
      { ingredientId: 'sunflower-oil', gPerG: 0.82 },
      { ingredientId: 'water', gPerG: 0.16 },
    ],
  ],
  ghee: [one('coconut-oil'), one('sunflower-oil')],
  'maize-starch': [one('tapioca-starch'), one('potato-starch'), one('rice-starch')],
  'pregelatinised-starch': [one('psyllium-powder', 0.4), one('xanthan', 0.25)],
  'maize-flour': [one('millet-flour'), one('sorghum-flour')],
  polenta: [one('millet-flour'), one('sorghum-flour')],
  'masa-harina': [one('sorghum-flour'), one('millet-flour')],
  'oat-flour-certified': [one('sorghum-flour'), one('brown-rice-flour')],
  'rolled-oats-certified': [one('sunflower-seed'), one('pumpkin-seed')],
  'oat-bran-certified': [one('rice-bran'), one('sunflower-meal')],
  'oat-drink-certified': [one('rice-drink'), one('water')],
  'ground-almonds': [one('sunflower-meal'), one('tiger-nut-flour')],
  'ground-hazelnuts': [one('sunflower-meal'), one('tiger-nut-flour')],
  'almond-drink': [one('rice-drink'), one('water')],
  walnuts: [one('sunflower-seed'), one('pumpkin-seed')],
  hazelnuts: [one('pumpkin-seed'), one('sunflower-seed')],
  'soya-flour': [one('chickpea-flour')],
  'soya-drink': [one('rice-drink'), one('water')],
  'lupin-flour': [one('chickpea-flour')],
  'sesame-seed': [one('sunflower-seed'), one('poppy-seed')],
  'potato-starch': [one('tapioca-starch'), one('maize-starch'), one('arrowroot')],
  'potato-flour': [one('banana-flour', 2)],
  'mashed-potato': [one('pumpkin-puree')],
  'white-rice-flour': [one('sorghum-flour'), one('light-buckwheat-flour')],
  'brown-rice-flour': [one('sorghum-flour'), one('buckwheat-flour')],
  'red-rice-flour': [one('sorghum-flour'), one('buckwheat-flour')],
  'sweet-rice-flour': [one('tapioca-starch')],
  'rice-starch': [one('tapioca-starch'), one('potato-starch')],
  'rice-bran': [one('sunflower-meal')],
  'rice-drink': [one('soya-drink'), one('water')],
  'rice-syrup': [one('maple-syrup')],
  'rice-starter': [one('buckwheat-starter'), one('sorghum-starter')],
  'wheat-starch-gluten-free': [one('maize-starch'), one('tapioca-starch')],
  'psyllium-husk': [one('xanthan', 0.28), one('guar', 0.36)],
  'psyllium-powder': [one('xanthan', 0.28), one('guar', 0.36)],
  xanthan: [one('psyllium-powder', 3.6), one('guar', 1.3)],
};
