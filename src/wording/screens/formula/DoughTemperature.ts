/** What the screen says. */
export const words = {
  howWarmMustTheWater: 'How warm must the water be?',
} as const;
