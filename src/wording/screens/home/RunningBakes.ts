/** What the screen says. */
export const words = {
  nothingIsInProgress: 'Nothing is in progress.',
  openAFormulaSayHow: 'Open a formula, say how much, and take it to the bench.',
  chooseAFormula: 'Choose a formula',
  startedAt: (startedAtMs: string) => `started ${startedAtMs}`,
  since: (startedAtMs: string) => `since ${startedAtMs}`,
  timeIsUp: 'Time is up: ',
  leftOf: 'left of ',
  until: (until: string) => `, until ${until}`,
  toTheBench: 'To the bench',
  nextToWeigh: 'next to weigh: ',
  ofAreIn: (done: number, of: number) => `, ${done} of ${of} are in`,
  next: 'Next: ',
  allDoneLookTasteAnd: 'All done: look, taste and log it',
} as const;
