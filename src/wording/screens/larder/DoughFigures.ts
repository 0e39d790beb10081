/** What the screen says. */
export const words = {
  inTheDough: 'In the dough',
  absorbsGOfWaterPer: 'Absorbs, g of water per g',
  giveOrTakeFourBags: 'give or take (four bags of five)',
  fourFifthsOfItIn: 'Four fifths of it in',
  aMillilitreSpooned: 'A millilitre, spooned',
  aMillilitreScooped: 'A millilitre, scooped',
  atMostOfTheFlours: 'At most, of the flours',
} as const;
