/** What the screen says. */
export const words = {
  lost: (lossPercent: string) => `, lost ${lossPercent} %`,
  abandoned: 'Abandoned.',
  again: (verdict: string) => `Again? ${verdict}`,
} as const;
