/** What the screen says. */
export const words = {
  contains: (allergens: string) => `Contains ${allergens}.`,
  noneFound: 'No allergen of the list found in what is known of it.',
  ofNothingIsKnown: (names: string) => `Of ${names} nothing is known.`,
  labelsDecide: 'The labels in your hand decide.',
} as const;
