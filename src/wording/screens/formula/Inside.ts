/** What the screen says. */
export const words = {
  yeastAsFresh: 'Yeast, as fresh',
  starchesInTheBase: 'Starches in the base',
  whatIsInIt: 'What is in it',
  ofTheFlours: 'of the flours',
  n100GBaked: '100 g baked',
  fromTheTypicalCompositionOf:
    'From the typical composition of each ingredient, toppings included, with the usual bake loss taken as water. What the yeast eats is not counted. An estimate for choosing between formulas, never a label.',
  aboutKjIn100G: (kj: number, kcal: number) => `about ${kj} kJ (${kcal} kcal) in 100 g`,
} as const;
