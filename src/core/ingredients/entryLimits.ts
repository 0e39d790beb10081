/** Limits of what a baker may enter of an ingredient; used where it is typed and where it is received. */
export const ENTRY_LIMITS = {
  /** Yeast against new: nearly dead to livelier than any table. */
  vigour: { min: 0.02, max: 1.5 },
  /** What a bag absorbs as a whole against its parts or its kind. */
  absorbs: { min: 0.3, max: 3 },
  nameLength: 80,
  otherNames: 12,
  sourceLength: 400,
  blendParts: 30,
  worksG: { min: 1, max: 100_000 },
  gPer100g: { min: 0, max: 100 },
  densityGPerMl: { min: 0.02, max: 3 },
  absorptionGPerG: { min: 0, max: 40 },
  tauMin: { min: 0.5, max: 240 },
  gelatinisationC: { min: 40, max: 110 },
  sharePercent: { min: 0, max: 400 },
  smokePointC: { min: 80, max: 350 },
} as const;

export const FAMILIES = [
  'grainFlour', 'pseudoCereal', 'pulse', 'tuberOrNut', 'starch', 'seed', 'binder', 'liquid', 'eggAndDairy', 'fat', 'sweet',
  'leaven', 'seasoning', 'inclusion', 'culture',
] as const; // prettier-ignore
export const ROLES = [
  'flour', 'starch', 'seedMeal', 'binder', 'liquid', 'egg', 'sweet', 'fat', 'salt', 'leaven', 'acid', 'flavour', 'inclusion',
  'starter',
] as const; // prettier-ignore
export const ALLERGENS = [
  'egg', 'milk', 'soya', 'treeNuts', 'peanut', 'sesame', 'lupin', 'mustard', 'sulphites', 'wheat', 'psylliumDust', 'maize',
] as const; // prettier-ignore
export const GLUTEN_RISKS = [
  'free',
  'crossContactCommon',
  'onlyIfCertified',
  'processedWheatStarch',
] as const;
export const PARTS = ['water', 'protein', 'fat', 'starch', 'sugars', 'fibre', 'ash', 'other'] as const;
