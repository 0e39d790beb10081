/** What the screen says. */
export const words = {
  lost: (lossPercent: string) => `, lost ${lossPercent} %`,
  givenUp: 'Abandoned.',
  again: (part: string) => `Again? ${part}`,
} as const;
