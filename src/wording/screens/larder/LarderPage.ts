/** What the screen says. */
export const words = {
  larder: 'Ingredients',
  addYourOwn: 'Add your own',
  aBlendOrStarterFrom: 'A blend or starter from things here',
  aBoughtBlendFromIts: 'A bought blend, from its label',
  anIngredientFigureByFigure: 'An ingredient, figure by figure',
  findAnIngredient: 'Search ingredients',
  riceLinseedCornflour: 'rice, linseed, cornflour …',
  whichOfThem: 'Which of them',
  allOfThem: 'All of them',
  putAway: 'archived',
  mine: 'mine',
  nothingByThatNameTry: 'Nothing by that name. Try another word for it, or add your own.',
  ingredients: 'Ingredients',
} as const;
