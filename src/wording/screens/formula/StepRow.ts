/** What the screen says. */
export const words = {
  takeStepOut: (numberOf: number) => `Remove step ${numberOf}`,
  stepNeedsHands: (numberOf: number) => `Step ${numberOf} is hands-on`,
  stepGoesByItself: (numberOf: number) => `Step ${numberOf} is hands-off`,
  kindOfStep: (numberOf: number) => `Kind of step ${numberOf}`,
  stepWhatToDo: (numberOf: number) => `Step ${numberOf}, what to do`,
  inYourWords: 'in your words',
  stepTime: (numberOf: number) => `Step ${numberOf}, time`,
  time: 'time',
  stepTemperature: (numberOf: number) => `Step ${numberOf}, temperature`,
  until: 'until',
  stepUntil: (numberOf: number) => `Step ${numberOf}, until`,
  whatToLookFor: 'what to look for',
  note: 'note',
  stepNote: (numberOf: number) => `Step ${numberOf}, note`,
  moveStep: (number: number, name: string) => `Move step ${number}, ${name}`,
} as const;
