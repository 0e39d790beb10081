/** What the screen says. */
export const words = {
  readyAt: 'Ready at',
  readyAtOf: (pieces: number, name: string) => `Ready at: ${pieces} ${name}`,
  putBy: 'Put by',
  readyAfter: (time: string) => `, ready ${time} after it is taken out`,
} as const;
