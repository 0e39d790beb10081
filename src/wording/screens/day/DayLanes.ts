/** What the screen says. */
export const words = {
  late: (by: string) => `${by} late`,
  noPlace: 'It finds no place',
  handsFor: (bread: string) => `Hands asked for by ${bread}, and nobody is there`,
  lanes: 'Lanes by dough, oven and hands, on one clock',
  hands: 'Hands',
  nobody: 'Nobody is there',
  unwanted: 'Hours you would rather not work in',
  now: 'now',
  block: (what: string, batch: string, when: string) => `${what}, ${batch}, ${when}`,
  latest: (clock: string) => `, may begin as late as ${clock}`,
  pinned: ', pinned',
  running: ', in progress',
  done: ', done',
  ovenAt: (oven: string, temp: string, clock: string) => `${oven} lit at ${clock}, for ${temp}`,
  ovenIsCold: (oven: string) => `${oven} stays cold`,
  hint: 'Drag a block to begin it at another time, or choose it and use the left and right arrow keys: five minutes each. P lets it go again.',
} as const;
