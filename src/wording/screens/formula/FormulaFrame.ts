/** What the screen says. */
export const words = {
  thisFormulaIsInThe: 'This formula is in the archive.',
  formula: 'Formula',
  method: 'Method',
  timeline: 'Timeline',
  notes: 'Notes',
  placesOfThisFormula: 'Places of this formula',
  mine: (slice: string) => `${slice} (mine)`,
  whatHadNotBeenSaved:
    'What had not been saved when this page was last closed is back on the page. Undo takes it away again.',
} as const;
