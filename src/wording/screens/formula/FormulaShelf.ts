/** What the screen says. */
export const words = {
  theSliceToExpectOf: (name: string) => `The slice to expect of ${name}`,
  of: (flours: string) => `Of ${flours}. `,
  noFlourYet: 'no flour yet',
  water: (percent: string) => `Water ${percent} %, `,
  bakedSoOften: (bakes: number, last: string) =>
    bakes === 1 ? `Baked once, on ${last}` : `Baked ${bakes} times, last on ${last}`,
  noBinder: 'no binder',
  notBakedYet: 'Not baked yet',
  formulas: 'Formulas',
  searchFormulas: (all: number) => `Search ${all} formulas`,
  sortBy: 'Sort by',
  byName: 'By name',
  lastBakedFirst: 'Last baked first',
  whichKind: 'Which kind',
  whichFormulas: 'Which formulas',
  onTheShelf: 'On the shelf',
  archive: (archived: number) => `Archive (${archived})`,
  importARecipe: 'Import a recipe',
  newFormula: 'New formula',
  backToTheStart: 'Back to the start',
  moreFormulas: 'More formulas',
  noFormulaMatchesThat: 'No formula matches that.',
  theArchiveIsEmpty: 'The archive is empty.',
  noFormulasYetAFormula:
    'No formulas yet. A formula is flours and starches as the 100 %, a binder, water and salt: start one and type what goes in.',
  everyKind: 'Every kind',
} as const;
