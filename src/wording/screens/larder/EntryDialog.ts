/** What the screen says. */
export const words = {
  stateWhatYouKnowBetter:
    'State what you know better than the library: from the label, or from your own dough. The rest stays as it is.',
  fromTheLabelOrThe: 'From the label or the mill’s data sheet. What you don’t know may stay as it stands.',
  change: (name: string) => `Change ${name}`,
  anIngredientOfMine: 'An ingredient of mine',
  whichBag: 'Which bag',
  millLotOpenedWhen: 'mill, lot, opened when',
  whereTheFiguresComeFrom: 'Where the figures come from',
  labelDataSheetMyDough: 'label, data sheet, my dough',
  myBagOf: (name: string) => `My bag of ${name}`,
} as const;
