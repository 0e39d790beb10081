/** The main pages. */
export const words = {
  today: 'Today',
  formulas: 'Formulas',
  ingredients: 'Ingredients',
  equipment: 'Equipment',
  bench: 'Bench',
  logbook: 'Logbook',
} as const;
