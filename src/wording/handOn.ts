/** What a page says that is handed on: one file, for whoever has nothing of this. */
export const words = {
  by: (kitchen: string) => `Baked in ${kitchen}`,
  version: (revision: number) => `version ${revision} of its formula`,
  cut: 'The cut face', nextDay: 'The crumb the next day', whole: 'The whole of it', expected: 'The slice that was to be expected',
  weighed: 'What went in', ingredient: 'Ingredient', planned: 'planned', actual: 'weighed', extra: 'went in besides',
  hydration: (percent: string) => `Hydration ${percent} %`,
  steps: 'What was done', took: 'took', record: 'Planned, predicted, happened', predicted: 'predicted', happened: 'happened',
  tasted: 'Tasted', ofFive: 'of 5', said: 'Words', madeBy: 'Read only. Made with Honest Crumb; it asks nothing of any network.',
} as const; // prettier-ignore
