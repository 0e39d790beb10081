/** What the screen says. */
export const words = {
  makeOwn: 'Make it a formula of its own',
  madeBy: 'made by',
  itsFormula: 'its formula',
  gone: 'a formula that is not here any more',
  changed: 'which has changed since',
  takeAnew: 'take it anew',
  letGo: 'on its own again',
  which: (part: string) => `${part}: made by a formula of its own`,
  hint: 'Or take it from one that is there: what goes in follows it, scaled to what this part weighs. What is here now goes out; undo brings it back.',
  find: 'Find a formula',
  none: 'No other formula is called so.',
  nothingInIt: 'Nothing goes into that formula, or too much of one thing for this part.',
  theServerDidNotAnswer: 'The server did not answer. Nothing was changed.',
  couldNotBeMade: 'This part cannot be a formula of its own yet: give it a weight.',
} as const;
