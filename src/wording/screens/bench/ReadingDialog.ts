/** What the screen says. */
export const words = {
  theThermometer: 'The thermometer',
  hint: 'Saved with the time it was read.',
  heldInto: 'Held into',
  itReads: 'What it reads',
  saveIt: 'Save it',
  sayHowWarm: 'Say what it reads.',
  iKnow: 'Close',
  again: (by: string) => `Not baked yet: look again in ${by}`,
  hotWater: (kills: boolean) => (kills ? 'This kills yeast. Let it cool to there before anything goes in.' : 'Too hot for yeast to be stirred into. Let it cool to there first.'),
  dough: (percent: number, slower: boolean) => (slower ? `colder than meant: it rises about ${percent} % more slowly. Stand it warmer, or give it time.` : `warmer than meant: it rises about ${percent} % faster. Look sooner, or stand it cooler.`),
  tooHot: 'so warm that yeast suffers: cool it at once. If it stays so, nothing will rise.',
  heat: {
    oil: (by: string, colder: boolean) => (colder ? `It is ${by} colder. Wait until it is there: colder oil is drunk.` : `It is ${by} hotter. Take it off the heat: the outside goes dark before the middle is done.`),
    oven: (by: string, colder: boolean) => (colder ? `It is ${by} colder. Wait, or turn it up: the dial may be off.` : `It is ${by} hotter. Turn it down: the crust is done before the middle.`),
  },
  core: (target: string, byRate: boolean) => `of ${target} are missing. ${byRate ? 'By how fast it has come up so far, look again then.' : 'Read it twice, and the next time is told by how fast it comes up.'} If the top is dark by now, cover it.`,
} as const; // prettier-ignore
