/** What the screen says. */
export const words = {
  method: 'Method',
  question: {
    kind: (written: string) => `“${written}”: what is done here?`,
    time: (written: string) => `“${written}”: which time is meant?`,
    heat: (written: string) => `“${written}”: which temperature is meant?`,
    upTo: (written: string) => `“${written}”: a limit, not a time. How long is it usually?`,
  },
  leftOpen: 'Leave it open',
  asItStands: 'As it was read',
} as const;
