/** What the screen says. */
export const words = {
  removeStep: (step: number) => `Remove step ${step}`,
  stepIsHandsOn: (step: number) => `Step ${step} is hands-on`,
  stepIsHandsOff: (step: number) => `Step ${step} is hands-off`,
  kindOfStep: (step: number) => `Kind of step ${step}`,
  stepWhatToDo: (step: number) => `Step ${step}, what to do`,
  inYourWords: 'in your words',
  stepTime: (step: number) => `Step ${step}, time`,
  time: 'time',
  stepTemperature: (step: number) => `Step ${step}, temperature`,
  until: 'until',
  stepUntil: (step: number) => `Step ${step}, until`,
  whatToLookFor: 'what to look for',
  note: 'note',
  stepNote: (step: number) => `Step ${step}, note`,
  moveStep: (number: number, name: string) => `Move step ${number}, ${name}`,
} as const;
