/** What the screen says. */
export const words = {
  aUsualTimeNoneIs: ' (a usual time: none is given)',
  howLong: (title: string) => `How long: ${title}`,
} as const;
