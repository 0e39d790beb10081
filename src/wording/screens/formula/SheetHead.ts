/** What the screen says. */
export const words = {
  nameOfTheFormula: 'Name of the formula',
  style: 'Style',
  undoCtrlZ: 'Undo (Ctrl Z)',
  redoCtrlShiftZ: 'Redo (Ctrl Shift Z)',
  more: 'More',
  itsStory: 'History',
  writeItOut: 'Export',
  bringBackFromTheArchive: 'Restore from the archive',
  putInTheArchive: 'Archive it',
  makeABatch: 'Make a batch',
  duplicate: 'Duplicate',
} as const;
