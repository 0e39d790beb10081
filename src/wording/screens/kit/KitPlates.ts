/** What the screen says. */
export const words = {
  aStone: 'A stone',
  howThick: 'How thick',
  aStoneSteelOrPot: 'A stone, steel or pot',
  stonesSteelsPotsAndTrays: 'Stones, steels, pots and trays',
  fryer: 'Fryer',
  aFryerOrAPot: 'A fryer or a pot of oil',
  oilInIt: 'Oil in it',
  itsPower: 'Its power',
  thereIsNone: 'There is none',
} as const;
