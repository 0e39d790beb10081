/** What the screen says. */
export const words = {
  absorbsGOfWaterPer: 'Absorbs, g of water per g',
  fourFifthsOfItTaken: 'Four fifths of it taken in',
  min: (time: string, spread: string) => `${time} ± ${spread} min`,
  usualOfTheFlours: 'Usual, of the flours',
  atMost: (mostShare: number) => `, at most ${mostShare} %`,
  gIn100G: (nutrient: string) => `${nutrient}, g in 100 g`,
  saltGIn100G: 'Salt, g in 100 g',
  energyKjIn100G: 'Energy in 100 g',
  aMillilitreWeighsG: 'A millilitre weighs, g',
  spoonedScooped: (densitySpooned: string, densityScooped: string) =>
    `${densitySpooned} spooned, ${densityScooped} scooped`,
  starchSwellsAndSetsAt: 'Starch swells and sets at',
  smokesAt: 'Smokes at',
  gluten: 'Gluten',
  allergensAndWhatSomeAvoid: 'Allergens, and what some avoid',
  noneKnown: 'none known',
} as const;
