/** What the screen says. */
export const words = {
  readyAt: 'Ready at …',
  nameOfTheFormula: 'Name of the formula',
  style: 'Style',
  undoCtrlZ: 'Undo (Ctrl Z)',
  redoCtrlShiftZ: 'Redo (Ctrl Shift Z)',
  more: 'More',
  history: 'History',
  practise: 'Practise it',
  export: 'Export',
  restoreFromTheArchive: 'Restore from the archive',
  archiveIt: 'Archive it',
  makeABatch: 'Make a batch',
  duplicate: 'Duplicate',
} as const;
