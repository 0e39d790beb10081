/** What the screen says. */
export const words = {
  ready: 'ready ',
  span: (from: string, to: string) => `${from} – ${to}`,
  from: (from: string) => `from ${from}`,
  likely: (at: string, wanted: string) => `most likely ${at}, at ${wanted}`,
  likelyOrNever: (at: string, wanted: string) =>
    `most likely ${at}, at ${wanted}; or just short of it`,
  readyByNow: 'It should be ready',
  holdsUntil: (at: string) => `It keeps until about ${at}.`,
  past: 'By now it may sink: bake it.',
  never: (wanted: string) => `It will not reach ${wanted}`,
  hardlyThere: (wanted: string) => `It may not quite reach ${wanted}`,
  goOn: (most: string, at: string) => `The most is about ${most}. Go on at ${at}.`,
  goOnNow: (most: string, _at: string) => `The most is about ${most}. Go on now.`,
  about: (grown: string, low: number, high: number) => `${grown} (${low} to ${high})`,
  byNow: (dough: string, jar: string) => `By now about ${dough}, in a jar ${jar}.`,
  atItsTime: (grown: string) => ` At its time about ${grown}.`,
  most: (most: string) => `The most is about ${most}. `,
  aMarkHelps: 'Mark the rise, and this moves.',
  later: (by: string) => `By your mark ${by} later.`,
  earlier: (by: string) => `By your mark ${by} earlier.`,
  hardly: 'It hardly rises before the oven: go by its time.',
} as const;
