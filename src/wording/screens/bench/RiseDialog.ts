/** What the screen says. */
export const words = {
  sayHowFarItHas: 'Say how far it has risen.',
  whatWasMarked: 'What was marked',
  jarSinceMixing: 'jar, since mixing',
  doughThisStep: 'dough, this step',
  aSpoonfulOfTheDough:
    'A spoonful of the dough in a straight glass beside it, its height marked when the mixing ended.',
  theDoughItselfAgainstIts: 'The dough itself, against its height when this step began.',
  anotherFigure: 'Another figure',
  risenByPercent: 'Risen by, percent',
  saveTheMark: 'Save the mark',
  howFarHasItRisen: 'How far has it risen?',
  savedWithTheTimeIt: 'Saved with the time it is now. The next timeline of this formula learns from it.',
} as const;
