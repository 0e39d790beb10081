/** What the screen says. */
export const words = {
  bandAndWater: (band: string, water: string) => `${band}, water ${water}`,
  noDoughYet: 'No dough yet',
  flourAndWaterAndIt: 'Flour and water, and it has a word.',
  water: 'water',
  salt: 'salt',
  binder: 'binder',
  whatThisMakes: 'What this makes',
  contains: 'Contains',
  noAllergenFoundBy: 'No allergen found, by typical ingredients',
  ofNothingIsKnown: (unknown: string) => `; of ${unknown} nothing is known`,
} as const;
