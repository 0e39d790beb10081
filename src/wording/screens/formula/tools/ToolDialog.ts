/** What the screen says. */
export const words = {
  setTheWater: 'Set the water',
  howShouldTheDoughBe: 'How should the dough be after its rest? Only the water changes.',
  tooWetToday: 'Too wet today',
  yourHandIsRightWhatever:
    'Your hand is right, whatever the formula says: how much of which powder brings it back.',
  swapOneForAnother: 'Swap one for another',
  theDoseIsFittedAnd: 'The dose is fitted, and the water set so that the dough feels the same.',
  leaveSomethingOut: 'Leave something out',
  whatGoesIsReplacedBy:
    'What goes is replaced by what does its work: water, bind, protein and fat are put back.',
  useUpWhatThereIs: 'Use up what there is',
  theWholeFormulaIs: 'The whole formula is scaled so that this comes to what you have.',
} as const;
