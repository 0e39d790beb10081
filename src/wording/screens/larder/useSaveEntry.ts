/** What the screen says. */
export const words = {
  whatIsIn100G: 'What is in 100 g: ',
  whichBag: 'Which bag: ',
  part: (number: number) => `Part ${number}: `,
  ingredient: (entry: string) => `Ingredient “${entry}”`,
  somebodyChangedThisIngredientIn:
    'Somebody changed this ingredient in between. Reload the page to see how it is now.',
  theServerDidNotAnswer:
    'The server did not answer. It is written down in this browser and sent by itself when the server is back; you may close this.',
  theServerDidNotTake: 'The server did not take it. Nothing was changed; press again.',
  name: 'Name: ',
} as const;
