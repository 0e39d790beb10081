/** What the screen says. */
export const words = {
  ofWhichSugars: 'of which sugars',
  fairlySure: 'fairly sure',
  halfSure: 'half sure',
  mostlyAGuess: 'mostly a guess',
  estimatedFromItsLabel: (sureness: string, listed: string) =>
    `Estimated from its label, ${sureness}: ${listed}.`,
  listWhatIsInIt: 'List what is in it.',
  seeAbove: 'See above.',
  name: 'Name',
  yoursNotTheMakersWill: 'yours, not the maker’s, will do',
  giveItAName: 'Give it a name.',
  aBoughtBlendFromIts: 'A bought blend, from its label',
  theIngredientsInTheOrder:
    'The ingredients in the order of the label, gums and salt too, with the percentages it prints. Then the nutrition panel.',
  notPrinted: 'not printed',
  in100GAsPrinted: 'In 100 g, as printed',
  aLabelListsByFalling: 'A label lists by falling weight: a percentage further down can’t be larger.',
  listAndPanelDoNot:
    'List and panel do not agree. Is an ingredient missing, or the panel for the baked bread?',
  itShouldAbsorbGOf: (value: string, decimal: string) =>
    `It should absorb ${value} ± ${decimal} g of water per g.`,
  whatMustBeInside: 'What must be inside',
  percentage: 'Percentage',
} as const;
