/** What the screen says. */
export const words = {
  worthChecking: 'Worth checking',
  important: 'Important:',
  ofTheFlours: 'Percentages here are of the flours alone.',
  fewer: 'fewer',
  more: (count: number) => `${count} more`,
} as const;
