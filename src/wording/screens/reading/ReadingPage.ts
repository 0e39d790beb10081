/** What the screen says. */
export const words = {
  sundayRolls200GBrown:
    'Sunday rolls\n\n200 g brown rice flour\n1 cup (125 g) tapioca starch\n18 g psyllium husk\n300 ml warm water\n7 g yeast\n1 tsp salt\n\nMix for 5 minutes. Let it rest for 30 minutes, shape, and bake for 25 min at 220 °C.',
  thisFileIsLargerThan: 'This file is larger than any recipe: 2 MB is the most.',
  thisIsNotAText: 'This is not a text file. JSON, CSV, Markdown and plain text can be read.',
  allFormulas: ' all formulas',
  importARecipe: 'Import a recipe',
  pasteItAsItStands:
    'Paste it as it stands: cups, grams, fractions, sub-headings, method and all. What is sure is taken, what is not is asked, and no line falls away.',
  theRecipe: 'The recipe',
  openAFile: 'Open a file',
  cupSpoonAndEggSizes: 'Cup, spoon and egg sizes',
  theText: 'The text',
  howItWasUnderstood: 'How it was understood is shown here, line by line.',
} as const;
