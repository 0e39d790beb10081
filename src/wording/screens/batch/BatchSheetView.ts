/** What the screen says. */
export const words = {
  movedMostByAFiner: (name: string, percent: string) =>
    ` ${name} moved most, by ${percent} %: a finer scale would help.`,
  roundedToTheScaleHydration: (worst: string) =>
    `Rounded to the scale: hydration, salt and binder stay as they are.${worst}`,
  roundedToTheScale: (join: string, worst: string) => `Rounded to the scale: ${join}.${worst}`,
  thePiecesWantMoreDough: (shortG: string, mass: string) =>
    `The pieces want ${shortG} more dough than there is: make them ${mass} each, or one fewer.`,
  nothingLeftOver: 'Nothing left over.',
  ofTheDoughIsLeft: (remainderG: string) =>
    `${remainderG} of the dough is left over: enough for more pieces.`,
  aScrapOfIsLeft: (remainderG: string) => `A scrap of ${remainderG} is left over.`,
  ofTheDough: (round: number) => `, ${round} % of the dough`,
  andASmallOneOf: (remainderG: string, much: string) => `And a small one of ${remainderG}${much}.`,
  ofDough: ' of dough',
  partOf: (at: number, of: number) => `part ${at} of ${of}`,
  forEachOf: (count: number) => `once for each of ${count}`,
  anotherDay: 'for the day they are taken out',
  onceTakenOut: (steps: string) => `Once taken out: ${steps}.`,
  heldBack: 'held back: only if the dough asks for it',
  putBy: (as: string, days: number) => `${as}, within ${days} ${days === 1 ? 'day' : 'days'}`,
  aboutBaked: (bakedG: string) => `about ${bakedG} baked`,
  inTotal: (sheet: string, mass: string, dough: boolean, factor: string) =>
    `${sheet} ${mass} ${dough ? 'of dough ' : ''}in total, ${factor} × the formula.`,
  ingredient: 'Ingredient',
  weigh: 'Weigh',
  toWeigh: 'To weigh',
} as const;
