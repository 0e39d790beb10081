/** What the screen says. */
export const words = {
  line: (line: string) => `Line ${line}: `,
  ingredientsInOnePart: 'Ingredients in one part: ',
  thisIsMoreThanOne: 'This is more than one formula can be: half a megabyte is the most.',
  theServerDidNotAnswer: 'The server did not answer. Nothing was made; press again.',
  aFormulaFileOfHonest: 'A formula file of Honest Crumb.',
  itIsTakenWholeWith: 'It is taken whole, with the ingredients it brings along, or not at all.',
  importIt: 'Import it',
  howItWasUnderstood: 'How it was understood',
  thisTextTakesLongerTo:
    'This text takes longer to read than any recipe. Paste only the recipe itself, or open it as a plain text.',
  thisTextCouldNotBe: 'This text could not be read. Paste only the recipe itself.',
  readingWasStoppedChangeThe: 'Reading was stopped. Change the text to read it again.',
  reading: 'Reading …',
  stop: 'Stop',
  withoutATitle: 'Without a title',
  ingredientsSteps: (ingredients: number, steps: number) => `${ingredients} ingredients, ${steps} steps`,
  oneQuestion: 'one question',
  questions: (count: number) => `${count} questions`,
  left: (count: string) => ` · ${count} left`,
  makeTheFormula: 'Make the formula',
  itsWordsAreTooMany: (cutLetters: number) =>
    `Its words are too many for “about it”: the last ${cutLetters} letters would be cut off.`,
  onlyPercentagesWereGivenCalculated: (assumedBaseG: string) =>
    `Only percentages were given: calculated for ${assumedBaseG} of flours.`,
  ingredients: 'Ingredients',
  lineSaysThatIsC: (numberOf: number, written: string, firstC: string, secondC: string) =>
    `Line ${numberOf} says “${written}”: that is ${firstC} °C and ${secondC} °C. One is a slip: no step takes its temperature from there.`,
  row: (row: string, field?: string) => `Row ${row}${field ? `, ${field}` : ''}: `,
  parts: 'Parts: ',
} as const;
