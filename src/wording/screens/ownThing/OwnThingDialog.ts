/** What the screen says. */
export const words = {
  title: 'Something of my own',
  hint: 'A name is enough. What it is like makes its figures less of a guess; more can be said in Ingredients.',
  name: 'Name',
  giveItAName: 'Give it a name.',
  mostLike: 'Most like',
  likeNothing: 'nothing here',
  whatIsInIt: 'What is in it that somebody must not eat?',
  none: 'None of these',
  askedFor: 'Say what is in it, or that none of these are.',
  saveAndUse: 'Save and use it',
} as const;
