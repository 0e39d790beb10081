/** What the screen says. */
export const words = {
  warmestPlaceForAProof: 'Warmest place for a proof',
  heightAboveTheSea: 'Height above the sea',
  byHand: 'by hand',
  byMachine: 'by machine',
  mixing: 'Mixing',
  mixingWarmsTheDoughBy: 'Mixing warms the dough by, a minute',
  roomsAndMixing: 'Rooms and mixing',
  room: 'Room',
  fridge: 'Fridge',
} as const;
