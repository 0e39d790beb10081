/** What the screen says. */
export const words = {
  title: 'My measures',
  what: 'Fill your own cup or scoop as you always do and weigh it; two or three times tell how alike your fillings are. From then on “1 cup” is yours.',
  which: 'Which measure',
  my: (measure: string) => `My ${measure}`,
  filledWith: 'Filled with',
  water: 'water (for anything)',
  weighs: 'It weighs, each time',
  add: 'A cup, scoop or spoon',
} as const;
