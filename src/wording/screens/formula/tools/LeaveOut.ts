/** What the screen says. */
export const words = {
  milkAndDairy: 'milk and dairy',
  treeNuts: 'tree nuts',
  wheatStarch: 'wheat starch',
  thereIsNothingIn: 'There is nothing in this formula that people usually leave out.',
  without: 'Without',
} as const;
