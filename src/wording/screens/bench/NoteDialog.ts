/** What the screen says. */
export const words = {
  writeAWordOrTwo: 'Write a word or two.',
  note: 'Note',
  stifferThanLastWeekSmells: 'Stiffer than last week. Smells of apples. Oven at 172 by the thermometer.',
  saveTheNote: 'Save the note',
  noteThis: 'Note this',
  itIsSavedWithThe: 'It is saved with the time it is now.',
} as const;
