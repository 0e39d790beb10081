/** What the screen says. */
export const words = {
  thatPart: 'that part',
  anotherPart: 'Add a part',
  anotherPart2: 'Another part',
  allOfIt: 'Total ',
  whoseCupsSpoonsAndEggs: 'Cup, spoon and egg sizes',
  cellsAlsoTakeCupsSpoons: 'You can also type cups, spoons, eggs, packets and percent',
} as const;
