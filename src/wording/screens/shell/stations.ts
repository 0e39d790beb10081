/** The main pages. */
export const words = {
  today: 'Today',
  day: 'Day',
  formulas: 'Formulas',
  ingredients: 'Ingredients',
  equipment: 'Equipment',
  bench: 'Bench',
  logbook: 'Logbook',
} as const;
