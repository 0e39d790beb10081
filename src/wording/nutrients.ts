/** What a flour, a dough or a label is made of. */
export const NUTRIENT_WORD = {
  water: 'Water',
  protein: 'Protein',
  fat: 'Fat',
  carbohydrate: 'Carbohydrate',
  starch: 'Starch',
  sugars: 'Sugars',
  fibre: 'Fibre',
  salt: 'Salt',
  ash: 'Ash (minerals)',
  other: 'Other',
} as const;
