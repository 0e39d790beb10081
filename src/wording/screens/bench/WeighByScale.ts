/** What the screen says. */
export const words = {
  weighNow: 'Weigh now',
  toGo: (unit: string) => `${unit} to go`,
  over: (unit: string) => `${unit} over`,
  onIt: (is: string, wanted: string) => `${is} of ${wanted} on the scale`,
  inAlready: (is: string) => `(${is} in before)`,
  take: (mass: string) => `Take ${mass}`,
  putItOn: 'Pour; it is taken by itself',
  byEye: 'By eye',
  aPart: 'That is a part: the rest comes',
  beginHere: 'Begin from here',
  waits: 'Waiting until the scale stands still…',
  overload: 'More than this scale can carry.',
  isBowl: 'Is that the bowl? Begin from here.',
  lifted: 'Less than before: put the bowl back, or begin from here.',
  tooCoarse:
    'Too little for this scale: it shows steps that are too large. Use a finer one, or read it by eye.',
  nearly: 'That is it: taken in a moment…',
  tooMuch: 'Too much: take some out, or take it as it is.',
} as const;
