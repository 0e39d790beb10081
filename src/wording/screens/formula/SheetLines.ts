/** What the screen says. */
export const words = {
  thatPart: 'that part',
  addAPart: 'Add a part',
  anotherPart: 'Another part',
  total: 'Total ',
  cupSpoonAndEggSizes: 'Cup, spoon and egg sizes',
  youCanAlsoType: 'You can also type cups, spoons, eggs, packets and percent',
} as const;
