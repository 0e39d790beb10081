/** What the screen says. */
export const words = {
  nameOfThisPart: 'Name of this part',
  nameThisPart: 'Name this part',
  whatKindOfPartIs: (name: string) => `What kind of part ${name} is`,
  removeThePart: (name: string) => `Remove the part ${name}`,
  madeByAFormula: (part: string) => `${part}: made by a formula of its own`,
  addTo: (part: string) => `Add to ${part}`,
} as const;
