/** What the screen says. */
export const words = {
  worthChecking: 'Worth checking',
  important: 'Important:',
  fewer: 'fewer',
  more: (count: number) => `${count} more`,
} as const;
