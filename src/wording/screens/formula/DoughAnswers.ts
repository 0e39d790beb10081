/** What the screen says. */
export const words = {
  atMost: (most: number) => `, at most ${most} %`,
  usual: (from: number, to: number, note: string) => `usual ${from}–${to} %${note}`,
  aboveTheMostThatMakes: (range: string) => `above the most that makes sense; ${range}`,
  outsideTheUsual: (range: string) => `outside the usual; ${range}`,
  whatCountsAs100: 'What counts as 100 %',
  withoutBinders: 'without binders',
  withBinders: 'with binders',
  bagAsBought: 'the bag as bought',
  floursAndStarchesThe100: 'Flours and starches, the 100 %',
  dough: 'Dough',
  aboutThisDough: 'About this dough',
  saltAsSuchOnWith: (baseG: string, percent: string) =>
    `Salt as such, on ${baseG}. With the salt inside cheese, olives and the like it comes to ${percent}.`,
  salt: 'Salt',
  asPouredTheWeightOf: (baseG: string) =>
    `As poured: the weight of every liquid, milk and yoghurt whole, on ${baseG} of flours.`,
  theWaterOnTheCard:
    'The water on the card is all of it: what is in the liquids, egg, dairy, sweeteners, starters and acids. The little water inside flours and binders as sold is not counted.',
  waterAsPoured: 'Water as poured',
  noneExpectACrumbThat: 'None: expect a crumb that crumbles.',
  psylliumGumsGelatineAndGels: (baseG: string) =>
    `Psyllium, gums, gelatine and gels, blends taken apart, on ${baseG}. Egg binds too, but not by a dose; its grip is in the figure above.`,
  bindersWithinThe100: 'Binders, within the 100 %',
  binders: 'Binders',
  yeastInOtherKinds: 'Yeast in other kinds, nutrition, the water’s temperature, what to watch out for',
  usually: 'usually',
  usualNumberOfPieces: 'Usual number of pieces',
  pieceOf: 'piece of',
  piecesOf: 'pieces of',
  usualWeightOfAPiece: 'Usual weight of a piece',
  losing: 'losing',
  usualBakeLoss: 'Usual bake loss',
  inTheOven: 'in the oven',
} as const;
