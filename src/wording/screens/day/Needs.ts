/** What the screen says. */
export const words = {
  takeOut: (pieces: number, of: string, as: string) => `take out ${pieces} ${of}, ${as}`,
  title: 'What the day needs',
  mixes: (count: number) => `in ${count} mixes`,
  ahead: 'To make ahead',
  by: (when: string) => `by ${when}`,
  what: 'What',
  howMuch: 'How much',
  first: 'First wanted',
  for: 'For',
  there: 'There is',
  thereOf: (name: string) => `There is of ${name}`,
  short: (mass: string) => `${mass} short`,
  toGet: 'To get:',
  pastDate: (date: string) => `the bag in use was best before ${date}`,
} as const;
