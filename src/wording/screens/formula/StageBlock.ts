/** What the screen says. */
export const words = {
  nameOfThisPart: 'Name of this part',
  nameThisPart: 'Name this part',
  whatKindOfPartIs: (name: string) => `What kind of part ${name} is`,
  removeThePart: (name: string) => `Remove the part ${name}`,
  addTo: (part: string) => `Add to ${part}`,
} as const;
