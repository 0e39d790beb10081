/** What the screen says. */
export const words = {
  correctIt: 'Correct it',
  correctTheLog: 'Correct the log',
  whatStoodThereBeforeIs: 'What stood there before is saved beside it.',
} as const;
