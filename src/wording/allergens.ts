import type { Allergen, GlutenRisk } from '@/core/ingredients';

export const ALLERGEN_WORD: Record<Allergen, string> = {
  egg: 'egg',
  milk: 'milk',
  soya: 'soya',
  treeNuts: 'tree nuts',
  peanut: 'peanut',
  sesame: 'sesame',
  lupin: 'lupin',
  mustard: 'mustard',
  sulphites: 'sulphites',
  wheat: 'wheat',
  psylliumDust: 'psyllium (its dust)',
  maize: 'maize',
};

export const GLUTEN_WORD: Record<GlutenRisk, string> = {
  free: 'free of gluten by nature',
  crossContactCommon: 'often in contact with wheat: buy it labelled',
  onlyIfCertified: 'only if certified gluten-free',
  processedWheatStarch: 'made from wheat, gluten washed out',
};
