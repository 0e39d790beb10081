/** What the screen says. */
export const words = {
  insteadOf: (name: string) => `Instead of ${name}`,
  noteFor: (name: string) => `Note for ${name}`,
  weight: (name: string) => `${name}, weight`,
  percentOfTheFlours: (name: string) => `${name}, percent of the flours`,
  remove: (name: string) => `Remove ${name}`,
  heldBack: 'held back: goes in only if the dough asks for it, counts in nothing',
  move: (name: string) => `Move ${name}`,
  putAnotherIngredientHere: (name: string) => `${name}: put another ingredient here`,
} as const;
