/** What the screen says. */
export const words = {
  itsHistoryVersionByVersion: 'Its history, version by version',
  whatWasBakedOfIt: 'What was baked of it',
  aboutIt: 'About it',
  whatItIsForWho: 'What it is for, who asked for it, what to watch.',
} as const;
