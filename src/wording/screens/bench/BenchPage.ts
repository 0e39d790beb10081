/** What the screen says. */
export const words = {
  notInYet: 'Not in yet:',
  closeTheBake: 'Close the bake',
  yesCloseTheBake: 'Yes, close the bake',
  until: (clock: string) => `until ${clock}`,
  leaveTheBenchTheBake: 'Leave the bench; the bake goes on',
  extra: 'Extra',
  note: 'Note',
  more: 'More',
  daylight: 'Daylight',
  dimTheLight: 'Dim the light',
  theBell: 'The bell',
  abandonThisBake: 'Abandon this bake …',
  nothingIsWaiting: 'nothing is waiting',
  savedOnThisDevice: (count: number) => `${count} saved on this device`,
  theServerDoesNotAnswer: (part: string) =>
    `The server does not answer. Go on: ${part}, it will be sent by itself.`,
  theLastTapWas: (refused: string) => `The last tap was not saved: ${refused}`,
  weigh: 'Weigh',
  steps: 'Steps',
  log: 'Log',
  partsOfTheBake: 'Parts of the bake',
} as const;
