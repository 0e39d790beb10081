/** What the screen says. */
export const words = {
  watchOut: 'Watch out',
  allergensAndMadeWithTo: 'Allergens and “made with”, to check',
  whichSomeAvoid: (names: string) => `${names}, which some avoid:`,
  madeWithByWeight: 'Made with, by weight:',
  calculatedFromThisFormula:
    'Calculated from this formula and typical ingredients. Read your own labels. What may be called gluten-free, and which allergens have to be named, is set by the food law where you are.',
} as const;
