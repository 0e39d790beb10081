/** What the screen says. */
export const words = {
  title: 'Provers, fridge, freezer, racks',
  none: 'Measure a prover, the oven with its light on, the room in fridge and freezer: steps that stand there use it.',
  kinds: {
    warm: 'Warm place',
    prover: 'Prover',
    ovenLight: 'Oven, light on',
    fridge: 'Fridge',
    freezer: 'Freezer',
    rack: 'Cooling rack',
  },
  aProver: 'Prover',
  warmth: 'Temperature',
  humidity: 'Humidity',
  long: 'Inside, long',
  wide: 'Inside, wide',
  shelves: 'Shelves',
  add: 'A prover, fridge, freezer or rack',
} as const;
