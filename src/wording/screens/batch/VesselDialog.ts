/** What the screen says. */
export const words = {
  lengthAtTheRim: 'Length at the rim',
  widthAtTheRim: 'Width at the rim',
  lengthAtTheBottom: 'Length at the bottom',
  widthAtTheBottom: 'Width at the bottom',
  acrossAtTheRim: 'Across at the rim',
  acrossAtTheBottom: 'Across at the bottom',
  waterItHoldsToThe: 'Water it holds to the rim',
  thickBeforeItRises: 'Thick, before it rises',
  whatItGoesInto: 'What it goes into',
  tin: 'tin',
  roundTin: 'round tin',
  byWater: 'by water',
  disc: 'disc',
  theBottomOfATin: 'The bottom of a tin is not larger than its rim.',
  fromATinOrA: 'From a tin or a size',
  measuredInsideSlopingTinsHave:
    'Measured inside. Sloping tins have a smaller bottom; left empty, the sides are straight.',
  straight: 'straight',
  fromTo: (min: string, max: string, unit: string) => `From ${min} to ${max} ${unit}.`,
  ofDoughEach: 'of dough each',
  filledTo: (percent: string) => `, filled to ${percent} %.`,
  ml: (lowG: string, highG: string, volumeMl: string, part: string) =>
    `${lowG} – ${highG}; ${volumeMl} ml${part}`,
  thisDoughIsLikelyTo: (value: string, low: string, high: string) =>
    `This dough is likely to end at ${value} times its volume (${low}–${high}), so that it just crowns the rim.`,
  useIt: 'Use it',
  height: 'Height',
  across: 'Across',
} as const;
